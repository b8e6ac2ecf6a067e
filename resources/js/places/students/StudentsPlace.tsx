import { useQueries, useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { useTranslation } from '../../messages';
import { Link } from '../../kit/router';
import type { StudentLine, StudentRow } from '../../api/client';
import { studentLinesQuery } from './queries';
import { studentsQuery } from '../../api/queries';
import { ButtonLink, TextField } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { day } from '../../kit/format';
import { Asked, Empty, Page } from '../../kit/page';
import { Select } from '../../kit/Select';
import { useAddressed } from '../../kit/useAddressed';

/** Letters without their marks, so that Angele finds Angèle. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Those whose name has every word that is looked for, in a group if one is chosen. */
export function found(rows: StudentRow[], find: string, group: string): StudentRow[] {
  const words = plain(find).split(/\s+/).filter(Boolean);
  return rows.filter(
    (row) =>
      (group === '' || row.groups.some((one) => one.id === group)) && words.every((word) => plain(row.name).includes(word)),
  );
}

/** Everyone, found at once, each in a line. */
export function StudentsPlace() {
  const { t } = useTranslation();
  const query = useQuery(studentsQuery);
  return (
    <Page title={t('students.title')}>
      <Asked query={query}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('students.none')} hint={t('students.noneHint')}>
              <ButtonLink look="primary" to="/groups">
                {t('students.toGroups')}
              </ButtonLink>
            </Empty>
          ) : (
            <Everyone rows={rows} />
          )
        }
      </Asked>
    </Page>
  );
}

function Everyone({ rows }: { rows: StudentRow[] }) {
  const { t } = useTranslation();
  const [address, setAddress] = useAddressed();
  const [find, group] = [address.get('find') ?? '', address.get('group') ?? ''];
  const groups = [...new Map(rows.flatMap((row) => row.groups.map((one) => [one.id, one.name]))).entries()].sort((a, b) =>
    a[1].localeCompare(b[1]),
  );
  // Names are there at once; where everyone stands comes group by group.
  const asked = groups.filter(([id]) => group === '' || id === group).map(([id]) => id);
  const lines = useQueries({
    queries: asked.map((id) => studentLinesQuery(id)),
    combine: (all) =>
      new Map(all.flatMap((one, at) => (one.data ?? []).map((line) => [`${asked[at] ?? ''}/${line.studentId}`, line] as const))),
  });
  // What is typed is drawn at once; the list follows.
  const withOff = address.get('off') !== null;
  const listed = withOff ? rows : rows.filter((row) => !row.isOffList);
  const shown = found(listed, useDeferredValue(find), group);
  return (
    <>
      <div className="no-print mb-4 flex flex-wrap items-end gap-4">
        <div className="w-72 max-w-full">
          <TextField
            type="search"
            label={t('students.find')}
            value={find}
            onChange={(event) => {
              setAddress({ find: event.target.value === '' ? null : event.target.value });
            }}
          />
        </div>
        <div className="w-60">
          <Select
            label={t('students.group')}
            value={groups.some(([id]) => id === group) ? group : ''}
            onValue={(next) => {
              setAddress({ group: next === '' ? null : next });
            }}
            of={[{ value: '', text: t('students.all') }, ...groups.map(([value, text]) => ({ value, text }))]}
          />
        </div>
        {rows.some((row) => row.isOffList) ? (
          <Tick
            checked={withOff}
            onTick={(is) => {
              setAddress({ off: is ? '1' : null });
            }}
          >
            {t('students.showOff')}
          </Tick>
        ) : null}
        <p role="status" className="min-h-11 py-2 text-soft">
          {shown.length === 0 ? t('students.nobody', { find }) : t('students.count', { count: shown.length })}
        </p>
      </div>
      <ul className="m-0 list-none border-t border-line p-0">
        {shown.map((row) => (
          <li key={row.id} className="row-of-many border-b border-line">
            <Link
              to={`/students/${row.id}`}
              className="grid gap-x-6 py-2 no-underline hover:text-pine sm:grid-cols-[13rem_1fr_auto] sm:items-baseline"
            >
              <span className="font-serif text-lg font-semibold break-words">{row.name}</span>
              <span className="text-soft">
                {row.isOffList
                  ? t('students.offList')
                  : row.groups.length === 0
                    ? t('students.noGroup')
                    : row.groups.map((one) => <Line key={one.id} group={one.name} line={lines.get(`${one.id}/${row.id}`)} />)}
              </span>
              <span className="text-sm text-soft">
                {row.lastSeen === null ? t('students.neverSeen') : t('students.lastSeen', { day: day(row.lastSeen) })}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

/** A group a student is in, and where they stand in it once that is known. */
function Line({ group, line }: { group: string; line: StudentLine | undefined }) {
  const { t } = useTranslation();
  return (
    <span className="block">
      {line === undefined
        ? group
        : t('students.line', {
            group,
            secure: line.frontier === null ? '' : `${t('students.secure', { number: line.frontier })} · `,
            holds: t('students.holds', { count: line.holds }),
            slips: line.slipping === 0 ? '' : t('students.slips', { count: line.slipping }),
          })}
    </span>
  );
}
