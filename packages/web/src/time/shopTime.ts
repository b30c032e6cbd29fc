import { type Day, dayOf, type WallClock, wallClockAt } from '@nodo/kernel';

/** The time zone of this device. */
export function ownZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** One page shows one shop: its days and clocks are the shop's, wherever the device is. */
let zone = ownZone();

export function shopZone(): string {
  return zone;
}

export function setShopZone(name: string): void {
  zone = name;
}

/** What the clock on the wall of the shop shows now. */
export function shopClock(): WallClock {
  return wallClockAt(new Date().toISOString(), zone);
}

/** The day in the shop on which something happened. */
export function shopDayOf(instant: string): Day {
  return dayOf(instant, zone);
}
