import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { store } from './api/client.ts';
import { App } from './app/App.tsx';
import { keepApplication } from './serviceWorker/register.ts';
import './styles.css';

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
