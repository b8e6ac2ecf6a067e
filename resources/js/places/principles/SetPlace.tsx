import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { ulid } from 'ulid';
import type { Principle, PrincipleSet } from '../../api/client';
import { principleSetQuery } from '../../api/queries';
import { Button, RefusalLine, TextArea, TextField } from '../../kit/controls';
import { Asked, Heading } from '../../kit/page';
import { PrincipleText } from '../meeting/FocusText';
import { Removing } from '../Removing';
import { linesOf } from './lines';
import { PrincipleEditor } from './PrincipleEditor';
import { SetPages } from './SetPages';
import { ShowsMost } from './ShowsMost';
import { type SetEdits, useSetEdits } from './useSetEdits';

/** A set of principles: read, and changed as one goes. */
export function SetPlace() {
  const { set = '' } = useParams();
  const query = useQuery(principleSetQuery(set));
  return <Asked query={query}>{(data) => <Read key={data.id} set={data} />}</Asked>;
}

const HEAD = 'head';

function Read({ set }: { set: PrincipleSet }) {
  const { t } = useTranslation();
  const edits = useSetEdits(set);
  const [open, setOpen] = useState<string | null>(null);
  const ids = set.principles.map((one) => one.key);
  const move = (at: number, by: number) => {
    const next = [...ids];
    const [moved] = next.splice(at, 1);
    if (moved === undefined) return;
    next.splice(at + by, 0, moved);
    edits.save([{ what: 'order', ids: next }]);
  };
  return (
    <SetPages
      set={set}
      actions={
        <>
          <Button
            onClick={() => {
              setOpen(open === HEAD ? null : HEAD);
            }}
          >
            {t('principles.edit.head')}
          </Button>
          <Button
            look="primary"
            onClick={(event) => {
              if (event.detail > 1) return; // the second half of a double click makes no second one
              const key = `p${ulid().slice(-8).toLowerCase()}`;
              edits.save([{ what: 'put', principle: { id: key, title: t('principles.edit.newTitle') } }]);
              setOpen(key);
            }}
          >
            {t('principles.edit.add')}
          </Button>
        </>
      }
    >
      <p role="status" className="min-h-6 text-sm text-soft">
        {edits.isSaving ? t('principles.edit.saving') : ''}
      </p>
      <RefusalLine refusal={edits.refusal} className="mb-3" />
      {edits.refusal?.canBeSentAgain ? <Button onClick={edits.again}>{t('app.retry')}</Button> : null}
      {open === HEAD ? (
        <Head set={set} edits={edits} />
      ) : set.about === null ? null : (
        <p className="mb-4 max-w-3xl text-sm text-soft">{set.about}</p>
      )}
      <ol className="m-0 list-none p-0">
        {set.principles.map((one, at) => (
          <li key={one.key} className="border-t border-line py-3">
            {one.family !== null && one.family !== set.principles[at - 1]?.family ? (
              <p className="mb-2 font-serif text-xl font-semibold">{one.family}</p>
            ) : null}
            <div className="grid gap-x-8 gap-y-2 lg:grid-cols-[1fr_auto]">
              <One principle={one} set={set} />
              <div className="no-print flex flex-wrap items-start gap-1">
                <Button
                  look="quiet"
                  className="px-2"
                  aria-expanded={open === one.key}
                  aria-label={`${t(open === one.key ? 'principles.edit.close' : 'principles.edit.open')}: ${one.title}`}
                  onClick={() => {
                    setOpen(open === one.key ? null : one.key);
                  }}
                >
                  {t(open === one.key ? 'principles.edit.close' : 'principles.edit.open')}
                </Button>
                {(
                  [
                    ['up', -1],
                    ['down', 1],
                  ] as const
                ).map(([way, by]) => (
                  <Button
                    key={way}
                    look="quiet"
                    className="px-2"
                    disabled={set.principles[at + by] === undefined}
                    aria-label={`${t(`principles.edit.${way}`)}: ${one.title}`}
                    onClick={() => {
                      move(at, by);
                    }}
                  >
                    {t(`principles.edit.${way}`)}
                  </Button>
                ))}
              </div>
            </div>
            {open === one.key ? (
              <PrincipleEditor
                key={one.key}
                set={set}
                principle={one}
                edits={edits}
                onRemoved={() => {
                  setOpen(null);
                }}
              />
            ) : null}
          </li>
        ))}
      </ol>
      <p className="no-print mt-6">
        <Removing what="principleSet" id={set.id} label={t('principles.remove')} to="/principles" />
      </p>
    </SetPages>
  );
}

function One({ principle, set }: { principle: Principle; set: PrincipleSet }) {
  const { t } = useTranslation();
  const titles = principle.after.map((key) => set.principles.find((one) => one.key === key)?.title ?? key);
  return (
    <div className="max-w-3xl min-w-0">
      <h2 className="inline text-lg">{principle.title}</h2>
      {titles.length === 0 ? null : (
        <span className="text-sm text-soft"> · {t('principles.after', { titles: titles.join(', ') })}</span>
      )}
      <PrincipleText principle={principle} />
      {set.forms
        .filter((form) => form.bites > 0)
        .map((form) => (
          <ShowsMost key={form.id} set={set.id} principle={principle} form={form.id} />
        ))}
    </div>
  );
}

/** What the set is called, where its words come from, and its families. */
function Head({ set, edits }: { set: PrincipleSet; edits: SetEdits }) {
  const { t } = useTranslation();
  const [title, setTitle] = useState(set.title);
  const [about, setAbout] = useState(set.about ?? '');
  const [families, setFamilies] = useState(set.families.join('\n'));
  const save = () => {
    const now = [...new Set(linesOf(families))];
    if (title.trim() === '') return;
    const isSame = title.trim() === set.title && about.trim() === (set.about ?? '') && now.join('\n') === set.families.join('\n');
    if (isSame) return;
    // As many families as before: what changed its words in its place is called another way, and keeps its principles.
    const renamed =
      now.length === set.families.length
        ? Object.fromEntries(set.families.flatMap((was, at) => (now.includes(was) ? [] : [[was, now[at] ?? was]])))
        : {};
    edits.save([{ what: 'head', title: title.trim(), about: about.trim() === '' ? null : about.trim(), families: now, renamed }]);
  };
  return (
    <Heading>
      <span className="grid w-full max-w-3xl gap-3 font-sans text-base font-normal">
        <TextField
          label={t('principles.edit.setTitle')}
          value={title}
          maxLength={300}
          error={title.trim() === '' ? t('fields.required') : undefined}
          onChange={(event) => {
            setTitle(event.target.value);
          }}
          onBlur={save}
        />
        <TextArea
          label={t('principles.edit.about')}
          rows={3}
          maxLength={2000}
          value={about}
          onChange={(event) => {
            setAbout(event.target.value);
          }}
          onBlur={save}
        />
        <TextArea
          label={t('principles.edit.families')}
          rows={4}
          value={families}
          onChange={(event) => {
            setFamilies(event.target.value);
          }}
          onBlur={save}
        />
      </span>
    </Heading>
  );
}
