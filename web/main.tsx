import '@fontsource/atkinson-hyperlegible/latin-400.css';
import '@fontsource/atkinson-hyperlegible/latin-700.css';
import '@fontsource/vollkorn/latin-600.css';
import './style.css';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './frame/app';
import { hearOfChanges } from './ground/events';
import { carryUnsentOver } from './ground/unsent';

// Dialogs lock the page's scroll with a style element; the server allows the one with this mark.
setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '');

carryUnsentOver();
hearOfChanges();
// What was counted while the server was away is sent by whichever page comes next.
if (localStorage.getItem('pin-margin waiting scraps')) {
  void import('./ground/outbox').then(({ sendWaiting }) => sendWaiting());
}

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
