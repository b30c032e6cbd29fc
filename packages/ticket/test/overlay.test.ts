import { SHIPPED } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { actor, testId } from '../../kernel/test/ids.ts';
import { foldTicket, pendingOverlay, type TicketCommand, type TicketEvent } from '../src/index.ts';
import { projectTicket } from '../src/replay/projection.ts';
import { Story } from './story.ts';

const by = actor();
const commandOf = (words: string): TicketCommand => ({
  id: testId(),
  type: 'observation-noted',
  command: { words },
  epoch: 0,
  observedAt: '2026-03-02T10:00:00.000Z',
  device: 'bench 1',
});
const entered = (...commands: readonly TicketCommand[]) =>
  commands.map((command) => ({ command, actor: by }));
const confirmedAt = (event: TicketEvent, receivedAt: string): TicketEvent => ({
  ...event,
  receivedAt,
});

describe('a ticket told on', () => {
  const { ticket, events } = new Story('drop-in', ['skip'])
    .sees('winder')
    .does('needle-set')
    .sees('needle-seat');

  it('is the same as told from the beginning, however the events come in', () => {
    for (let first = 0; first <= events.length; first += 1) {
      const before = projectTicket(undefined, ticket.id, events.slice(0, first));
      expect(projectTicket(before, ticket.id, events).ticket).toEqual(
        foldTicket(ticket.id, events),
      );
    }
  });

  it('is told anew when what was told before is not so, or of another ticket', () => {
    const other = new Story();
    const before = projectTicket(undefined, other.ticket.id, other.events);
    expect(projectTicket(before, ticket.id, events).ticket).toEqual(ticket);
    const [first, , ...rest] = events;
    const odd = projectTicket(undefined, ticket.id, first ? [first] : []);
    const reordered = [first, ...rest].map((event, index) => ({ ...event, seq: index + 1 }));
    expect(projectTicket(odd, ticket.id, reordered as TicketEvent[]).events).toHaveLength(
      events.length - 1,
    );
    const more = projectTicket(undefined, ticket.id, events);
    expect(projectTicket(more, ticket.id, events.slice(0, 2)).ticket.seq).toBe(2);
  });
});

describe('what waits, laid over what is confirmed', () => {
  const story = new Story('drop-in', ['skip']);
  const { id } = story.ticket;
  const waiting = commandOf('It squeaks.');

  it('is shown, marked as waiting, until it is confirmed; then the very same ticket stays', () => {
    const lay = pendingOverlay();
    const laid = lay(id, story.events, entered(waiting), SHIPPED);
    expect(laid.waiting).toEqual(new Set([waiting.id]));
    expect(laid.ticket.seq).toBe(story.events.length + 1);
    const event = laid.events.at(-1);
    if (!event) throw new Error('nothing was laid');
    const late = [...story.events, confirmedAt(event, '2026-03-02T10:00:09.000Z')];
    const after = lay(id, late, entered(waiting), SHIPPED);
    expect(after.waiting).toEqual(new Set());
    expect(after.ticket).toBe(laid.ticket);
    expect(after.events.at(-1)?.receivedAt).toBe('2026-03-02T10:00:09.000Z');
  });

  it('comes after what somebody else entered meanwhile', () => {
    const lay = pendingOverlay();
    const laid = lay(id, story.events, entered(waiting), SHIPPED);
    const other = pendingOverlay()(
      id,
      story.events,
      entered(commandOf('The cord is frayed.')),
      SHIPPED,
    );
    const after = lay(id, other.events, entered(waiting), SHIPPED);
    expect(after.ticket).not.toBe(laid.ticket);
    expect(after.events.slice(-2).map(({ body }) => body)).toEqual([
      { words: 'The cord is frayed.' },
      { words: 'It squeaks.' },
    ]);
    expect(after.events.map(({ seq }) => seq)).toEqual(after.events.map((_, index) => index + 1));
  });

  it('is told by what was stored where the server decided otherwise', () => {
    const lay = pendingOverlay();
    const laid = lay(id, story.events, entered(waiting), SHIPPED);
    const event = laid.events.at(-1) as TicketEvent;
    const stored = { ...event, body: { words: 'It squeaks loudly.' } } as TicketEvent;
    const after = lay(id, [...story.events, stored], entered(), SHIPPED);
    expect(after.ticket).not.toBe(laid.ticket);
    expect(after.ticket.entries.at(-1)?.body).toEqual({ words: 'It squeaks loudly.' });
  });

  it('leaves out what the rules refuse now', () => {
    const refused = { ...commandOf('x'), type: 'machine-closed', command: {} } as TicketCommand;
    const laid = pendingOverlay()(id, story.events, entered(refused, waiting), SHIPPED);
    expect(laid.waiting).toEqual(new Set([waiting.id]));
  });
});
