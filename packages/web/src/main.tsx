import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { store } from './api/client.ts';
import { App } from './app/App.tsx';
import { keepApplication } from './serviceWorker/register.ts';
import 'sonner/dist/styles.css';
import './styles.css';

// Dialogs hold the page still by a style of their own, which the policy lets in by this alone.
setNonce(document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce ?? '');

const root = document.getElementById('root');
if (!root) throw new Error('The page has no #root to draw into.');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <App />
    </Provider>
  </StrictMode>,
);

// Work goes on without it.
void keepApplication().catch(() => undefined);
