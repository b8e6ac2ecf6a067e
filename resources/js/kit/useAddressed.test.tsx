import { act, renderHook } from '@testing-library/react';
import { useNavigate } from './router';
import { MemoryRouter } from '../../../tests/pages/router';
import { expect, test } from 'vitest';
import { useAddressed } from './useAddressed';

function addressed(at: string) {
  const { result } = renderHook(() => ({ now: useAddressed(), go: useNavigate() }), {
    wrapper: ({ children }) => <MemoryRouter initialEntries={[at]}>{children}</MemoryRouter>,
  });
  return {
    say: (said: Record<string, string | null>) => {
      result.current.now[1](said);
    },
    go: (to: string) => result.current.go(to),
    read: () => Object.fromEntries(result.current.now[0]),
  };
}

test('two things said before the page is drawn again both stand in the address', () => {
  const page = addressed('/floor?width=5&depth=4&front=1');
  act(() => {
    page.say({ width: '18' });
    page.say({ depth: '12', front: null });
  });
  expect(page.read()).toEqual({ width: '18', depth: '12' });
});

test('what is said builds on an address that was changed otherwise since', async () => {
  const page = addressed('/floor?width=5');
  act(() => {
    page.say({ width: '18' });
  });
  await act(() => page.go('/floor?depth=3'));
  act(() => {
    page.say({ front: '1' });
  });
  expect(page.read()).toEqual({ depth: '3', front: '1' });
});
