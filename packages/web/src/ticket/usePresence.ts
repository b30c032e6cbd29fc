import { useEffect } from 'react';
import { call } from '../api/client.ts';

/** Told again so often; the server forgets who is silent for 45 seconds. */
const REPEAT_MS = 20_000;
/** Passing by is not looking. */
const SETTLED_MS = 250;

/** Nothing on this screen waits for it or shows it: the view is not painted anew for its sake. */
function lookAt(ticket: string | null, check: string | null): void {
  void call({ name: 'lookAt', body: { ticket, check } });
}

/** Tells the other screens what this one looks at, as long as it does. */
export function usePresence(ticket: string, check: string | null): void {
  useEffect(() => {
    const tell = () => {
      if (document.visibilityState === 'visible') lookAt(ticket, check);
    };
    const settled = setTimeout(tell, SETTLED_MS);
    const again = setInterval(tell, REPEAT_MS);
    return () => {
      clearTimeout(settled);
      clearInterval(again);
    };
  }, [ticket, check]);
  // Only leaving the ticket is leaving, not going from check to check.
  useEffect(() => () => lookAt(null, null), []);
}
