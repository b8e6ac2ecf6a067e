import { useInfiniteQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams, useSearchParams } from '../../kit/router';
import { api, ask, type BookClass } from '../../api/client';
import { keys } from '../../api/keys';
import { Button, TextField, TextLink } from '../../kit/controls';
import { day, inMinutes } from '../../kit/format';
import { Asked, Empty, Page } from '../../kit/page';
import { GroupTabs } from './GroupTabs';

/** For so long nobody types before it is looked for, milliseconds. */
const TYPING_MS = 300;

/** The class book of a group: what every class did hold, found by day, movement or word. */
export function BookPlace() {
  const { t } = useTranslation();
  const { group = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const find = search.get('find') ?? '';
  const [typed, setTyped] = useState(find);
  useEffect(() => {
    const timer = setTimeout(() => {
      if (typed.trim() !== find) setSearch(typed.trim() === '' ? {} : { find: typed.trim() }, { replace: true });
    }, TYPING_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [typed, find, setSearch]);
  const query = useInfiniteQuery({
    queryKey: keys.book(group, find),
    initialPageParam: null as string | null,
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/groups/{group}/book', {
          params: {
            path: { group },
            query: { ...(find === '' ? {} : { find }), ...(pageParam === null ? {} : { before: pageParam }) },
          },
        }),
      ),
    getNextPageParam: (page) => page.before,
    placeholderData: (was) => was,
  });
  return (
    <Asked query={query}>
      {({ pages }) => {
        const first = pages[0];
        const classes = pages.flatMap((page) => page.classes);
        if (first === undefined) return null;
        return (
          <Page title={first.group.name}>
            <GroupTabs group={first.group.id} term={first.group.termId} />
            <search className="mb-4 block max-w-md">
              <TextField
                label={t('book.find')}
                hint={t('book.findHint')}
                type="search"
                maxLength={120}
                value={typed}
                onChange={(event) => {
                  setTyped(event.target.value);
                }}
              />
            </search>
            <p role="status" className="sr-only">
              {t('book.found', { count: classes.length })}
            </p>
            {classes.length === 0 ? (
              <Empty
                title={t(find === '' ? 'book.empty' : 'book.none', { find })}
                hint={t(find === '' ? 'book.emptyHint' : 'book.noneHint')}
              />
            ) : null}
            <ol className="m-0 list-none p-0">
              {classes.map((one) => (
                <Entry key={one.logId} of={one} />
              ))}
            </ol>
            {query.hasNextPage ? (
              <Button className="mt-4" disabled={query.isFetchingNextPage} onClick={() => void query.fetchNextPage()}>
                {t('book.earlier')}
              </Button>
            ) : null}
          </Page>
        );
      }}
    </Asked>
  );
}

function Entry({ of }: { of: BookClass }) {
  const { t } = useTranslation();
  const done = of.did.filter(
    (one) => one.stretches.length > 0 || one.box !== null || one.note !== null || one.principles.length > 0,
  );
  const stretch = (first: string | null, last: string | null) =>
    first === null ? '' : last === null ? first : t('book.stretch', { first, last });
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-line py-3 sm:grid-cols-[9rem_1fr]">
      <div>
        <TextLink to={`/meetings/${of.meetingId}/log`} className="font-medium">
          {day(of.on, 'numbered')}
        </TextLink>
        <p className="text-sm text-soft">
          {t('book.present', { count: of.present })}
          {of.minutes === null ? '' : ` · ${inMinutes(of.minutes)}`}
          {of.isCorrected ? ` · ${t('book.corrected')}` : ''}
        </p>
      </div>
      <div className="min-w-0">
        <ul className="m-0 list-none p-0">
          {done.map((one, at) => (
            <li key={at}>
              <span className="text-soft">
                {one.what === 'left_out' && one.box !== null
                  ? t('log.leftOut', { box: t(`boxes.${one.box as 'new'}`) })
                  : t(`log.what.${one.what as 'taught'}`)}
              </span>{' '}
              {one.stretches.map(({ first, last }) => stretch(first, last)).join(', ')}
              {one.order === null ? '' : ` · ${t(`plan.orders.${one.order}`)}`}
              {one.principles.join(', ')}
              {one.note === null ? '' : ` · ${one.note}`}
            </li>
          ))}
        </ul>
        {of.guests.length > 0 ? <p className="text-soft">{t('book.guests', { names: of.guests.join(', ') })}</p> : null}
        {of.firstNext.length > 0 ? (
          <p>
            {t('log.firstNext')}{' '}
            {stretch(of.firstNext[0] ?? null, of.firstNext.length > 1 ? (of.firstNext[of.firstNext.length - 1] ?? null) : null)}
          </p>
        ) : null}
        {of.note === null ? null : <p className="border-l-2 border-line pl-3 whitespace-pre-wrap">{of.note}</p>}
      </div>
    </li>
  );
}
