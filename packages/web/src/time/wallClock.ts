import type { WallClock } from '@nodo/shop';

/** Day and minute on the wall of the shop. */
export function wallClock(): WallClock {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  return {
    day: `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`,
    minute: now.getHours() * 60 + now.getMinutes(),
  };
}
