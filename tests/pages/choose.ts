import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

/** Chooses from a list by what stands in it, as a person does. */
export async function choose(list: HTMLElement, text: string | RegExp): Promise<void> {
  await userEvent.click(list);
  await userEvent.click(await screen.findByRole('option', { name: text }));
}
