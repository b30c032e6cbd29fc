import { useEffect, useState } from 'react';
import { stream, useLockScreenMutation } from '../../api/client.ts';
import { useSession } from '../../session/SessionContext.tsx';

const KEPT_UNDER = 'nodo.lockAfter';
export const LOCK_AFTER_MINUTES = [2, 5, 10, 30] as const;
const LOCK_AFTER_BY_ITSELF = 10;
const MINUTE_MS = 60_000;
const LOOK_EVERY_MS = 5_000;
const SIGNS = ['pointerdown', 'keydown', 'wheel', 'touchstart'] as const;

/** After how many minutes without a hand this screen locks; kept on this device. */
export function useLockAfter(): readonly [number, (minutes: number) => void] {
  const [minutes, setMinutes] = useState(readMinutes);
  return [
    minutes,
    (chosen) => {
      localStorage.setItem(KEPT_UNDER, String(chosen));
      setMinutes(chosen);
    },
  ];
}

function readMinutes(): number {
  const kept = Number(localStorage.getItem(KEPT_UNDER));
  return kept > 0 ? kept : LOCK_AFTER_BY_ITSELF;
}

/**
 * Locks the screen when nobody has touched it for a while. Without a connection it stays open,
 * for nobody could open it again; it locks when the connection is back.
 */
export function useIdleLock(): void {
  const { locked } = useSession().screen;
  const [lock] = useLockScreenMutation();
  useEffect(() => {
    if (locked) {
      stream.suspend();
      return undefined;
    }
    stream.resume();
    let touchedAt = Date.now();
    const touched = () => {
      touchedAt = Date.now();
    };
    for (const sign of SIGNS) window.addEventListener(sign, touched, { passive: true });
    const looking = setInterval(() => {
      if (Date.now() - touchedAt >= readMinutes() * MINUTE_MS) void lock();
    }, LOOK_EVERY_MS);
    return () => {
      for (const sign of SIGNS) window.removeEventListener(sign, touched);
      clearInterval(looking);
    };
  }, [locked, lock]);
}
