import type { OutboxEntry } from '@nodo/client';
import type { RackEntry } from '@nodo/ticket';

/**
 * The other tickets on which a person's clock runs.
 * @param lines the Rack as the shop has it
 * @param waiting what this screen had not yet sent when the Rack was asked for: of a ticket with a
 *   waiting start or stop of this person, or a closing, the last of them says more than its line
 */
export function otherClocks(
  lines: readonly RackEntry[],
  waiting: readonly OutboxEntry[],
  { ticket, person }: { readonly ticket: string; readonly person: string },
): readonly RackEntry[] {
  const runs = new Map<string, boolean>();
  for (const one of waiting) {
    const { type } = one.draft;
    if (one.refusal) continue;
    if (type === 'ticket-closed') runs.set(one.ticket, false);
    if (one.person !== person) continue;
    if (type === 'clock-started') runs.set(one.ticket, true);
    if (type === 'clock-stopped') runs.set(one.ticket, false);
  }
  return lines.filter(
    (line) => line.ticket !== ticket && (runs.get(line.ticket) ?? line.atTheClock.includes(person)),
  );
}
