import { Button } from './controls';
import { Heading } from './page';

interface Props {
  title: string;
  hint: string;
  /** What the button of each says. */
  use: string;
  of: { title: string; about: string; text: string }[];
  isBusy: boolean;
  onUse: (text: string) => void;
}

/** What comes with Gorvan to begin from, each with where it comes from. */
export function StarterList({ title, hint, use, of, isBusy, onUse }: Props) {
  if (of.length === 0) return null;
  return (
    <section className="max-w-5xl">
      <Heading aside={hint}>{title}</Heading>
      <ul className="m-0 list-none p-0">
        {of.map((one) => (
          <li key={one.title} className="flex flex-wrap items-start justify-between gap-x-8 gap-y-2 border-b border-line py-3">
            <div className="max-w-2xl min-w-64 grow basis-80">
              <h3 className="text-lg">{one.title}</h3>
              <p className="text-sm text-soft">{one.about}</p>
            </div>
            <Button
              disabled={isBusy}
              aria-label={`${use}: ${one.title}`}
              onClick={() => {
                onUse(one.text);
              }}
            >
              {use}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
