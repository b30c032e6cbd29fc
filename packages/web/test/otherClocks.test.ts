import type { OutboxEntry } from '@nodo/client';
import type { RackEntry, TicketCommand } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { otherClocks } from '../src/features/bench/job/otherClocks.ts';

const ODREN = 'odren';
const TAVI = 'tavi';

const line = (ticket: string, ...atTheClock: string[]) => ({ ticket, atTheClock }) as RackEntry;
const waits = (ticket: string, type: TicketCommand['type'], person = ODREN) =>
  ({ ticket, person, draft: { type } }) as OutboxEntry;
/** Where Odren's clock runs besides the ticket he starts it on. */
const running = (lines: readonly RackEntry[], waiting: readonly OutboxEntry[] = []) =>
  otherClocks(lines, waiting, { ticket: 'here', person: ODREN }).map(({ ticket }) => ticket);

describe('the other clocks of a person', () => {
  it('are those of the Rack, without the ticket at hand and without other people', () => {
    expect(running([line('here', ODREN), line('a', TAVI, ODREN), line('b', TAVI)])).toEqual(['a']);
  });

  it('count with what is still on its way: started, paused, closed', () => {
    const lines = [line('a', ODREN), line('b'), line('c', ODREN)];
    expect(running(lines, [waits('a', 'clock-stopped'), waits('b', 'clock-started')])).toEqual([
      'b',
      'c',
    ]);
    expect(running(lines, [waits('a', 'clock-stopped'), waits('a', 'clock-started')])).toEqual([
      'a',
      'c',
    ]);
    expect(running(lines, [waits('c', 'ticket-closed', TAVI)])).toEqual(['a']);
  });

  it('are not moved by what others wait to send, nor by what was refused', () => {
    const refused = { ...waits('a', 'clock-stopped'), refusal: { code: 'already-so' } };
    expect(
      running(
        [line('a', ODREN)],
        [waits('a', 'clock-stopped', TAVI), refused as unknown as OutboxEntry],
      ),
    ).toEqual(['a']);
  });
});
