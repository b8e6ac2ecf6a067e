import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import '../messages';
import { Button, TextField } from './controls';
import { Dialog } from './Dialog';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const at = (pointer: 'fine' | 'coarse') =>
  vi
    .spyOn(window, 'matchMedia')
    .mockImplementation((media) => ({ matches: media === `(pointer: ${pointer})` }) as MediaQueryList);
const open = (children: React.ReactNode) =>
  render(
    <Dialog title="Somebody new" onOpenChange={() => undefined}>
      {children}
    </Dialog>,
  );

test('one who has a keyboard begins in the first field', () => {
  at('fine');
  open(<TextField label="Name" />);
  expect(document.activeElement).toBe(screen.getByLabelText('Name'));
});

test('on a phone the keyboard is not called, and where nothing is typed the way out comes first', () => {
  at('coarse');
  open(<TextField label="Name" />);
  expect(document.activeElement).not.toBe(screen.getByLabelText('Name'));
  cleanup();
  at('fine');
  open(<Button>Go on</Button>);
  expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Close' }));
});
