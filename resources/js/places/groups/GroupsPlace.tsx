import { useMutation, useQuery } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useTranslation } from '../../messages';
import { useNavigate, useSearchParams } from '../../kit/router';
import { api, ask } from '../../api/client';
import { formsQuery, groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, ButtonLink, TextArea, TextField } from '../../kit/controls';
import { Select } from '../../kit/Select';
import { Dialog } from '../../kit/Dialog';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { Asked, Empty, Listing, Page } from '../../kit/page';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { useUnmaking } from '../useUnmaking';
import { namesIn } from './names';
import { SamePeople, told, useSamePeople } from './SamePeople';

const DRAFT = 'group';

/** The groups of the school. */
export function GroupsPlace() {
  const { t } = useTranslation();
  const query = useQuery(groupsQuery);
  const [search, setSearch] = useSearchParams();
  const add = (
    <Button
      look="primary"
      onClick={() => {
        setSearch({ new: '' });
      }}
    >
      {t('groups.new')}
    </Button>
  );
  return (
    <Page title={t('groups.title')} actions={add}>
      <Asked query={query}>
        {(groups) => (
          <Listing
            rows={groups.map((group) => ({
              to: `/groups/${group.id}`,
              title: group.name,
              detail: [group.formTitle, t('groups.students', { count: group.students }), group.room].filter(Boolean).join(' · '),
            }))}
            empty={t('groups.empty')}
            hint={t('groups.emptyHint')}
            first={add}
          />
        )}
      </Asked>
      <Dialog
        open={search.has('new')}
        onOpenChange={(isOpen) => {
          if (!isOpen) setSearch({});
        }}
        title={t('groups.makeTitle')}
      >
        <Making form={search.get('form') ?? ''} />
      </Dialog>
    </Page>
  );
}

interface Given {
  name: string;
  room: string;
  form: string;
  names: string;
}

function Making({ form: wanted }: { form: string }) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const forms = useQuery(formsQuery);
  const [refusal, setProblem] = useProblem();
  const unmaking = useUnmaking();
  const { asOne, made } = useAsOne(DRAFT);
  const people = useSamePeople();
  const [given, setGiven] = useState(() => {
    const typed = readDraft<Given>(DRAFT) ?? { name: '', room: '', form: '', names: '' };
    return wanted ? { ...typed, form: wanted } : typed;
  });
  const form = forms.data?.find((one) => one.id === given.form)?.id ?? forms.data?.[0]?.id ?? '';
  const make = useMutation({
    mutationFn: () => {
      const body = { name: given.name, room: given.room || null, form, students: namesIn(given.names), ...told(people.meant) };
      return ask(api.POST('/api/groups', { params: { header: asOne(body) }, body }));
    },
    onSuccess: async (group) => {
      dropDraft(DRAFT);
      made();
      await readAgain('group');
      await navigate(`/groups/${group.id}`);
      unmaking({
        text: t('groups.made'),
        remove: () => ask(api.DELETE('/api/groups/{group}', { params: { path: { group: group.id } } })),
        touches: 'group',
        back: { to: '/groups?new', draft: DRAFT, typed: given },
      });
    },
    onError: (error) => {
      setProblem(people.asks(error) ? null : error);
    },
  });
  const send = useOnce(make);
  const put = (key: keyof Given) => ({
    value: given[key],
    onChange: (event: { target: { value: string } }) => {
      const next = { ...given, [key]: event.target.value };
      keepDraft(DRAFT, next);
      setGiven(next);
      if (key === 'names') people.forget();
    },
    error: refusal?.fields[key]?.[0],
  });
  if (forms.data?.length === 0) {
    return (
      <Empty title={t('groups.needForm')} hint={t('forms.emptyHint')}>
        <ButtonLink look="primary" to="/forms/new">
          {t('forms.new')}
        </ButtonLink>
      </Empty>
    );
  }
  function submit(event: FormEvent) {
    event.preventDefault();
    setProblem(null);
    send();
  }
  return (
    <form onSubmit={submit} className="flex flex-col gap-3" noValidate>
      <TextField label={t('groups.name')} {...put('name')} />
      <Select
        label={t('groups.form')}
        value={form}
        onValue={(value) => {
          put('form').onChange({ target: { value } });
        }}
        of={(forms.data ?? []).map((one) => ({ value: one.id, text: one.title }))}
      />
      <TextField label={t('groups.room')} {...put('room')} />
      <TextArea label={t('groups.names')} rows={8} {...put('names')} />
      <SamePeople known={people.known} meant={people.meant} onMean={people.setMeant} />
      {refusal && Object.keys(refusal.fields).length === 0 ? (
        <p role="alert" className="font-medium text-persimmon">
          {refusal.message}
        </p>
      ) : null}
      <Button look="primary" type="submit" disabled={make.isPending || form === ''}>
        {t('groups.make')}
      </Button>
    </form>
  );
}
