import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import type { Attendance, StudentCare } from '../../api/client';
import { careReasonsQuery } from './queries';
import { sessionQuery } from '../../api/queries';
import { Asked } from '../../kit/page';
import { Why } from '../../kit/Why';
import { everywhereOf } from './care';
import { useBodyWords } from './useBodyWords';

interface Props {
  meeting: string;
  care: StudentCare[];
  /** What was noted of the evening on this device, where it is known. */
  noted?: { id: string; name: string; of: Attendance }[];
  /** Paper says no reasons. */
  hasWhy?: boolean;
}

/** Who is careful in everything tonight, and who is asked before anything. */
export function CareHead({ meeting, care, noted, hasWhy = true }: Props) {
  const { t } = useTranslation();
  const may = useQuery(sessionQuery).data?.person?.may ?? [];
  const people = noted ?? care.map(({ studentId, name }) => ({ id: studentId, name, of: undefined }));
  const lines = people.flatMap(({ id, name, of }) => {
    const own = care.find((one) => one.studentId === id);
    const everywhere = everywhereOf(own, of);
    const said = [everywhere === null ? '' : t(`care.${everywhere}`), own?.asks === true ? t('care.asks') : ''].filter(Boolean);
    return said.length === 0 ? [] : [{ id, name, said: said.join('; ') }];
  });
  if (lines.length === 0 && care.every((one) => one.needs.length === 0)) return null;
  return (
    <div className="my-3 border-l-4 border-straw pl-3 text-[0.95rem]" role="group" aria-label={t('care.title')}>
      <strong>{t('care.title')}</strong>{' '}
      {hasWhy && care.length > 0 && may.includes('see-considerations') ? (
        <Why about={t('care.whyAbout')}>
          <Reasons meeting={meeting} />
        </Why>
      ) : null}
      {lines.length === 0 ? (
        <span>{t('care.inBoxes', { count: care.filter((one) => one.needs.length > 0).length })}</span>
      ) : (
        <ul className="m-0 list-none p-0">
          {lines.map((one) => (
            <li key={one.id}>
              <strong>{one.name}</strong>: {one.said}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** What each spares, asked for when it is opened and gone when it is closed. */
function Reasons({ meeting }: { meeting: string }) {
  const { t } = useTranslation();
  const query = useQuery(careReasonsQuery(meeting));
  const { considerations: bodies, strains } = useBodyWords();
  return (
    <Asked query={query}>
      {(all) => {
        const told = all.filter((one) => one.considerations.length > 0);
        return (
          <div className="max-h-[60vh] overflow-y-auto">
            {told.length === 0 ? <p>{t('care.whyNone')}</p> : null}
            {told.map((one) => (
              <div key={one.studentId} className="mb-2">
                <p className="font-medium">
                  {t('care.spares', { name: one.name, what: one.considerations.map((what) => bodies[what]).join(', ') })}
                </p>
                <ul className="m-0 list-none p-0 text-sm">
                  {[
                    ...new Set(
                      one.reasons.map((reason) => {
                        const said = { title: reason.title, for: bodies[reason.for], text: reason.text, variant: reason.variant };
                        if (reason.do === null)
                          return t('care.reasonAsk', {
                            ...said,
                            strains: reason.strains.map((strain) => strains[strain]).join(', '),
                          });
                        const what = t(`care.variantDo.${reason.do as 'skip'}`);
                        if (reason.variant !== null) return t('care.reasonVariant', { ...said, do: what });
                        return t(reason.text === null ? 'care.reason' : 'care.reasonText', { ...said, do: what });
                      }),
                    ),
                  ].map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              </div>
            ))}
            <p className="text-sm text-soft">{t('care.private')}</p>
          </div>
        );
      }}
    </Asked>
  );
}
