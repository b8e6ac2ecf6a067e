import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { termEndQuery } from '../../api/queries';
import { Button } from '../../kit/controls';
import { Heading } from '../../kit/page';
import { Carried } from './GroupPage';
import { useLetterWords } from './useLetterWords';
import { WithForms } from './WithForms';
import type { Form, TermEnd } from '../../api/client';

/** What of a term goes along into the one that is being laid after it. */
export function CarriesOver({ term, onLeave }: { term: string; onLeave: () => void }) {
  const { t } = useTranslation();
  const query = useQuery(termEndQuery(term));
  if (query.data === undefined) return null; // the term is laid without it too
  const end = query.data;
  return (
    <section aria-label={t('letters.group.carries')}>
      <Heading>{t('letters.group.carries')}</Heading>
      <p className="text-soft">{t('letters.group.along', { term: end.term.title })}</p>
      <WithForms end={end}>{(forms) => <Courses end={end} forms={forms} />}</WithForms>
      <Button look="quiet" className="mt-2" onClick={onLeave}>
        {t('letters.group.leave')}
      </Button>
    </section>
  );
}

function Courses({ end, forms }: { end: TermEnd; forms: Record<string, Form> }) {
  const words = useLetterWords(end, forms);
  return end.courses.map((one) => <Carried key={one.courseId} course={one} words={words} />);
}
