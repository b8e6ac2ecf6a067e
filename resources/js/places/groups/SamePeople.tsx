import { useState } from 'react';
import { useTranslation } from '../../messages';
import { list } from '../../kit/format';
import { Options } from '../../kit/Options';
import { type Known, Problem } from '../../api/client';

/** Who is meant by names that are there already: by name, a student's id, or null for another person. */
export type Meant = Record<string, string | null>;

/** What the server is told of those names. */
export function told(meant: Meant): { same: Record<string, string>; others: string[] } {
  const entries = Object.entries(meant);
  return {
    same: Object.fromEntries(entries.filter((one): one is [string, string] => one[1] !== null)),
    others: entries.filter(([, id]) => id === null).map(([name]) => name),
  };
}

/** Names the server asked about, and what was answered. An answer is supposed where only one person can be meant. */
export function useSamePeople() {
  const [known, setKnown] = useState<Known[]>([]);
  const [meant, setMeant] = useState<Meant>({});
  return {
    known,
    meant,
    setMeant,
    /** Whether this refusal is a question about names; it is asked from then on. */
    asks(error: unknown): boolean {
      if (!(error instanceof Problem) || error.known.length === 0) return false;
      setKnown(error.known);
      setMeant(
        Object.fromEntries(
          error.known.map(({ name, students }) => [name, students.length === 1 ? (students[0]?.id ?? null) : null]),
        ),
      );
      return true;
    },
    forget() {
      setKnown([]);
      setMeant({});
    },
  };
}

interface Props {
  known: Known[];
  meant: Meant;
  onMean: (meant: Meant) => void;
}

/** Somebody who is not there yet. */
const OTHER = 'other:';

/** Asks, for each name that is there already, whether it is the same person: one student keeps one record. */
export function SamePeople({ known, meant, onMean }: Props) {
  const { t } = useTranslation();
  if (known.length === 0) return null;
  return (
    <div role="group" aria-label={t('groups.knownTitle')} className="border-l-4 border-straw bg-straw-soft px-4 py-2">
      <h3 className="text-lg">{t('groups.knownTitle')}</h3>
      <p className="text-sm">{t('groups.knownHint')}</p>
      {known.map(({ name, students }) => (
        <fieldset key={name} className="mt-2 border-0 p-0">
          <legend className="font-medium">{name}</legend>
          <Options
            label={name}
            value={meant[name] === undefined ? null : (meant[name] ?? OTHER)}
            onValue={(value) => {
              onMean({ ...meant, [name]: value === OTHER ? null : value });
            }}
            of={[
              ...students.map((student) => ({
                value: student.id,
                text:
                  student.groups.length === 0
                    ? t('groups.knownNone', { name })
                    : t('groups.knownIn', { name, groups: list(student.groups) }),
              })),
              { value: OTHER, text: t('groups.knownOther') },
            ]}
          />
        </fieldset>
      ))}
    </div>
  );
}
