import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { MemoryRouter } from 'react-router';
import { Parts } from './Parts.tsx';
import '../src/styles.css';

const page = document.documentElement;
/** From the address, `?theme=night`, else as the application has it. */
const asked = new URLSearchParams(window.location.search).get('theme') ?? page.dataset.theme;
const theme = asked === 'night' ? 'night' : 'day';
page.dataset.theme = theme;

const root = document.getElementById('root');
if (!root) throw new Error('The page has no #root to draw into.');
createRoot(root).render(
  <StrictMode>
    <MemoryRouter>
      <Parts theme={theme} />
    </MemoryRouter>
  </StrictMode>,
);
