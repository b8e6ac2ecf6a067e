import { useQuery } from '@tanstack/react-query';
import type { Say } from '../../messages';
import { useTranslation } from '../../messages';
import type { Form, Passage, TermEnd } from '../../api/client';
import { sessionQuery } from '../../api/queries';
import { list } from '../../kit/format';
import { entryLine } from '../../kit/entryName';
import { type LetterWords, type Sentence, SENTENCES } from './letterText';

/** The words of the school, the usual ones where it has none, and what passages are called in its forms. */
export function useLetterWords(end: TermEnd, forms: Record<string, Form>): LetterWords {
  const { t } = useTranslation();
  const person = useQuery(sessionQuery).data?.person?.name ?? '';
  const own = end.words.words as Partial<Record<Sentence, string>>;
  return {
    sentences: sentencesOf(own, t),
    hasNumbers: end.words.hasNumbers,
    teacher: person,
    passages: (courseId, passages) => {
      const form = forms[courseId];
      return form === undefined ? '' : list(passages.map((one) => passageIn(form, one, t)));
    },
    title: (courseId, position) => forms[courseId]?.entries[position - 1]?.title ?? '',
    list,
  };
}

/** The sentences of a school, the usual one wherever it has none. */
export const sentencesOf = (own: Partial<Record<Sentence, string>>, t: Say) =>
  Object.fromEntries(
    SENTENCES.map((one) => [one, own[one] === undefined || own[one].trim() === '' ? t(`letters.words.usual.${one}`) : own[one]]),
  ) as Record<Sentence, string>;

/** What a passage is called where somebody reads it at home: its numbers, and its first and last title. */
function passageIn(form: Form, { from, to }: Passage, t: Say): string {
  const [first, last] = [form.entries[from - 1], form.entries[to - 1]];
  if (first === undefined || last === undefined) return '';
  if (from === to) return entryLine(first);
  const titles = first.title === last.title ? first.title : t('letters.titles', { first: first.title, last: last.title });
  return first.number === null || last.number === null
    ? titles
    : t('letters.passage', { from: first.number, to: last.number, titles });
}
