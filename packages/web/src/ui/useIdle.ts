import { useEffect, useState } from 'react';

/** Whether the page has come to rest once since it stands, or this much time has passed. */
export function useIdle(atMostMs: number): boolean {
  const [isIdle, setIdle] = useState(false);
  useEffect(() => {
    const call = requestIdleCallback(() => setIdle(true), { timeout: atMostMs });
    return () => cancelIdleCallback(call);
  }, [atMostMs]);
  return isIdle;
}
