import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { api, ask, type HomeWeek, type MadeLink, Problem, type StudentSheet } from '../../api/client';
import { groupHomeQuery, groupPracticeQuery, groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, PrintButton, RefusalLine } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { Dialog } from '../../kit/Dialog';
import { Form } from '../../kit/Form';
import { FormText } from '../../kit/formFields';
import { day, number } from '../../kit/format';
import { Asked, Empty, Heading, Page } from '../../kit/page';
import { decimal, whole, z } from '../../kit/schema';
import { Segmented } from '../../kit/Segmented';
import { useAddressed } from '../../kit/useAddressed';
import { useFields } from '../../kit/useFields';
import { useMay } from '../../kit/useMay';
import { useOnce } from '../../kit/useOnce';
import { useSeen } from '../../kit/useSeen';
import { useProblem } from '../../kit/useProblem';
import { NotFound } from '../NotFound';
import { GroupTabs } from '../groups/GroupTabs';
import { CameBack } from './CameBack';
import { PassageOfSheet, useSheetWords, WeekFocus } from './HomeSheet';
import { MadeLinks } from './MadeLinks';
import { SheetForAll } from './SheetForAll';

/** What everyone in a group takes home from the last class, and what came back. */
export function PracticePlace() {
  const { t } = useTranslation();
  const { group = '' } = useParams();
  const about = useQuery(groupsQuery);
  const query = useQuery(groupPracticeQuery(group));
  return (
    <Asked query={about}>
      {(all) => {
        const own = all.find((one) => one.id === group);
        if (own === undefined) return <NotFound />;
        const isNone = query.error instanceof Problem && query.error.code === 'home.no_class';
        return (
          <Page
            title={query.data ? t('practice.title', { date: day(query.data.next, 'weekday') }) : own.name}
            kicker={query.data ? `${own.name} · ${t('practice.kicker', { on: day(query.data.on, 'weekday') })}` : undefined}
            actions={query.data ? <PrintButton /> : undefined}
          >
            <GroupTabs group={group} term={own.termId} />
            {isNone ? (
              <Empty title={t('practice.empty')} hint={query.error?.message ?? ''} />
            ) : (
              <Asked query={query}>{(week) => <Week key={week.next} group={group} week={week} />}</Asked>
            )}
          </Page>
        );
      }}
    </Asked>
  );
}

function Week({ group, week }: { group: string; week: HomeWeek }) {
  const { t } = useTranslation();
  const may = useMay();
  const home = useQuery(groupHomeQuery(group));
  const [address, setAddress] = useAddressed();
  const isTogether = address.get('for') === 'all';
  return (
    <>
      <div className="no-print mb-4 grid gap-x-10 gap-y-4 lg:grid-cols-2">
        <div>
          {may('plan') ? <Amount group={group} week={week} /> : null}
          {may('plan') ? <Links group={group} week={week} /> : null}
        </div>
        <section>
          <h2 className="text-xl">{t('practice.back.title')}</h2>
          <Asked query={home}>{(notes) => <CameBack notes={notes} />}</Asked>
        </section>
      </div>
      <div className="no-print">
        <Heading aside={t(isTogether ? 'practice.printHintAll' : 'practice.printHint')}>{t('practice.tab')}</Heading>
        {week.together === null ? null : (
          <div className="mb-4">
            <Segmented<'each' | 'all'>
              label={t('practice.for')}
              value={isTogether ? 'all' : 'each'}
              onValue={(value) => {
                setAddress({ for: value === 'all' ? 'all' : null });
              }}
              of={(['each', 'all'] as const).map((value) => ({ value, text: t(`practice.forWhom.${value}`) }))}
            />
          </div>
        )}
      </div>
      {isTogether && week.together !== null ? <SheetForAll together={week.together} week={week} /> : null}
      <div className={isTogether ? 'hidden' : 'home-sheets grid gap-x-10 gap-y-6 lg:grid-cols-2'}>
        {week.sheets.map((sheet) => (
          <Sheet key={sheet.studentId} sheet={sheet} week={week} />
        ))}
      </div>
    </>
  );
}

/** One student's sheet: half a page on paper. */
function Sheet({ sheet, week }: { sheet: StudentSheet; week: HomeWeek }) {
  const { t } = useTranslation();
  const words = useSheetWords();
  return (
    <article className="home-sheet border-t-2 border-ink pt-2" aria-label={sheet.name}>
      <h3 className="text-lg">{sheet.name}</h3>
      {sheet.passages.length === 0 ? (
        <p className="text-soft">{t('practice.nothing')}</p>
      ) : (
        <>
          <p className="text-soft">
            {words.when(sheet.days, sheet.minutes)}. {t('practice.twice')}
          </p>
          {sheet.passages.map((passage) => (
            <div key={`${passage.courseId}${String(passage.from)}`} className="mt-2">
              <PassageOfSheet passage={passage} next={week.next} />
            </div>
          ))}
        </>
      )}
      <WeekFocus focus={week.focus} />
      <p className="mt-2 hidden text-xs print:block">{t('practice.care')}</p>
    </article>
  );
}

