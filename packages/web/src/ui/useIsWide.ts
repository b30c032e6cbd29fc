import { useSyncExternalStore } from 'react';

/** From this width on, what stands beside the work has room there (Tailwind's `lg`). */
const WIDE = '(min-width: 64rem)';

/** Whether side by side fits; for what must also come in another order where it does not. */
export function useIsWide(): boolean {
  return useSyncExternalStore(follow, () => window.matchMedia(WIDE).matches);
}

function follow(onChange: () => void): () => void {
  const query = window.matchMedia(WIDE);
  query.addEventListener('change', onChange);
  return () => query.removeEventListener('change', onChange);
}
