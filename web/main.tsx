import '@fontsource/atkinson-hyperlegible/latin-400.css';
import '@fontsource/atkinson-hyperlegible/latin-700.css';
import '@fontsource/vollkorn/latin-600.css';
import './style.css';
import { setNonce } from 'get-nonce';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { hearOfChanges } from './app/events';
import { LengthsProvider } from './app/lengths-context';
import { queryClient } from './app/query-client';
import { router } from './app/router';
import { carryUnsentOver } from './app/unsent';

// Dialogs lock the page's scroll with a style element; the server allows the one with this mark.
setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '');

carryUnsentOver();
hearOfChanges();

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <LengthsProvider>
          <RouterProvider router={router} />
        </LengthsProvider>
      </QueryClientProvider>
    </StrictMode>,
  );
}
