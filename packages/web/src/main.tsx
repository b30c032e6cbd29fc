import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { App } from './app/App.tsx';
import { store } from './app/store.ts';
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
