import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import type { Form, StudentForm, StudentPage } from '../../api/client';
import { sessionQuery, studentQuery } from '../../api/queries';
import { ButtonLink, TextLink } from '../../kit/controls';
import { DateField } from '../../kit/DateField';
import { entryName } from '../../kit/entryName';
import { day } from '../../kit/format';
import { Asked, Heading, Page } from '../../kit/page';
import { WithForms } from '../../kit/WithForms';
import { useAddressed } from '../../kit/useAddressed';
import { strokeOf } from '../../pictures/keeping';
import { KeepingGlyph } from '../../pictures/KeepingGlyph';
import { ReedLegend } from '../../pictures/ReedLegend';
import { ReedRibbon } from '../../pictures/ReedRibbon';
import { useKeepingWords } from '../../pictures/useKeepingWords';
import { Classes } from './Classes';
import { EverythingRecorded } from './EverythingRecorded';
import { StudentAtHome } from '../practice/StudentAtHome';
import { Considerations } from './Considerations';
import { History } from './History';
import { KeepRecord, RecordState } from './KeepRecord';
import { OverTime } from './OverTime';
import { useNeedWords } from './useNeedWords';

/** A student: where they stand, what is fading, what is missing, over time, and what was noted of them. */
export function StudentPlace() {
  const { student = '' } = useParams();
  const query = useQuery(studentQuery(student, ''));
  return (
    <Asked query={query}>
      {(data) => (
        <WithForms key={data.id} of={data.forms.map((one) => one.form)}>
          {(forms) => <Shown data={{ ...data, forms: data.forms.map((one, at) => ({ ...one, form: forms[at] as Form })) }} />}
        </WithForms>
      )}
    </Asked>
  );
}

/** What the server answers, with the forms it names. */
type Standing = Omit<StudentPage, 'forms'> & { forms: StudentForm[] };

function Shown({ data }: { data: Standing }) {
  const { t } = useTranslation();
  const [address, setAddress] = useAddressed();
  const then = address.get('then') ?? '';
  const may = useQuery(sessionQuery).data?.person?.may ?? [];
  const before = useQuery({ ...studentQuery(data.id, then), enabled: then !== '', placeholderData: keepPreviousData });
  const current = data.groups.filter((one) => one.leftOn === null);
  return (
    <Page
      title={data.name}
      kicker={data.groups
        .map((one) =>
          one.leftOn !== null
            ? t('students.left', { group: one.name, day: day(one.leftOn) })
            : one.classes === 0
              ? t('students.cameNone', { group: one.name })
              : t('students.came', { group: one.name, came: one.came, classes: one.classes }),
        )
        .join(' · ')}
      actions={
        <>
          {current.map((one) => (
            <ButtonLink key={one.id} to={`/groups/${one.id}`}>
              {one.name}
            </ButtonLink>
          ))}
          {may.includes('plan') ? <KeepRecord data={data} /> : null}
        </>
      }
    >
      <RecordState data={data} />
      <div className="no-print mb-2 w-56">
        <DateField
          label={t('students.compare')}
          value={then}
          max={data.on}
          onValue={(value) => {
            setAddress({ then: value === '' ? null : value });
          }}
        />
      </div>
      {data.forms.map((one) => (
        <InForm
          key={one.group}
          data={data}
          of={one}
          before={then === '' ? undefined : before.data?.forms.find((other) => other.group === one.group)}
          then={then}
        />
      ))}
      {data.forms.length === 0 ? null : (
        <div className="mt-2">
          <ReedLegend />
        </div>
      )}
      <Principles data={data} />
      {data.forms.map((one) => (
        <OverTime key={one.group} student={data.id} group={one.group} title={one.form.title} />
      ))}
      <StudentAtHome student={data.id} hasAddress={data.email !== null} />
      <Considerations student={data.id} />
      <Classes classes={data.classes} />
      <EverythingRecorded student={data.id} />
    </Page>
  );
}

interface InFormProps {
  data: Standing;
  of: StudentForm;
  before: StudentPage['forms'][number] | undefined;
  then: string;
}

