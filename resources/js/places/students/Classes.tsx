import { TextLink } from '../../kit/controls';
import { useTranslation } from '../../messages';
import type { StudentPage } from '../../api/client';
import { day } from '../../kit/format';
import { Heading } from '../../kit/page';
import { isKeeping } from '../../pictures/keeping';
import { isSupport } from '../../pictures/reed';

/** The classes of a student's groups, with what was marked of them there and what the log says. */
export function Classes({ classes }: { classes: StudentPage['classes'] }) {
  const { t } = useTranslation();
  const level = (name: string, isPrinciple: boolean) =>
    isPrinciple && isKeeping(name) ? t(`keeping.${name}`) : !isPrinciple && isSupport(name) ? t(`support.${name}`) : name;
  return (
    <section>
      <Heading>{t('students.classes')}</Heading>
      {classes.length === 0 ? <p className="text-soft">{t('students.classesNone')}</p> : null}
      <ol className="m-0 list-none p-0">
        {classes.map((one) => (
          <li key={one.meetingId} className="border-b border-line py-2">
            <TextLink to={`/meetings/${one.meetingId}`}>{day(one.on, 'weekday')}</TextLink>{' '}
            <span className={one.came ? '' : 'text-soft'}>
              {one.group} · {t(one.came ? 'students.here' : 'students.away')}
            </span>
            {one.marks.length === 0 ? null : (
              <span className="block text-[0.95rem]">
                {one.marks
                  .map((mark) =>
                    t('students.markLine', {
                      what: mark.what,
                      side: mark.side === null ? '' : ` (${t(`side.${mark.side as 'left'}`)})`,
                      level: level(mark.level, mark.isPrinciple),
                    }),
                  )
                  .join(' · ')}
              </span>
            )}
            {one.note === null ? null : <span className="block text-sm text-soft">{t('students.note', { note: one.note })}</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}
