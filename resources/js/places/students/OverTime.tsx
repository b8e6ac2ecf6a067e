import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { Fold } from '../../kit/Fold';
import { studentLineQuery } from './queries';
import { day, number } from '../../kit/format';
import { Asked, Heading } from '../../kit/page';
import { useWanted, wantedPart } from '../../kit/wanted';

// Charts are heavy: they come when one is looked at.
const overTime = wantedPart(async () => (await import('../../pictures/LineOverTime')).LineOverTime);

interface Props {
  student: string;
  group: string;
  title: string;
}

/** A student over time in one form, as a line and as a table. */
export function OverTime({ student, group, title }: Props) {
  const { t } = useTranslation();
  const query = useQuery(studentLineQuery(student, group));
  const LineOverTime = useWanted(overTime, true);
  return (
    <section>
      <Heading aside={title}>{t('students.overTime')}</Heading>
      <Asked query={query}>
        {(points) =>
          points.length < 2 ? (
            <p className="text-soft">{t('students.classesNone')}</p>
          ) : (
            <>
              <p className="text-sm text-soft">{t('students.lineHint')}</p>
              <div className="min-h-64">{LineOverTime === null ? null : <LineOverTime points={points} />}</div>
              <Fold look="link" className="mt-2" title={t('students.table')}>
                <table className="border-collapse text-sm">
                  <thead>
                    <tr>
                      {[t('students.day'), t('students.holding'), t('students.expected'), t('students.marks')].map((head) => (
                        <th key={head} scope="col" className="border-b border-ink pr-6 text-left font-medium">
                          {head}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {[...points].reverse().map((one) => (
                      <tr key={one.on} className="border-b border-line">
                        <th scope="row" className="pr-6 text-left font-normal">
                          {day(one.on)}
                        </th>
                        <td className="tabular-nums">{one.holding}</td>
                        <td className="tabular-nums">{number(one.expected, 1)}</td>
                        <td className="tabular-nums">{one.marks}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </Fold>
            </>
          )
        }
      </Asked>
    </section>
  );
}