function InForm({ data, of, before, then }: InFormProps) {
  const { t } = useTranslation();
  const [chosen, setChosen] = useState<number | null>(null);
  const { form, standing } = of;
  const spoken = (position: number) => form.entries[position - 1]?.number ?? position;
  const entry = chosen === null ? undefined : form.entries[chosen - 1];
  return (
    <section aria-label={form.title}>
      <Heading
        aside={[
          standing.frontier === null ? t('students.secureNone') : t('students.secure', { number: spoken(standing.frontier) }),
          t('students.holds', { count: standing.holding }),
        ].join(' · ')}
      >
        {form.title}
      </Heading>
      {before === undefined ? null : <p className="text-sm text-soft">{t('students.compareHint')}</p>}
      <ReedRibbon
        form={form}
        cells={standing.cells}
        before={before?.standing.cells}
        chosen={chosen}
        onChoose={(position) => {
          setChosen(position === chosen ? null : position);
        }}
        label={t('students.stands', { name: data.name, form: form.title })}
      />
      {before === undefined ? (
        <p className="mt-1 text-sm text-soft">{t('students.ribbonHint')}</p>
      ) : (
        <p className="mt-1 text-sm">
          {t('students.then', { day: day(then) })}: {t('students.holds', { count: before.standing.holding })} · {day(data.on)}:{' '}
          {t('students.holds', { count: standing.holding })}
        </p>
      )}
      {entry === undefined ? null : <History student={data.id} entry={entry} />}
      <div className="grid gap-x-10 lg:grid-cols-[3fr_2fr]">
        <CatchingUp of={of} />
        <Fading of={of} form={form} />
      </div>
    </section>
  );
}

/** What is missing, the most needed first, with what each needs. */
function CatchingUp({ of }: { of: StudentForm }) {
  const { t } = useTranslation();
  const needs = useNeedWords();
  return (
    <div>
      <h3 className="mt-4 text-lg">{t('students.catchUp')}</h3>
      {of.catchUp.length === 0 ? <p className="text-soft">{t('students.catchUpNone')}</p> : null}
      <ol className="m-0 list-none p-0">
        {of.catchUp.map((one) => (
          <li key={one.from} className="border-b border-line py-1.5">
            <strong>{needs.passage(one, of.form)}</strong>{' '}
            <span className="text-soft">
              ({needs.kinds(one)}) · {t(`students.needs.${one.need}`)} · {t('students.minutes', { minutes: one.minutes })}
            </span>
            {needs.asks(one, of.form).map((words) => (
              <span key={words} className="block">
                {words}
              </span>
            ))}
          </li>
        ))}
      </ol>
      {of.catchUp.length < 2 ? null : (
        <p className="mt-1 text-sm text-soft">{t('students.catchUpSum', { minutes: of.catchUpMinutes })}</p>
      )}
    </div>
  );
}

function Fading({ of, form }: { of: StudentForm; form: Form }) {
  const { t } = useTranslation();
  return (
    <div>
      <h3 className="mt-4 text-lg">{t('students.fading')}</h3>
      {of.fading.length === 0 ? <p className="text-soft">{t('students.fadingNone')}</p> : null}
      <ul className="m-0 list-none p-0">
        {of.fading.map((one) => (
          <li key={one.position} className="border-b border-line py-1.5">
            {t('students.fadingLine', {
              entry: entryName(form.entries[one.position - 1]),
              day: day(one.until),
              percent: Math.round(100 * one.recall),
            })}
          </li>
        ))}
      </ul>
    </div>
  );
}

function Principles({ data }: { data: Standing }) {
  const { t } = useTranslation();
  const words = useKeepingWords();
  return data.principles.map(({ group, principles, keepings }) => {
    const met = principles.principles.filter((one) => keepings.some((cell) => cell.principle === one.id));
    return (
      <section key={group}>
        <Heading aside={<TextLink to={`/principles/${principles.setId}`}>{principles.title}</TextLink>}>
          {t('students.principles', { group })}
        </Heading>
        {met.length === 0 ? <p className="text-soft">{t('students.principlesNone')}</p> : null}
        <ul className="m-0 grid list-none gap-x-10 p-0 sm:grid-cols-2">
          {met.map((one) => {
            const cell = keepings.find((other) => other.principle === one.id);
            return (
              <li key={one.id} className="flex items-center gap-3 border-b border-line py-1.5">
                <KeepingGlyph stroke={strokeOf(cell)} size={18} />
                <span>
                  {one.title} <span className="text-soft">· {words(cell)}</span>
                </span>
              </li>
            );
          })}
        </ul>
      </section>
    );
  });
}
