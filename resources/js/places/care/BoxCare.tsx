import { useTranslation } from '../../messages';
import type { Form, StudentCare } from '../../api/client';
import { entryName } from '../../kit/entryName';
import { together } from './care';

interface Props {
  care: StudentCare[];
  box: string;
  /** By course. */
  forms: Record<string, Form>;
}

/** Who does what otherwise in one box; never why. */
export function BoxCare({ care, box, forms }: Props) {
  const { t } = useTranslation();
  const rows = care
    .map((one) => ({ one, needs: one.needs.filter((need) => need.box === box) }))
    .filter(({ needs }) => needs.length > 0);
  if (rows.length === 0) return null;
  return (
    <ul aria-label={t('care.title')} className="m-0 mt-1 list-none border-l-4 border-straw p-0 pl-3 text-[0.95rem]">
      {rows.map(({ one, needs }) => (
        <li key={one.studentId}>
          <strong>{one.name}</strong>:{' '}
          {[
            ...together(needs).map(({ do: what, needs: of }) => {
              const names = of
                .map((need) =>
                  need.position === null
                    ? need.title
                    : entryName(forms[need.courseId ?? '']?.entries[need.position - 1] ?? { number: null, title: need.title }),
                )
                .join(', ');
              return `${what === null ? t('care.askFor') : t(`care.do.${what as 'skip'}`)} ${names}`;
            }),
            ...needs.flatMap((need) =>
              need.variants.map((variant) =>
                t('care.variant', { title: need.title, variant: variant.title, do: t(`care.variantDo.${variant.do as 'skip'}`) }),
              ),
            ),
          ].join('; ')}
        </li>
      ))}
    </ul>
  );
}
