import { useTranslation } from '../../messages';

/** Every single thing that is wrong with a file, where it is more than one. */
export function Problems({ problems }: { problems: string[] }) {
  const { t } = useTranslation();
  if (problems.length < 2) return null;
  return (
    <section className="my-3 border-l-4 border-persimmon bg-sheet px-4 py-2 text-[0.95rem]">
      <h2 className="text-lg">{t('forms.problemsTitle')}</h2>
      <ul className="list-disc pl-5">
        {problems.map((problem) => (
          <li key={problem}>{problem}</li>
        ))}
      </ul>
    </section>
  );
}
