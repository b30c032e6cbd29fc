import { randomUUID } from 'node:crypto';
import { foldTicket } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { MemoryEventStore, recordCommands } from '../src/index.ts';
import { RecentTickets } from '../src/store/recentTickets.ts';
import { commandOf, intakeCommand } from './shop.ts';

const SHOP = randomUUID();
const ACTOR = { person: randomUUID(), role: 'technician' as const };
const NOW = () => new Date('2026-03-02T10:00:00Z');

/** Counts the events that are read again. */
class CountingStore extends MemoryEventStore {
  read = 0;

  override async loadWithTables(...asked: Parameters<MemoryEventStore['loadWithTables']>) {
    const loaded = await super.loadWithTables(...asked);
    this.read += loaded.events.length;
    return loaded;
  }
}

function desk() {
  const store = new CountingStore();
  const recent = new RecentTickets();
  const ticket = randomUUID();
  const write = (command: ReturnType<typeof commandOf>, known?: RecentTickets) =>
    recordCommands(store, { shop: SHOP, ticket, commands: [command], actor: ACTOR }, NOW, known);
  const note = (words: string) => commandOf('observation-noted', { words });
  return { store, recent, ticket, write, note };
}

describe('a ticket that was written on lately', () => {
  it('is read on and not again, and is what a replay of all would be', async () => {
    const { store, recent, ticket, write, note } = desk();
    await write(intakeCommand(), recent);
    for (let entry = 0; entry < 30; entry += 1) {
      expect(await write(note(`entry ${entry}`), recent)).toMatchObject({ ok: true });
    }
    // Each reads the one before it.
    expect(store.read).toBe(30);
    const last = (await store.load(SHOP, ticket)).at(-1);
    await write(commandOf('entry-corrected', { corrects: last?.id }), recent);
    await write(note('after it'), recent);
    const events = await store.load(SHOP, ticket);
    const known = recent.after(SHOP, recent.before(SHOP, ticket), events.slice(-1));
    expect(known).toEqual(foldTicket(ticket, events));
  });

  it('takes in what another process wrote meanwhile, and knows its own entries again', async () => {
    const { store, recent, ticket, write, note } = desk();
    await write(intakeCommand(), recent);
    const own = note('own');
    const first = await write(own, recent);
    await write(note('of another process'));
    await write(note('of another process too'));
    expect(await write(note('after them'), recent)).toMatchObject({ ok: true });
    expect((await store.load(SHOP, ticket)).map(({ seq }) => seq)).toEqual([1, 2, 3, 4, 5]);
    expect(await write(own, recent)).toEqual(first);
    expect(
      await write({ ...own, command: { words: 'other words' } } as typeof own, recent),
    ).toMatchObject({
      ok: false,
      refusal: { code: 'id-used-otherwise' },
    });
    expect(await store.load(SHOP, ticket)).toHaveLength(5);
  });

  it('is one of a hundred: the quietest is let go and read again', async () => {
    const { store, recent } = desk();
    const write = (ticket: string, command: ReturnType<typeof commandOf>) =>
      recordCommands(store, { shop: SHOP, ticket, commands: [command], actor: ACTOR }, NOW, recent);
    const tickets = Array.from({ length: 101 }, () => randomUUID());
    for (const ticket of tickets) await write(ticket, intakeCommand());
    store.read = 0;
    await write(tickets.at(-1) ?? '', commandOf('observation-noted', { words: 'kept' }));
    expect(store.read).toBe(1);
    for (const ticket of tickets) expect(recent.before(SHOP, ticket).seq).toBeLessThanOrEqual(1);
    expect(
      tickets.filter((ticket) => recent.before(SHOP, ticket).seq === 0).length,
    ).toBeGreaterThan(0);
    expect(recent.before(randomUUID(), tickets.at(-1) ?? '').seq).toBe(0);
  });
});

describe('what is acknowledged', () => {
  it('is the instant as the database keeps it', async () => {
    const { store, ticket, write } = desk();
    await write(intakeCommand());
    const odd = {
      ...commandOf('observation-noted', { words: 'x' }),
      observedAt: '2026-03-02T12:00:00.123456+02:00',
    };
    expect(await write(odd)).toMatchObject({
      events: [{ observedAt: '2026-03-02T10:00:00.123Z' }],
    });
    expect((await store.load(SHOP, ticket)).at(-1)?.observedAt).toBe('2026-03-02T10:00:00.123Z');
  });
});
