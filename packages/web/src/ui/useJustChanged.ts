import { useEffect, useRef, useState } from 'react';

/** Whether a value is another one since less than this; what was there first does not count. */
export function useJustChanged(value: string | undefined, ms: number): boolean {
  const first = useRef(value);
  const [until, setUntil] = useState<string>();
  useEffect(() => {
    if (value === undefined || value === first.current) return undefined;
    first.current = undefined;
    setUntil(value);
    const timer = setTimeout(() => setUntil(undefined), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return until !== undefined && until === value;
}
