import { randomUUID } from 'node:crypto';
import type { Actor } from '@nodo/kernel';
import { KNOWLEDGE, storedKnowledge } from '@nodo/knowledge';
import { newCustomerProfile } from '@nodo/shop';
import type { RackEntry, TicketCommand, TicketEvent } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { type EventStore, rebuildSummaries, recordCommands } from '../src/index.ts';
import { commandOf, intakeCommand } from './shop.ts';

/** The complaint of these tickets is in words alone: a person puts it aside. */
const putAside = () =>
  commandOf('symptom-settled', {
    symptom: 'words',
    how: 'put-aside',
    reason: 'This story is about something else.',
  });

export interface StoreUnderTest {
  readonly store: EventStore;
  readonly shop: string;
  readonly otherShop: string;
  readonly actor: Actor;
}

/** A ticket's line on the Rack, as it stands. */
export async function rackLine(
  { store, shop }: Pick<StoreUnderTest, 'store' | 'shop'>,
  ticket: string,
): Promise<RackEntry | undefined> {
  return (await store.newsOf(shop, ticket, 0)).rack;
}

const NOW = () => new Date('2026-03-02T10:00:01.000Z');

/** What every store of tickets must do; the memory store and PostgreSQL run the same. */
export function eventStoreSuite(name: string, open: () => Promise<StoreUnderTest>): void {
  const record = async (
    under: StoreUnderTest,
    ticket: string,
    ...commands: readonly TicketCommand[]
  ) => recordCommands(under.store, { shop: under.shop, ticket, commands, actor: under.actor }, NOW);
  const taken = async (
    under: StoreUnderTest,
    ...more: readonly TicketCommand[]
  ): Promise<string> => {
    const ticket = randomUUID();
    const recorded = await record(under, ticket, intakeCommand(), ...more);
    if (!recorded.ok) throw new Error(JSON.stringify(recorded.refusal));
    return ticket;
  };
  const look = () =>
    commandOf('findings-recorded', { check: 'winder', answers: { 'winder-on': 'no' } });

  describe(`event store: ${name}`, () => {
    it('gives back what was recorded, in order, to the last field', async () => {
      const under = await open();
      const complaint = commandOf('findings-recorded', {
        check: 'complaint',
        answers: { skip: 'yes', nest: 'no' },
      });
      const ticket = await taken(under, complaint);
      const events = await under.store.load(under.shop, ticket);
      expect(events.map(({ seq, type }) => [seq, type])).toEqual([
        [1, 'intake-taken'],
        [2, 'findings-recorded'],
      ]);
      expect(events[1]).toEqual({
        id: complaint.id,
        ticket,
        seq: 2,
        type: 'findings-recorded',
        version: 1,
        actor: { person: under.actor.person, role: under.actor.role },
        device: 'test screen',
        observedAt: '2026-03-02T10:00:00.000Z',
        receivedAt: '2026-03-02T10:00:01.000Z',
        epoch: 0,
        knowledge: expect.stringMatching(/^[0-9a-f]{64}$/),
        body: { check: 'complaint', answers: { skip: 'yes', nest: 'no' }, complete: false },
      } satisfies Record<Exclude<keyof TicketEvent, 'sentBy'>, unknown>);
    });

    it('keeps the tables with the first event that was judged with them', async () => {
      const under = await open();
      expect(await under.store.version(under.shop, KNOWLEDGE.hash)).toBeUndefined();
      await taken(under, look());
      await taken(under);
      const kept = await under.store.version(under.shop, KNOWLEDGE.hash);
      expect(kept && storedKnowledge(kept).hash).toBe(KNOWLEDGE.hash);
      expect(await under.store.version(under.otherShop, KNOWLEDGE.hash)).toBeUndefined();
      expect(await under.store.version(under.shop, '0'.repeat(64))).toBeUndefined();
    });

    it('moves an open ticket to the present tables with its next entry', async () => {
      const under = await open();
      const [event] = await under.store.load(under.shop, await taken(under));
      const summary = (await under.store.rack(under.shop))[0];
      if (!event || !summary) throw new Error('nothing was taken in');
      const ticket = randomUUID();
      const before = '0'.repeat(64);
      const tag = (summary.tag ?? 0) + 1;
      await under.store.append(under.shop, {
        ticket,
        after: 0,
        events: [
          {
            ...event,
            id: randomUUID(),
            ticket,
            knowledge: before,
            body: { ...event.body, tag },
          } as TicketEvent,
        ],
        summary: { ...summary, ticket, tag },
      });
      const entry = look();
      const recorded = await record(under, ticket, entry);
      expect(recorded.ok && recorded.events.map(({ id, seq }) => [id, seq])).toEqual([
        [entry.id, 3],
      ]);
      const events = await under.store.load(under.shop, ticket);
      expect(events.map(({ type }) => type)).toEqual([
        'intake-taken',
        'knowledge-adopted',
        'findings-recorded',
      ]);
      expect(events[1]?.body).toMatchObject({ from: before, to: KNOWLEDGE.hash });
      // Sent again, it is the same entry, and the ticket does not move twice.
      expect((await record(under, ticket, entry)).ok).toBe(true);
      expect(await under.store.load(under.shop, ticket)).toHaveLength(3);
    });

    it('gives only what came after a place', async () => {
      const under = await open();
      const ticket = await taken(under, look(), look());
      expect((await under.store.load(under.shop, ticket, 2)).map(({ seq }) => seq)).toEqual([3]);
    });

    it('knows no ticket it was not told of', async () => {
      const under = await open();
      expect(await under.store.load(under.shop, randomUUID())).toEqual([]);
      expect(await rackLine(under, randomUUID())).toBeUndefined();
    });

    it('answers a resent command with the stored event, and stores nothing twice', async () => {
      const under = await open();
      const command = look();
      const ticket = await taken(under, command);
      const again = await record(under, ticket, command);
      expect(again.ok && again.events).toEqual([(await under.store.load(under.shop, ticket))[1]]);
      expect(await under.store.load(under.shop, ticket)).toHaveLength(2);
    });

    it('refuses an id that was used for something else, here or on another ticket', async () => {
      const under = await open();
      const command = look();
      const ticket = await taken(under, command);
      const other = {
        ...look(),
        id: command.id,
        command: { check: 'winder', answers: { 'winder-on': 'yes' } },
      } as TicketCommand;
      expect(await record(under, ticket, other)).toMatchObject({
        refusal: { code: 'id-used-otherwise' },
      });
      expect(await record(under, await taken(under), command)).toMatchObject({
        refusal: { code: 'id-used-otherwise' },
      });
    });

    it('lets ten writers at once all in, without a gap and without a loss', async () => {
      const under = await open();
      const ticket = await taken(under);
      const commands = Array.from({ length: 10 }, look);
      const results = await Promise.all(commands.map((command) => record(under, ticket, command)));
      expect(results.every(({ ok }) => ok)).toBe(true);
      const events = await under.store.load(under.shop, ticket);
      expect(events.map(({ seq }) => seq)).toEqual(
        Array.from({ length: 11 }, (_, index) => index + 1),
      );
      expect(new Set(events.map(({ id }) => id))).toEqual(
        new Set([events[0]?.id, ...commands.map(({ id }) => id)]),
      );
    });

    it('writes all commands of a batch or none', async () => {
      const under = await open();
      const ticket = randomUUID();
      const bad = commandOf('findings-recorded', { check: 'no-such-check', answers: { x: 'yes' } });
      expect(await record(under, ticket, intakeCommand(), bad)).toMatchObject({ ok: false });
      expect(await under.store.load(under.shop, ticket)).toEqual([]);
    });

    it('hangs a tag on one machine at a time', async () => {
      const under = await open();
      const first = intakeCommand();
      const { tag } = first.command as { tag: number };
      const ticket = randomUUID();
      await record(under, ticket, first);
      expect(await record(under, randomUUID(), intakeCommand({ tag }))).toMatchObject({
        refusal: { code: 'tag-taken', data: { tag } },
      });
      await record(
        under,
        ticket,
        putAside(),
        commandOf('ticket-closed', {}),
        commandOf('machine-collected', {}),
      );
      expect(await record(under, randomUUID(), intakeCommand({ tag }))).toMatchObject({ ok: true });
    });

    it('shows on the Rack what is in the shop, by shelf and tag', async () => {
      const under = await open();
      const before = (await under.store.rack(under.shop)).length;
      const gone = await taken(
        under,
        putAside(),
        commandOf('ticket-closed', {}),
        commandOf('machine-collected', {}),
      );
      const there = await taken(under, look());
      const rack = await under.store.rack(under.shop);
      expect(rack).toHaveLength(before + 1);
      expect(rack.find(({ ticket }) => ticket === there)).toMatchObject({
        seq: 2,
        seen: 1,
        customerName: null,
        customerPhone: null,
      });
      expect(rack.some(({ ticket }) => ticket === gone)).toBe(false);
      expect(await rackLine(under, gone)).toMatchObject({ status: 'collected' });
    });

    it('keeps the customer beside the events and names him on the Rack', async () => {
      const under = await open();
      const customer = { id: randomUUID(), ...newCustomerProfile('Dorun O’Kelt', '000 0178') };
      const ticket = randomUUID();
      const commands = [intakeCommand({ customer: customer.id })];
      await recordCommands(
        under.store,
        { shop: under.shop, ticket, commands, actor: under.actor, customer },
        NOW,
      );
      const kept = await under.store.customers(under.shop, [customer.id]);
      expect([...kept]).toEqual([[customer.id, customer]]);
      expect(await rackLine(under, ticket)).toMatchObject({
        customerName: 'Dorun O’Kelt',
        customerPhone: '000 0178',
      });
      const told = JSON.stringify(await under.store.load(under.shop, ticket));
      expect(told).not.toContain('Kelt');
    });

    it('tells what was fetched page by page, and open tickets in the order of their ids', async () => {
      const under = await open();
      const gone: string[] = [];
      for (let made = 0; made < 5; made += 1) {
        const ticket = randomUUID();
        const commands = [
          commandOf('call-taken', { family: 'drop-in', label: 'Far', words: '', customer: null }),
          commandOf('call-ended', { outcome: 'solved', kept: [] }),
          commandOf('machine-collected', {}),
        ];
        const recorded = await record(under, ticket, ...commands);
        if (recorded.ok) gone.push(ticket);
      }
      const all = await under.store.collected(under.shop, undefined, 100);
      const [first, ...others] = all;
      if (!first) throw new Error(`nothing was fetched of ${gone.length}`);
      const cursor = { at: first.changedAt, id: first.ticket };
      expect(await under.store.collected(under.shop, cursor, 100)).toEqual(others);
      expect(await under.store.collected(under.shop, cursor, 2)).toEqual(others.slice(0, 2));
      const [one, two] = [await taken(under), await taken(under)].sort();
      const ids = await under.store.openAfter(under.shop, one, 1_000);
      expect(ids).toContain(two);
      expect(ids).not.toContain(one);
      expect(await under.store.openAfter(under.shop, undefined, 1)).toHaveLength(1);
    });

    it('rebuilds every line on the Rack from the events, equal to what it kept', async () => {
      const under = await open();
      await taken(under, look());
      const kept = await under.store.rack(under.shop);
      expect(await rebuildSummaries(under.store, under.shop)).toBeGreaterThanOrEqual(kept.length);
      expect(await under.store.rack(under.shop)).toEqual(kept);
    });

    it('shows one shop nothing of another', async () => {
      const under = await open();
      const ticket = await taken(under, look());
      expect(await under.store.load(under.otherShop, ticket)).toEqual([]);
      expect(await rackLine({ ...under, shop: under.otherShop }, ticket)).toBeUndefined();
      expect(
        (await under.store.rack(under.otherShop)).some((entry) => entry.ticket === ticket),
      ).toBe(false);
      expect(await under.store.ticketIds(under.otherShop)).not.toContain(ticket);
    });
  });
}
