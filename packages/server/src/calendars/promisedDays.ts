import type { RackEntry } from '@nodo/ticket';
import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';

/** How often a calendar that follows it should look again. */
const REFRESH_SECONDS = 3_600;

/**
 * The promised days of the machines in the shop as iCalendar (RFC 5545): a whole day each, and no customer's name, for
 * a calendar shows it to others.
 * @param shop its name
 */
export function promisedDays(shop: string, lines: readonly RackEntry[]): string {
  const calendar = ical({
    name: shop,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'nodo', product: 'promised-days', language: 'EN' },
    ttl: REFRESH_SECONDS,
  });
  for (const { ticket, seq, tag, label, promised, changedAt, takenInAt, shelf } of lines) {
    if (promised === null) continue;
    calendar.createEvent({
      id: `${ticket}@nodo`,
      sequence: seq,
      // A day of the shop and no instant: read in UTC, it stays the same day everywhere.
      start: new Date(`${promised}T00:00:00Z`),
      allDay: true,
      timezone: 'UTC',
      stamp: new Date(changedAt),
      created: new Date(takenInAt),
      lastModified: new Date(changedAt),
      summary: [tag, label].filter(Boolean).join(' '),
      location: shelf,
      // It fills nobody's day.
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  }
  return calendar.toString();
}
