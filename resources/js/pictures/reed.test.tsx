import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';
import type { Cell } from '../api/client';
import '../messages';
import { reedOf } from './reed';
import { ReedGlyph } from './ReedGlyph';
import { useReedWords } from './useReedWords';

const cell = (change: Partial<Cell>): Cell => ({
  position: 1,
  support: null,
  recall: 0.9,
  sureness: 'good',
  holds: false,
  isAssumed: false,
  isMet: true,
  left: null,
  right: null,
  ...change,
});

afterEach(cleanup);

describe('the reed', () => {
  test.each([
    ['Following', 'good', { segments: 1, sureness: 'solid' }],
    ['Leading', 'good', { segments: 5, sureness: 'solid' }],
    ['Alone', 'fading', { segments: 3, sureness: 'outlined' }],
    ['Unmet', 'good', { segments: 0, sureness: 'solid' }],
  ] as const)('%s with %s recall has as many segments as its level, solid when it is good', (support, sureness, reed) => {
    expect(reedOf(cell({ support, sureness }))).toEqual(reed);
  });

  test('is dotted where nobody has looked, and nothing where there is no record', () => {
    expect(reedOf(cell({ isAssumed: true }))).toEqual({ segments: 3, sureness: 'dotted' });
    expect(reedOf(cell({}))).toEqual({ segments: 1, sureness: 'dotted' });
    expect(reedOf(cell({ isMet: false }))).toEqual({ segments: 0, sureness: 'none' });
    expect(reedOf(undefined).sureness).toBe('none');
  });

  test('is told apart by shape and not by colour: fill, outline and dashes', () => {
    const drawn = (sureness: 'solid' | 'outlined' | 'dotted') => {
      const { container } = render(<ReedGlyph reed={{ segments: 2, sureness }} />);
      const rect = container.querySelector('rect');
      return [rect?.getAttribute('fill') === 'none', rect?.hasAttribute('stroke-dasharray')];
    };
    expect([drawn('solid'), drawn('outlined'), drawn('dotted')]).toEqual([
      [false, false],
      [true, false],
      [true, true],
    ]);
  });

  test('is heard as words', () => {
    function Words() {
      const words = useReedWords();
      return (
        <p>
          {[
            cell({ support: 'Alone' }),
            cell({ support: 'Cued', sureness: 'fading' }),
            cell({ support: 'Cued', sureness: 'weak' }),
            cell({ isAssumed: true }),
            cell({}),
            cell({ support: 'Cued', left: 'Cued', right: 'Alone' }),
            cell({ isMet: false, left: 'Alone' }),
            undefined,
          ]
            .map(words)
            .join(' / ')}
        </p>
      );
    }
    render(<Words />);
    expect(
      screen.getByText(
        'Alone, should still be there / Cued, fading / Cued, mostly gone / should be there, not seen / taught, never seen / ' +
          'Cued, should still be there (left Cued, right Alone) / no record (left Alone, right not seen) / no record',
      ),
    ).toBeTruthy();
  });
});