const amount = z.object({ minutes: decimal(1, 120), days: whole(1, 14) });

function Amount({ group, week }: { group: string; week: HomeWeek }) {
  const { t } = useTranslation();
  const { control, send, refusal, refuse } = useFields(amount, { minutes: number(week.minutes), days: String(week.days) });
  const seen = useSeen({ minutes: week.minutes, days: week.days });
  const save = useMutation({
    mutationFn: (body: z.output<typeof amount>) =>
      ask(api.PUT('/api/groups/{group}/practice', { params: { path: { group } }, body: { ...body, ...seen.was } })),
    onSuccess: () => readAgain('home'),
    onError: (error) => {
      seen.isTold(error);
      refuse(error);
    },
  });
  const once = useOnce(save);
  return (
    <Form className="flex flex-wrap items-start gap-3" onSend={send(once)}>
      <div className="w-36">
        <FormText control={control} name="minutes" label={t('practice.minutes')} inputMode="decimal" />
      </div>
      <div className="w-52">
        <FormText control={control} name="days" label={t('practice.days')} inputMode="numeric" />
      </div>
      <Button type="submit" className="mt-6" disabled={save.isPending}>
        {t(save.isPending ? 'practice.choosing' : 'practice.choose')}
      </Button>
      <RefusalLine refusal={refusal} className="w-full" />
    </Form>
  );
}

/** Makes links for those who are ticked; what was made is shown this once. */
function Links({ group, week }: { group: string; week: HomeWeek }) {
  const { t } = useTranslation();
  const [isOpen, setOpen] = useState(false);
  const [made, setMade] = useState<MadeLink[] | null>(null);
  const [byMail, setByMail] = useState(true);
  const [chosen, setChosen] = useState<string[]>(() => week.sheets.map((sheet) => sheet.studentId));
  const [refusal, setProblem] = useProblem();
  const make = useMutation({
    mutationFn: (body: { students: string[]; byMail: boolean }) =>
      ask(api.POST('/api/groups/{group}/links', { params: { path: { group } }, body })),
    onSuccess: async (links) => {
      setProblem(null);
      setMade(links);
      await readAgain('home');
    },
    onError: setProblem,
  });
  const send = useOnce(make);
  return (
    <div className="mt-4">
      <Button
        onClick={() => {
          setMade(null);
          setOpen(true);
        }}
      >
        {t('practice.links.title')}
      </Button>
      <Dialog open={isOpen} onOpenChange={setOpen} title={t('practice.links.title')} wide>
        <p className="mb-3">{t('practice.links.hint')}</p>
        {made === null ? (
          <>
            <Tick
              checked={chosen.length === week.sheets.length}
              onTick={(is) => {
                setChosen(is ? week.sheets.map((sheet) => sheet.studentId) : []);
              }}
            >
              {t('practice.links.all')}
            </Tick>
            <div className="grid sm:grid-cols-3">
              {week.sheets.map((sheet) => (
                <Tick
                  key={sheet.studentId}
                  checked={chosen.includes(sheet.studentId)}
                  onTick={(is) => {
                    setChosen(is ? [...chosen, sheet.studentId] : chosen.filter((other) => other !== sheet.studentId));
                  }}
                >
                  {sheet.name}
                </Tick>
              ))}
            </div>
            <div className="mt-3 border-t border-line pt-2">
              <Tick checked={byMail} onTick={setByMail}>
                {t('practice.links.byMail')}
              </Tick>
            </div>
            <p className="my-2 text-sm text-soft">{t('practice.links.confirm')}</p>
            <RefusalLine refusal={refusal} />
            <Button
              look="primary"
              disabled={chosen.length === 0 || make.isPending}
              onClick={() => {
                send({ students: chosen, byMail });
              }}
            >
              {t(make.isPending ? 'practice.links.making' : 'practice.links.make')}
            </Button>
          </>
        ) : (
          <>
            {made.every((one) => one.address === null) ? null : <p className="mb-2 font-medium">{t('practice.links.made')}</p>}
            <MadeLinks links={made} />
          </>
        )}
      </Dialog>
    </div>
  );
}
