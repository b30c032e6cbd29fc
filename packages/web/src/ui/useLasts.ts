import { useEffect, useState } from 'react';

/** Whether something has been so for longer than this. */
export function useLasts(isSo: boolean, ms: number): boolean {
  const [lasts, setLasts] = useState(false);
  useEffect(() => {
    if (!isSo) return undefined;
    const timer = setTimeout(() => setLasts(true), ms);
    return () => {
      clearTimeout(timer);
      setLasts(false);
    };
  }, [isSo, ms]);
  return lasts;
}
