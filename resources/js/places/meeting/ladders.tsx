import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import { KEEPINGS, type Keeping } from '../../pictures/keeping';
import { KeepingGlyph } from '../../pictures/KeepingGlyph';
import { LADDER, type Support } from '../../pictures/reed';
import { ReedGlyph } from '../../pictures/ReedGlyph';

/** What can be marked of one kind, from the first key on: its words, what is seen, and how it is drawn. */
export interface Ladder<L extends string> {
  levels: readonly L[];
  word: (level: L) => string;
  seen: (level: L) => string;
  glyph: (level: L, isOn: boolean) => ReactNode;
}

/** What a student needed on an entry. */
export function useSupportLadder(): Ladder<Support> {
  const { t } = useTranslation();
  return {
    levels: LADDER.slice(1),
    word: (level) => t(`support.${level}`),
    seen: (level) => t(`supportSeen.${level}`),
    glyph: (level, isOn) => (
      <ReedGlyph reed={{ segments: LADDER.indexOf(level), sureness: isOn ? 'solid' : 'outlined' }} size={24} />
    ),
  };
}

/** How well a student keeps a principle. */
export function useKeepingLadder(): Ladder<Keeping> {
  const { t } = useTranslation();
  return {
    levels: KEEPINGS.slice(1),
    word: (level) => t(`keeping.${level}`),
    seen: (level) => t(`keepingSeen.${level}`),
    glyph: (level, isOn) => <KeepingGlyph stroke={{ ticks: KEEPINGS.indexOf(level), sureness: isOn ? 'solid' : 'outlined' }} />,
  };
}
