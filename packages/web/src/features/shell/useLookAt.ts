import { useEffect } from 'react';
import { useLookAtMutation } from '../../api/client.ts';

/** Told again so often; the server forgets who is silent for 45 seconds. */
const TELL_AGAIN_MS = 20_000;
/** Passing by is not looking. */
const SETTLED_MS = 250;

/** Tells the other screens what this one looks at, as long as it does. */
export function useLookAt(ticket: string, check: string | null): void {
  const [lookAt] = useLookAtMutation();
  useEffect(() => {
    const tell = () => {
      if (document.visibilityState === 'visible') void lookAt({ ticket, check });
    };
    const settled = setTimeout(tell, SETTLED_MS);
    const again = setInterval(tell, TELL_AGAIN_MS);
    return () => {
      clearTimeout(settled);
      clearInterval(again);
    };
  }, [lookAt, ticket, check]);
  // Only leaving the ticket is leaving, not going from check to check.
  useEffect(() => () => void lookAt({ ticket: null, check: null }), [lookAt]);
}
