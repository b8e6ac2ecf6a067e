import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { api, ask, type CueCard, type Form, type MeetingPage, type Passage } from '../../api/client';
import { meetingQuery } from '../../api/queries';
import { keys } from '../../api/keys';
import { Button, ButtonLink, PrintButton } from '../../kit/controls';
import { entryLine } from '../../kit/entryName';
import { clock, day } from '../../kit/format';
import { Asked, Page } from '../../kit/page';
import { sided } from '../../kit/sided';
import { WithForms } from '../../kit/WithForms';
import { useAddressed } from '../../kit/useAddressed';
import { sentence } from '../../messages/say';
import { partOf, positionsIn } from '../../pictures/coursePart';
import { CareHead } from '../care/CareHead';
import { formsBy, namedForm } from './formsBy';
import { PlanList } from './PlanList';

/** Tonight on one page: to the minute, with cues and cautions of what is new, who was away and who is new. */
export function SheetPlace() {
  const { meeting = '' } = useParams();
  const query = useQuery(meetingQuery(meeting));
  return (
    <Asked query={query}>
      {(page) => <WithForms of={page.courses.map(namedForm)}>{(forms) => <Sheet page={page} forms={forms} />}</WithForms>}
    </Asked>
  );
}

function Sheet({ page, forms }: { page: MeetingPage; forms: Form[] }) {
  const { t } = useTranslation();
  const { meeting, term } = page;
  const [address, setAddress] = useAddressed();
  // What hangs on a wall has what everyone may know.
  const isForWall = address.get('wall') !== null;
  return (
    <Page
      title={`${term.groupName}, ${day(meeting.on, 'long')}`}
      kicker={[clock(meeting.startsAt), t('plan.minutes', { count: meeting.minutes }), page.room].filter(Boolean).join(' · ')}
      actions={
        <>
          <PrintButton />
          <Button
            aria-pressed={isForWall}
            onClick={() => {
              setAddress({ wall: isForWall ? null : '1' });
            }}
          >
            {t(isForWall ? 'care.wallOff' : 'care.wall')}
          </Button>
          <ButtonLink to={`/meetings/${meeting.id}`}>{t('terms.openMeeting')}</ButtonLink>
        </>
      }
    >
      <div className="sheet">
        {isForWall ? <p className="no-print text-soft">{t('care.wallHint')}</p> : null}
        {page.awayLast.length > 0 && !isForWall ? (
          <p>
            <strong>{t('meeting.awayLast')}</strong> {page.awayLast.join(', ')}
          </p>
        ) : null}
        {page.newcomers.length > 0 && !isForWall ? (
          <p>
            <strong>{t('meeting.newcomers')}</strong> {page.newcomers.join(', ')}
          </p>
        ) : null}
        {isForWall ? null : <CareHead meeting={meeting.id} care={page.care} hasWhy={false} />}
        <PlanList
          meeting={meeting}
          forms={formsBy(page, forms)}
          form={forms[0] as Form}
          principles={page.principles}
          warmUps={page.warmUps}
          care={isForWall ? [] : page.care}
        />
        {page.courses.map((course, at) => (
          <Cues key={course.courseId} page={page} course={course.courseId} form={forms[at] as Form} />
        ))}
      </div>
    </Page>
  );
}

/** The positions of everything a course touches tonight, and of what is new. */
function tonight(page: MeetingPage, course: string): { all: number[]; fresh: Set<number> } {
  const part = partOf(page.meeting, course);
  const positions = (passages: (Passage | null)[]) => passages.flatMap((one) => (one === null ? [] : positionsIn(one)));
  const fresh = new Set(positions(part.lessons));
  const all = [...new Set([...fresh, ...positions([part.recap, part.runThrough, ...part.review])])].sort((a, b) => a - b);
  return { all, fresh };
}

/** Cues and checks of what is new tonight, and the cautions of whatever is done: no sheet is shown without them. */
function Cues({ page, course, form }: { page: MeetingPage; course: string; form: Form }) {
  const { all, fresh } = tonight(page, course);
  const [from, to] = [all[0] ?? 0, all[all.length - 1] ?? 0];
  const cards = useQuery({
    queryKey: keys.cards(form.id, { from, to, by: 'facing' }),
    enabled: all.length > 0,
    queryFn: () =>
      ask(api.GET('/api/forms/{form}/cards', { params: { path: { form: form.id }, query: { from, to, view: 'facing' } } })),
  });
  if (all.length === 0) return null;
  return (
    <Asked query={cards}>
      {(found) => <Told form={form} cards={found.filter((card) => all.includes(card.position))} fresh={fresh} />}
    </Asked>
  );
}

function Told({ form, cards, fresh }: { form: Form; cards: CueCard[]; fresh: Set<number> }) {
  const { t } = useTranslation();
  const told = cards.filter(
    (card) => fresh.has(card.position) && card.cues.length + card.cautions.length + card.checks.length > 0,
  );
  const careful = cards.filter((card) => !fresh.has(card.position) && card.cautions.length > 0);
  if (told.length + careful.length === 0) return null;
  return (
    <section aria-label={t('meeting.cues', { form: form.title })}>
      <h2 className="mt-4 mb-1 text-xl">{t('meeting.cues', { form: form.title })}</h2>
      {cards.some((card) => card.needsSupport) ? <p className="font-medium">{t('meeting.ready')}</p> : null}
      <ul className="m-0 list-none p-0">
        {told.map((card) => (
          <li key={card.position} className="border-b border-line py-1">
            <strong>{entryLine(card)}</strong>
            {card.cues.length > 0 ? <span> · {card.cues.map((cue) => sided(cue, card)).join('; ')}</span> : null}
            {card.checks.length > 0 ? (
              <span className="text-soft"> · {card.checks.map((check) => sided(check, card)).join('; ')}</span>
            ) : null}
            <Cautions card={card} />
          </li>
        ))}
        {careful.map((card) => (
          <li key={card.position} className="border-b border-line py-1">
            {entryLine(card)}
            <Cautions card={card} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Cautions({ card }: { card: CueCard }) {
  return card.cautions.length === 0 ? null : (
    <span className="font-medium text-persimmon">
      {' '}
      · {card.cautions.map((caution) => sided(sentence(caution), card)).join(' ')}
    </span>
  );
}
