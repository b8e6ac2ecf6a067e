const KEY = 'gorvan.theme';
export type Theme = 'day' | 'hall';

export function theme(): Theme {
  return localStorage.getItem(KEY) === 'hall' ? 'hall' : 'day';
}

export function applyTheme(chosen: Theme = theme()): void {
  localStorage.setItem(KEY, chosen);
  document.documentElement.dataset.theme = chosen;
}
