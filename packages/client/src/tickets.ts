import type { TicketFile } from '@nodo/api';
import type { RackEntry } from '@nodo/ticket';

/** Adds what is new, in place; false when something between is missing. */
export function appendInOrder(
  file: { events: TicketFile['events'] },
  events: TicketFile['events'],
): boolean {
  for (const event of events) {
    const next = file.events.length + 1;
    if (event.seq < next) continue;
    if (event.seq > next) return false;
    file.events.push(event);
  }
  return true;
}

/** The Rack with a changed line: machines that were collected leave it, an older line changes nothing. */
export function placeOnRack(rack: RackEntry[], entry: RackEntry): RackEntry[] {
  const known = rack.find(({ ticket }) => ticket === entry.ticket);
  if (known && known.seq > entry.seq) return rack;
  const others = rack.filter(({ ticket }) => ticket !== entry.ticket);
  return entry.status === 'collected' ? others : [...others, entry];
}
