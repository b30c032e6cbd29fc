import { describe, expect, it } from 'vitest';
import type { Client } from '../src/index.ts';
import { entry, frameOf, stopTheTimers, TICKET, World } from './world.ts';

stopTheTimers();

const READS = `GET /api/tickets/${TICKET}`;
const readings = (world: World) => world.asked.filter((one) => one === READS).length;

async function looking(world: World, leads = true): Promise<Client> {
  const client = world.openTab(leads);
  void client.store.dispatch(client.api.endpoints.session.initiate());
  void client.store.dispatch(client.api.endpoints.ticket.initiate(TICKET));
  await world.pass(0);
  return client;
}

const shown = ({ api, store }: Client) =>
  api.endpoints.ticket.select(TICKET)(store.getState()).data?.events.length;

describe('the stream', () => {
  it('is one for all tabs; the others hear it through the one that leads', async () => {
    const world = new World();
    const [first, second] = [await looking(world), await looking(world, false)];
    world.stream.onOpen();
    await world.pass(0);
    world.stream.onFrame(frameOf(entry(2)));
    await world.pass(0);
    expect(world.streams).toHaveLength(1);
    expect([shown(first), shown(second)]).toEqual([2, 2]);
  });

  it('that misses something has the ticket read again', async () => {
    const world = new World();
    const client = await looking(world);
    world.stream.onOpen();
    await world.pass(0);
    const before = readings(world);
    world.events = [entry(1), entry(2), entry(3)];
    world.stream.onFrame(frameOf(entry(3)));
    await world.pass(0);
    expect(readings(world)).toBe(before + 1);
    expect(shown(client)).toBe(3);
  });

  it('tells again what was said during a reading: the answer may be older', async () => {
    const world = new World();
    const client = await looking(world);
    const old = world.events;
    // The stream opens, everything is read, and an entry is told before the answer is there.
    world.answers = (method, path, body) => {
      if (path === `/api/tickets/${TICKET}`) world.stream.onFrame(frameOf(entry(2)));
      const [status, told] = world.serve(method, path, body);
      return [
        status,
        path.startsWith('/api/tickets') ? { ...(told as object), events: old } : told,
      ];
    };
    world.stream.onOpen();
    await world.pass(0);
    expect(shown(client)).toBe(2);
  });

  it('that falls silent is given up for another one, after 35 seconds without a beat', async () => {
    const world = new World();
    const client = await looking(world);
    const said: string[] = [];
    client.stream.onState((state) => said.push(state));
    world.stream.onOpen();
    for (let beats = 0; beats < 8; beats += 1) {
      await world.pass(15_000);
      world.stream.onFrame({ kind: 'beat' });
    }
    expect(world.streams).toHaveLength(1);
    await world.pass(34_000);
    expect(world.streams).toHaveLength(1);
    world.events = [entry(1), entry(2)];
    await world.pass(10_000);
    expect(world.streams.map(({ closed }) => closed)).toEqual([true, false]);
    world.stream.onOpen();
    await world.pass(0);
    expect(said).toEqual(['live', 'lost', 'live']);
    expect(shown(client)).toBe(2);
  });

  it('that was refused is opened again after a while, and none while the screen is locked', async () => {
    const world = new World();
    const client = await looking(world);
    world.stream.onLost(true);
    expect(world.streams.every(({ closed }) => closed)).toBe(true);
    await world.pass(1_500);
    expect(world.streams).toHaveLength(2);
    client.stream.suspend();
    await world.pass(60_000);
    expect(world.streams.every(({ closed }) => closed)).toBe(true);
    client.stream.resume();
    expect(world.streams).toHaveLength(3);
  });
});

describe('copies', () => {
  it('stand in for the server as long as they are of today', async () => {
    const world = new World();
    await looking(world);
    world.stream.onOpen();
    await world.pass(3_000);
    world.answers = () => 'no answer';
    world.sleep(11 * 3_600_000);
    expect(shown(await looking(world, false))).toBe(1);
    world.sleep(2 * 3_600_000);
    expect(shown(await looking(world, false))).toBeUndefined();
  });

  it('of an older version that kept something else do not stand in', async () => {
    const world = new World();
    await looking(world);
    world.stream.onOpen();
    await world.pass(3_000);
    const path = `/api/tickets/${TICKET}`;
    const copy = world.copies.get(path);
    if (!copy) throw new Error('no copy');
    world.copies.set(path, { ...copy, data: { ticket: TICKET, entries: [] } });
    world.answers = () => 'no answer';
    expect(shown(await looking(world, false))).toBeUndefined();
  });

  it('are read again as soon as the server answers, and what they show is replaced', async () => {
    const world = new World();
    await looking(world);
    await world.pass(3_000);
    world.answers = () => 'no answer';
    const client = await looking(world, false);
    expect(shown(client)).toBe(1);
    world.events = [entry(1), entry(2)];
    world.answers = (...asked) => world.serve(...asked);
    await world.pass(5_000);
    expect(shown(client)).toBe(2);
  });

  it('take in what the stream says, ten frames in one go, by the tab that leads alone', async () => {
    const world = new World();
    await looking(world);
    await looking(world, false);
    world.stream.onOpen();
    await world.pass(3_000);
    const before = world.written;
    for (let seq = 2; seq <= 11; seq += 1) world.stream.onFrame(frameOf(entry(seq)));
    await world.pass(1_000);
    expect(world.written).toBe(before);
    await world.pass(2_000);
    expect(world.written - before).toBeLessThanOrEqual(2);
    const kept = world.copies.get(`/api/tickets/${TICKET}`)?.data as { events: unknown[] };
    expect(kept.events).toHaveLength(11);
  });

  it('are gone once nobody is signed in any more', async () => {
    const world = new World();
    const client = await looking(world);
    await world.pass(3_000);
    expect(world.copies.size).toBeGreaterThan(0);
    world.answers = (method, path, body) =>
      path === '/api/session' ? [200, null] : world.serve(method, path, body);
    await client.store.dispatch(
      client.api.endpoints.session.initiate(undefined, { forceRefetch: true }),
    );
    await world.pass(0);
    expect(world.copies.size).toBe(0);
  });
});
