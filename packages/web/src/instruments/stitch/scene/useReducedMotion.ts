import { useSyncExternalStore } from 'react';

const QUERY = '(prefers-reduced-motion: reduce)';

/** Whether somebody asked their computer for little that moves. */
export function useReducedMotion(): boolean {
  return useSyncExternalStore(
    (changed) => {
      const list = window.matchMedia(QUERY);
      list.addEventListener('change', changed);
      return () => list.removeEventListener('change', changed);
    },
    () => window.matchMedia(QUERY).matches,
  );
}
