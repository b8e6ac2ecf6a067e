import { useState } from 'react';
import { useTranslation } from '../messages';
import type { Form, MinePassage } from '../api/client';
import { Button } from '../kit/controls';
import { PassageOfSheet } from '../places/practice/HomeSheet';
import { Walking } from '../places/run/Pacer';
import { PathPicture } from '../pictures/PathPicture';

/** One passage: what is done, the breath to go with it, and the way over the floor. */
export function PassageCard({ one, form, next }: { one: MinePassage; form: Form | undefined; next: string }) {
  const { t } = useTranslation();
  const [isBreathing, setBreathing] = useState(false);
  const { from, to } = one.passage;
  return (
    <article className="mt-4 border-t border-line pt-3">
      <PassageOfSheet passage={one.passage} next={next} />
      <PathPicture path={one.path} />
      {form === undefined || one.beats.length === 0 ? null : (
        <>
          <Button
            className="mt-2 min-h-14 w-full"
            aria-expanded={isBreathing}
            onClick={() => {
              setBreathing(!isBreathing);
            }}
          >
            {t(isBreathing ? 'mine.stop' : 'mine.breathe')}
          </Button>
          {isBreathing ? <Walking form={form} beats={one.beats} passage={{ from, to }} /> : null}
        </>
      )}
    </article>
  );
}
