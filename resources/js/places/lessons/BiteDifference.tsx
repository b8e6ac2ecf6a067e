import { useTranslation } from '../../messages';
import type { Form, LessonPage } from '../../api/client';
import { entryName } from '../../kit/entryName';
import { sided } from '../../kit/sided';
import { say } from '../../messages/say';
import { SIDES } from './lesson';

interface Props {
  form: Form;
  position: number;
  difference: LessonPage['entries'][number]['difference'];
}

/** In one sentence, how an entry differs from the one a class knows, and whether the join into it is what is new. */
export function BiteDifference({ form, position, difference }: Props) {
  const { t } = useTranslation();
  const name = (at: number) => entryName(form.entries[at - 1]);
  const title = name(position);
  if (difference === null) return <>{t('lessons.page.biteNew', { title })}</>;
  const like = name(difference.like);
  const differs = sided(difference.differs.map(say).join(', '), SIDES);
  const says = difference.isMirrored
    ? differs === ''
      ? t('lessons.page.biteMirrorsPlain', { title, like })
      : t('lessons.page.biteMirrors', { title, like, differs })
    : differs === ''
      ? t('lessons.page.biteReturnsPlain', { title, like })
      : t('lessons.page.biteReturns', { title, like, differs });
  const isJoin = !difference.isMirrored && difference.isJoinNew && difference.before !== null;
  return (
    <>
      {says}
      {isJoin
        ? ` ${
            difference.beforeThere === null
              ? t('lessons.page.biteJoinStart', { here: name(difference.before ?? 0) })
              : t('lessons.page.biteJoin', { here: name(difference.before ?? 0), there: name(difference.beforeThere) })
          }`
        : null}
    </>
  );
}
