import { CatchUpKind } from '../../api/enums';
import { useTranslation } from '../../messages';
import { entryName } from '../../kit/entryName';
import type { Form, StudentForm } from '../../api/client';

type CatchUp = StudentForm['catchUp'][number];

interface NeedWords {
  /** The passage, by the names of its ends. */
  passage: (one: CatchUp, form: Form) => string;
  /** In what way it is lacking: "2 missed, 1 a hole". */
  kinds: (one: CatchUp) => string;
  /** What it asks for, each thing once, with the movements it is asked of where it is not asked of all. */
  asks: (one: CatchUp, form: Form) => string[];
}

/** What something that is missing asks for. */
export function useNeedWords(): NeedWords {
  const { t } = useTranslation();
  const ask = (one: CatchUp['lacking'][number]): string => {
    if (one.kind === 'missed') return t(one.recall === null ? 'students.what.missed' : 'students.what.hardlyMet');
    if (one.support === null) return t('students.what.unseen');
    if (one.support === 'Unmet' || one.support === 'Following' || one.support === 'Cued')
      return t(`students.what.${one.support}`);
    return t('students.what.weak', { percent: Math.round(100 * (one.recall ?? 0)) });
  };
  return {
    passage: (one, form) => {
      const [from, to] = [entryName(form.entries[one.from - 1]), entryName(form.entries[one.to - 1])];
      return one.from === one.to ? from : t('students.passage', { from, to });
    },
    kinds: (one) =>
      CatchUpKind.map((kind) => [kind, one.lacking.filter((each) => each.kind === kind).length] as const)
        .filter(([, count]) => count > 0)
        .map(([kind, count]) => (one.lacking.length === 1 ? t(`students.${kind}`) : t(`students.lacking.${kind}`, { count })))
        .join(', '),
    asks: (one, form) => {
      const by = new Map<string, number[]>();
      for (const each of one.lacking) by.set(ask(each), [...(by.get(ask(each)) ?? []), each.position]);
      return [...by].map(([words, positions]) =>
        by.size === 1
          ? words
          : t('students.asked', { of: positions.map((at) => entryName(form.entries[at - 1])).join(', '), words }),
      );
    },
  };
}
