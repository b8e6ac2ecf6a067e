import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import '../messages';
import { applyTheme } from '../kit/theme';
import { MinePage } from './MinePage';

applyTheme();

const client = new QueryClient({
  defaultOptions: { queries: { retry: false, networkMode: 'always' }, mutations: { networkMode: 'always' } },
});

const root = document.getElementById('app');
if (root)
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <MinePage />
      </QueryClientProvider>
    </StrictMode>,
  );
if (import.meta.env.PROD && window.isSecureContext && 'serviceWorker' in navigator)
  // Without it a visit needs the network.
  void navigator.serviceWorker.register('/mine/sw.js', { scope: '/mine/' }).catch(() => undefined);
