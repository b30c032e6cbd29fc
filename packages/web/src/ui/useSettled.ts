import { useEffect, useState } from 'react';

/** A hand that types this fast has not stopped yet. */
const PAUSE_MS = 120;

/** What was typed, as soon as the hand pauses. */
export function useSettled(typed: string): string {
  const [settled, setSettled] = useState(typed);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(typed), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  return settled;
}
