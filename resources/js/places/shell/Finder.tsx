import { useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useDeferredValue, useState } from 'react';
import { useTranslation } from '../../messages';
import { useNavigate } from '../../kit/router';
import { findQuery } from '../../api/queries';
import { readDayNear } from '../../kit/dates';
import { Dialog } from '../../kit/Dialog';
import { day } from '../../kit/format';
import { SHORTCUTS, useBound } from '../../kit/shortcuts';
import { Trouble } from '../../kit/page';
import { shownKeys } from './keyList';
import { places } from './places';

interface Props {
  /** The day of the school, `YYYY-MM-DD`. */
  today: string;
  onClose: () => void;
}

interface Row {
  key: string;
  text: string;
  detail?: string | undefined;
  go: () => void;
}

/** Finds a student, form, movement, group, class or command by what it is called, and goes there. */
export function Finder({ today, onClose }: Props) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const bound = useBound();
  const [typed, setTyped] = useState('');
  const asked = useDeferredValue(typed.trim());
  const found = useQuery({
    ...findQuery(asked, readDayNear(asked, today)),
    enabled: asked !== '',
    placeholderData: (before) => before,
  });
  const to = (address: string) => () => {
    onClose();
    void navigate(address);
  };
  const has = (text: string) => text.toLowerCase().includes(typed.trim().toLowerCase());
  const answer = asked === '' ? undefined : found.data;
  const groups: { title: string; rows: Row[] }[] = [
    {
      title: t('find.students'),
      rows: (answer?.students ?? []).map((one) => ({
        key: one.id,
        text: one.name,
        detail: one.groups.join(', '),
        go: to(`/students/${one.id}`),
      })),
    },
    {
      title: t('find.movements'),
      rows: (answer?.movements ?? []).map((one) => ({
        key: `${one.formId}/${String(one.position)}`,
        text: one.title,
        detail: one.number === null ? one.form : t('find.movement', { number: one.number, form: one.form }),
        go: to(`/forms/${one.formId}?at=${String(one.position)}`),
      })),
    },
    {
      title: t('find.forms'),
      rows: (answer?.forms ?? []).map((one) => ({ key: one.id, text: one.title, go: to(`/forms/${one.id}`) })),
    },
    {
      title: t('find.groups'),
      rows: (answer?.groups ?? []).map((one) => ({ key: one.id, text: one.title, go: to(`/groups/${one.id}`) })),
    },
    {
      title: t('find.meetings'),
      rows: (answer?.meetings ?? []).map((one) => ({
        key: one.id,
        text: t('find.meeting', { group: one.group, date: day(one.on, 'numbered') }),
        go: to(`/meetings/${one.id}`),
      })),
    },
    {
      title: t('find.places'),
      rows: places
        .map(({ to: address, key }) => ({ key, text: t(`places.${key}`), go: to(address) }))
        .filter((one) => has(one.text)),
    },
    {
      title: t('find.commands'),
      rows: bound
        .filter(({ name }) => name !== 'find' && SHORTCUTS[name].where !== 'class')
        .map(({ name, run }) => ({
          key: name,
          text: t(`keys.does.${name}`),
          detail: shownKeys(name).join(' '),
          go: () => {
            onClose();
            run();
          },
        }))
        .filter((one) => has(one.text)),
    },
  ].filter(({ rows }) => rows.length > 0);
  return (
    <Dialog onOpenChange={onClose} title={t('find.title')}>
      <Command shouldFilter={false} label={t('find.label')}>
        <Command.Input
          value={typed}
          onValueChange={setTyped}
          placeholder={t('find.hint')}
          maxLength={120}
          className="min-h-11 w-full rounded border border-line bg-paper px-3 py-2"
        />
        {found.isError && asked !== '' ? <Trouble error={found.error} /> : null}
        <Command.List className="mt-3 max-h-[55vh] overflow-y-auto">
          {groups.length > 0 ? null : (
            <p role="status" className="py-3 text-soft">
              {t(found.isFetching ? 'find.searching' : 'find.none')}
            </p>
          )}
          {groups.map(({ title, rows }) => (
            <Command.Group
              key={title}
              heading={title}
              className="mb-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-soft"
            >
              {rows.map((row) => (
                <Command.Item
                  key={row.key}
                  value={`${title}/${row.key}`}
                  onSelect={row.go}
                  className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-3 rounded px-3 data-[selected=true]:bg-river2"
                >
                  <span>{row.text}</span>
                  {row.detail ? <span className="text-sm text-soft">{row.detail}</span> : null}
                </Command.Item>
              ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </Dialog>
  );
}
