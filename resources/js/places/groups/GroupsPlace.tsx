import { useMutation, useQuery } from '@tanstack/react-query';
import { useWatch } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { useNavigate, useSearchParams } from '../../kit/router';
import { api, ask } from '../../api/client';
import { formsQuery, groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, ButtonLink, RefusalLine } from '../../kit/controls';
import { Select } from '../../kit/Select';
import { Dialog } from '../../kit/Dialog';
import { dropDraft } from '../../kit/draft';
import { Form } from '../../kit/Form';
import { FormArea, FormText } from '../../kit/formFields';
import { Asked, Empty, Listing, Page } from '../../kit/page';
import { written, z } from '../../kit/schema';
import { useAsOne } from '../../kit/useAsOne';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';

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

const made = z.object({ name: written(120), room: z.string().trim().max(120), form: z.string(), names: z.string() });
type Given = z.output<typeof made>;

function Making({ form: wanted }: { form: string }) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const forms = useQuery(formsQuery);
  const unmaking = useUnmaking();
  const one = useAsOne(DRAFT);
  const people = useSamePeople();
  const { control, form, put, send, refusal, refuse } = useFields(
    made,
    { name: '', room: '', form: '', names: '' },
    {
      draft: DRAFT,
      over: wanted ? { form: wanted } : {},
      onTyped: (name) => {
        if (name === 'names') people.forget();
      },
    },
  );
  const named = useWatch({ control, name: 'form' });
  const chosen = forms.data?.find((other) => other.id === named)?.id ?? forms.data?.[0]?.id ?? '';
  const make = useMutation({
    mutationFn: ({ name, room, names }: Given) => {
      const body = { name, room: room || null, form: chosen, students: namesIn(names), ...told(people.meant) };
      return ask(api.POST('/api/groups', { params: { header: one.asOne(body) }, body }));
    },
    onSuccess: async (group) => {
      dropDraft(DRAFT);
      one.made();
      await readAgain('group');
      await navigate(`/groups/${group.id}`);
      unmaking({
        text: t('groups.made'),
        remove: () => ask(api.DELETE('/api/groups/{group}', { params: { path: { group: group.id } } })),
        touches: 'group',
        back: { to: '/groups?new', draft: DRAFT, typed: form.getValues() },
      });
    },
    onError: (error) => {
      if (!people.asks(error)) refuse(error);
    },
  });
  const once = useOnce(make);
  if (forms.data?.length === 0) {
    return (
      <Empty title={t('groups.needForm')} hint={t('forms.emptyHint')}>
        <ButtonLink look="primary" to="/forms/new">
          {t('forms.new')}
        </ButtonLink>
      </Empty>
    );
  }
  return (
    <Form onSend={send(once)} className="flex flex-col gap-3">
      <FormText control={control} name="name" label={t('groups.name')} />
      <Select
        label={t('groups.form')}
        value={chosen}
        onValue={(value) => {
          put('form', value);
        }}
        of={(forms.data ?? []).map((other) => ({ value: other.id, text: other.title }))}
      />
      <FormText control={control} name="room" label={t('groups.room')} />
      <FormArea control={control} name="names" label={t('groups.names')} rows={8} />
      <SamePeople known={people.known} meant={people.meant} onMean={people.setMeant} />
      <RefusalLine refusal={refusal} className="" />
      <Button look="primary" type="submit" disabled={make.isPending || chosen === ''}>
        {t('groups.make')}
      </Button>
    </Form>
  );
}
