import { CueView } from '../../api/enums';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { api, ask, type CueCard, type Form } from '../../api/client';
import { formQuery } from '../../api/queries';
import { keys } from '../../api/keys';
import { PrintButton } from '../../kit/controls';
import { Asked } from '../../kit/page';
import { sided } from '../../kit/sided';
import { Segmented } from '../../kit/Segmented';
import { Select } from '../../kit/Select';
import { useAddressed } from '../../kit/useAddressed';
import { FormPages } from '../forms/FormPages';
import { cuesLeft, type Fading, FADINGS } from '../lessons/lesson';
import { PassageChoice } from './PassageChoice';
import { passageIn } from './passageIn';
import { say, sentence } from '../../messages/say';

/** What a teacher says, entry by entry, turned for where the teacher stands; to read from two metres, or to print. */
export function CardsPlace() {
  const { form = '' } = useParams();
  const query = useQuery(formQuery(form));
  return <Asked query={query}>{(data) => <Deck key={data.id} form={data} />}</Asked>;
}

function Deck({ form }: { form: Form }) {
  const { t } = useTranslation();
  const addressed = useAddressed();
  const [search, say] = addressed;
  const first = form.lessons[0];
  const [passage, setPassage] = passageIn(
    addressed,
    form,
    first ? { from: first.from, to: first.to } : { from: 1, to: form.entries.length },
  );
  const view: CueView = CueView.find((one) => one === search.get('view')) ?? 'facing';
  const fading: Fading = FADINGS.find((one) => one === search.get('cues')) ?? 'all';
  const paper = search.get('paper') === 'letter' ? 'letter' : 'a4';
  const asked = { ...passage, view };
  const query = useQuery({
    queryKey: keys.cards(form.id, asked),
    queryFn: () => ask(api.GET('/api/forms/{form}/cards', { params: { path: { form: form.id }, query: asked } })),
  });
  useEffect(() => {
    // The size of the paper can only be said in a rule of the page.
    const style = document.createElement('style');
    style.textContent = `@page { size: ${paper === 'a4' ? 'A4' : 'letter'} portrait; margin: 12mm; }`;
    document.head.append(style);
    return () => {
      style.remove();
    };
  }, [paper]);

  return (
    <FormPages id={form.id} title={form.title} actions={<PrintButton />}>
      <div className="no-print">
        <PassageChoice form={form} passage={passage} onChange={setPassage} />
        <div className="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
          <div>
            <p className="text-sm font-medium">{t('cards.view')}</p>
            <Segmented
              label={t('cards.view')}
              value={view}
              onValue={(to) => {
                say({ view: to });
              }}
              of={CueView.map((one) => ({ value: one, text: t(`cards.views.${one}`) }))}
            />
          </div>
          <div className="w-40">
            <Select
              label={t('cards.cues')}
              value={fading}
              onValue={(cues) => {
                say({ cues: cues === 'all' ? null : cues });
              }}
              of={FADINGS.map((value) => ({ value, text: t(`lessons.page.fading.${value}`) }))}
            />
          </div>
          <div className="w-32">
            <Select
              label={t('cards.paper')}
              value={paper}
              onValue={(value) => {
                say({ paper: value });
              }}
              of={[
                { value: 'a4', text: t('cards.a4') },
                { value: 'letter', text: t('cards.letter') },
              ]}
            />
          </div>
        </div>
        <p className="mt-1 text-sm text-soft">
          {t(`cards.viewHints.${view}`)} {t('cards.hint')}
        </p>
      </div>
      <Asked query={query}>
        {(cards) => (
          <ol className="cards m-0 mt-4 grid list-none gap-4 p-0 lg:grid-cols-2">
            {cards.map((card) => (
              <Card key={card.position} card={card} fading={fading} footer={`${form.title} · ${t(`cards.views.${view}`)}`} />
            ))}
          </ol>
        )}
      </Asked>
      <p className="mt-6 text-xs text-soft">{t('plan.care')}</p>
    </FormPages>
  );
}

function Card({ card, fading, footer }: { card: CueCard; fading: Fading; footer: string }) {
  const { t, table } = useTranslation();
  const sides = table('cards.sideWord');
  const done = [
    card.side === null
      ? null
      : `${sides[card.side] ?? card.side}${card.own === null ? '' : ` (${t('cards.yours', { side: card.own })})`}`,
    card.repetition,
    card.turn === null ? null : say(card.turn),
    ...card.travel.map(say),
  ].filter((part) => part !== null);
  return (
    <li className="card flex flex-col border border-line bg-sheet p-5">
      <h2 className="card-title text-3xl break-words">
        {card.number === null ? '' : <span className="text-pine">{card.number}. </span>}
        {card.title}
        {card.alias === null ? null : <span className="font-normal text-soft"> {card.alias}</span>}
      </h2>
      {done.length > 0 ? <p className="card-said mt-1 text-lg">{done.join(' · ')}</p> : null}
      {card.cues.length > 0 ? (
        <ul className="card-cues mt-3 list-none p-0 font-serif text-2xl">
          {cuesLeft(card, fading).map((cue) => (
            <li key={cue}>{sided(cue, card)}</li>
          ))}
        </ul>
      ) : (
        <p className="no-print mt-3 text-soft">{t('cards.noCue')}</p>
      )}
      {card.breaths.length > 0 ? (
        <p className="card-said mt-2 text-soft">
          {t('cards.breaths')}: {card.breaths.join(' – ')}
        </p>
      ) : null}
      <div className="card-small mt-auto pt-3 text-sm">
        {card.checks.length > 0 ? (
          <p>
            <strong className="font-semibold">{t('cards.look')}:</strong>{' '}
            {card.checks.map((check) => sided(check, card)).join('; ')}
          </p>
        ) : null}
        {card.cautions.length > 0 ? (
          <p className="border-l-4 border-straw pl-2">
            <strong className="font-semibold">{t('cards.care')}:</strong>{' '}
            {card.cautions.map((caution) => sided(sentence(caution), card)).join(' ')}
          </p>
        ) : null}
        <p className="hidden pt-1 text-soft print:block">{footer}</p>
      </div>
    </li>
  );
}
