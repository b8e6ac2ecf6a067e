import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Dialog } from 'radix-ui';
import { afterEach, expect, test, vi } from 'vitest';
import '../messages';
import { Toasts, useTell } from './toasts';

afterEach(cleanup);

function Page({ takeBack }: { takeBack: () => void }) {
  const tell = useTell();
  return (
    <>
      <button
        onClick={() => {
          tell('Ada is renamed.', { takeBack });
        }}
      >
        Rename
      </button>
      <Dialog.Root>
        <Dialog.Trigger>Open</Dialog.Trigger>
        <Dialog.Content aria-describedby={undefined}>
          <Dialog.Title>Something else</Dialog.Title>
        </Dialog.Content>
      </Dialog.Root>
    </>
  );
}

test('what a toast reports can be taken back while a dialog that came after it is open, which stays', async () => {
  const takeBack = vi.fn();
  render(
    <Toasts>
      <Page takeBack={takeBack} />
    </Toasts>,
  );
  await userEvent.click(screen.getByRole('button', { name: 'Rename' }));
  await userEvent.click(screen.getByRole('button', { name: 'Open' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Take back', hidden: true }));
  expect(takeBack).toHaveBeenCalledOnce();
  expect(screen.getByRole('dialog')).toBeTruthy();
});
