import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { words } from '../messages';
import { watchForChinese } from '../kit/chinese';
import { followTheme } from '../kit/theme';
import { MinePage } from './MinePage';
import { WORDS } from './words';

followTheme();
watchForChinese(document);

const client = new QueryClient({
  defaultOptions: { queries: { retry: false, networkMode: 'always' }, mutations: { networkMode: 'always' } },
});

async function draw(at: HTMLElement): Promise<void> {
  await words(...WORDS).catch(() => undefined);
  createRoot(at).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <MinePage />
      </QueryClientProvider>
    </StrictMode>,
  );
}

const root = document.getElementById('app');
if (root) void draw(root);
if (import.meta.env.PROD && window.isSecureContext && 'serviceWorker' in navigator)
  // Without it a visit needs the network.
  void navigator.serviceWorker.register('/mine/sw.js', { scope: '/mine/' }).catch(() => undefined);
