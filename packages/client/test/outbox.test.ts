import { proofOf } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import { describe, expect, it } from 'vitest';
import { enteredOn, outbox } from '../src/index.ts';
import { commandOf, entry, frameOf, ODREN, stopTheTimers, TAVI, TICKET, World } from './world.ts';

stopTheTimers();

const EVENTS = `POST /api/tickets/${TICKET}/events`;
const sent = (world: World) => world.asked.filter((one) => one === EVENTS).length;

/** A tab on which somebody is signed in and looks at the ticket. */
async function atTicket(world: World, leads = true) {
  const client = world.openTab(leads);
  void client.store.dispatch(client.api.endpoints.session.initiate());
  void client.store.dispatch(client.api.endpoints.ticket.initiate(TICKET));
  await world.pass(0);
  if (leads) world.stream.onOpen();
  await world.pass(0);
  const enter = (words: string, person = ODREN.id) => {
    const draft = commandOf(words);
    client.store.dispatch(outbox.actions.added({ ticket: TICKET, draft, person }));
    return draft;
  };
  const shown = () =>
    client.api.endpoints.ticket.select(TICKET)(client.store.getState()).data?.events.length;
  const entries = () => client.store.getState().outbox.entries;
  return { client, enter, shown, entries };
}

describe('what is entered', () => {
  it('is on the disk before anything is sent, and leaves it once it is confirmed', async () => {
    const world = new World();
    const { enter, shown, entries } = await atTicket(world);
    const draft = enter('seen');
    expect([...world.stored.values()].join()).toContain(draft.id);
    expect(sent(world)).toBe(0);
    await world.pass(0);
    expect(entries()).toEqual([]);
    expect(world.stored.size).toBe(0);
    expect(shown()).toBe(2);
  });

  it('goes out one after the other, in its order', async () => {
    const world = new World();
    const { enter } = await atTicket(world);
    const drafts = ['one', 'two', 'three'].map((words) => enter(words));
    await world.pass(0);
    expect(world.events.slice(1).map(({ id }) => id)).toEqual(drafts.map(({ id }) => id));
  });

  it('waits without a server, is tried again at growing pauses, and is sent once it is back', async () => {
    const world = new World();
    const { enter, entries, client } = await atTicket(world);
    world.answers = () => 'no answer';
    enter('in the cellar');
    await world.pass(0);
    expect(client.store.getState().outbox.unreachable).toBe(true);
    await world.pass(60_000);
    const tries = sent(world);
    // 400, 800, 1 600, 3 200 ms and then every five seconds.
    expect(tries).toBeGreaterThan(10);
    expect(tries).toBeLessThan(20);
    expect(entries()).toHaveLength(1);
    world.answers = (...asked) => world.serve(...asked);
    await world.pass(5_000);
    expect(entries()).toEqual([]);
    expect(client.store.getState().outbox.unreachable).toBe(false);
  });

  it('goes to the tray with the reason when it is refused, and the next one goes out', async () => {
    const world = new World();
    const { enter, entries } = await atTicket(world);
    const bad = enter('refused');
    const good = enter('taken');
    world.answers = (method, path, body) =>
      (body as { id?: string } | undefined)?.id === bad.id
        ? [409, refuse('ticket-closed')]
        : world.serve(method, path, body);
    await world.pass(0);
    expect(entries()).toMatchObject([
      { draft: { id: bad.id }, refusal: { code: 'ticket-closed' } },
    ]);
    expect(world.events.at(-1)?.id).toBe(good.id);
    // It is neither sent again nor forgotten by a reload.
    await world.pass(60_000);
    expect(sent(world)).toBe(2);
    const reloaded = world.openTab(false);
    await world.pass(0);
    expect(reloaded.store.getState().outbox.entries).toMatchObject([
      { draft: { id: bad.id }, refusal: { code: 'ticket-closed' } },
    ]);
  });

  it('of somebody who is not signed in here waits, and others’ goes out', async () => {
    const world = new World();
    const { client, enter, entries } = await atTicket(world);
    const others = { ...world.session.screen, people: [{ ...TAVI, hasPin: true }] };
    world.session = { ...world.session, person: TAVI, screen: others };
    await client.store.dispatch(
      client.api.endpoints.session.initiate(undefined, { forceRefetch: true }),
    );
    enter('left behind');
    await world.pass(60_000);
    expect(sent(world)).toBe(0);
    const own = enter('by another', TAVI.id);
    await world.pass(0);
    expect(world.events.at(-1)?.id).toBe(own.id);
    expect(entries()).toHaveLength(1);
    const { people } = world.session.screen;
    expect(enteredOn(TICKET, entries(), people)).toEqual([]);
  });

  it('is sent as its maker’s while somebody else stands there, as long as it can be shown', async () => {
    const world = new World();
    world.session = { ...world.session, key: 'the key of Odren' };
    const { client, enter, entries } = await atTicket(world);
    world.answers = () => 'no answer';
    const made = enter('under the PIN of Odren');
    await world.pass(0);
    expect(entries()[0]?.proof).toBe(proofOf('the key of Odren', TICKET, made));
    // Neither the key nor a copy of it lies on the device.
    await world.pass(60_000);
    const onDevice = JSON.stringify([[...world.stored], [...world.copies]]);
    expect(onDevice).toContain(made.id);
    expect(onDevice).not.toContain('the key of Odren');
    world.session = { ...world.session, person: TAVI, key: 'the key of Tavi' };
    const bodies: object[] = [];
    world.answers = (method, path, body) => {
      if (method === 'POST') bodies.push(body as object);
      return world.serve(method, path, body);
    };
    const again = () =>
      client.store.dispatch(
        client.api.endpoints.session.initiate(undefined, { forceRefetch: true }),
      );
    await again();
    await world.pass(10_000);
    expect(bodies).toMatchObject([
      { id: made.id, by: ODREN.id, proof: proofOf('the key of Odren', TICKET, made) },
    ]);
    expect(entries()).toEqual([]);
  });

  it('that was on its way before it was proven is sent again with its proof', async () => {
    const world = new World();
    world.session = { ...world.session, key: 'the key of Odren' };
    const { client, enter, entries } = await atTicket(world);
    world.answers = () => 'no answer';
    const made = enter('just before somebody else took the screen over');
    await world.pass(0);
    const proof = proofOf('the key of Odren', TICKET, made);
    // What the server says of a request that was made up before the proof.
    client.store.dispatch(outbox.actions.unproven({ id: made.id }));
    expect(entries()).toMatchObject([{ proof }]);
    client.store.dispatch(outbox.actions.unproven({ id: made.id, proof }));
    expect(entries()).toMatchObject([{ proof: undefined }]);
  });

  it('that cannot be shown to be its maker’s waits until they stand there', async () => {
    const world = new World();
    world.session = { ...world.session, key: 'a key that the server has forgotten' };
    const { client, enter, entries } = await atTicket(world);
    world.answers = () => 'no answer';
    const made = enter('under a key of before');
    const stands = async (person: typeof ODREN) => {
      world.session = { ...world.session, person };
      await client.store.dispatch(
        client.api.endpoints.session.initiate(undefined, { forceRefetch: true }),
      );
    };
    world.answers = (method, path, body) =>
      method === 'POST' && world.session.person.id !== ODREN.id
        ? [403, refuse('not-at-this-screen', 'by', { unproven: true })]
        : world.serve(method, path, body);
    await stands(TAVI);
    await world.pass(60_000);
    expect(entries()).toMatchObject([{ draft: { id: made.id }, proof: undefined }]);
    expect(entries()[0]?.refusal).toBeUndefined();
    expect(sent(world)).toBeLessThan(12);
    await stands(ODREN);
    await world.pass(5_000);
    expect(entries()).toEqual([]);
    expect(world.events.at(-1)?.id).toBe(made.id);
  });

  it('is not sent from a locked screen', async () => {
    const world = new World();
    world.session = { ...world.session, screen: { ...world.session.screen, locked: true } };
    const { enter, entries } = await atTicket(world);
    enter('under the lock');
    await world.pass(60_000);
    expect(sent(world)).toBe(0);
    expect(entries()).toHaveLength(1);
  });

  it('keeps its order when the clock is set back and the browser starts again', async () => {
    const world = new World();
    const { enter } = await atTicket(world);
    world.answers = () => 'no answer';
    const action = enter('the action');
    const finding = commandOf('the finding after it');
    // The clock of the device was set back in between.
    const early = { ...finding, observedAt: '2026-03-02T09:00:00.000Z' };
    const tab = world.openTab(false);
    await world.pass(0);
    tab.store.dispatch(outbox.actions.added({ ticket: TICKET, draft: early, person: ODREN.id }));
    world.endTabs();
    world.answers = (...asked) => world.serve(...asked);
    const again = await atTicket(world);
    // Entered before those of the last time are read: still after them.
    const last = again.enter('entered at once');
    await world.pass(5_000);
    expect(again.entries()).toEqual([]);
    expect(world.events.slice(1).map(({ id }) => id)).toEqual([action.id, early.id, last.id]);
  });

  it('of before there were numbers goes first, by its clock', async () => {
    const world = new World();
    const [one, two] = [commandOf('one'), commandOf('two')];
    for (const draft of [two, one]) {
      const kept = { ticket: TICKET, draft, person: ODREN.id };
      world.stored.set(`nodo.outbox.${draft.id}`, JSON.stringify(kept));
    }
    world.answers = () => 'no answer';
    const { enter, entries } = await atTicket(world);
    const three = enter('three');
    expect(entries().map(({ draft }) => draft.id)).toEqual([one.id, two.id, three.id]);
  });

  it('that the server fails at again and again does not hold up those behind it', async () => {
    const world = new World();
    const { enter, entries } = await atTicket(world);
    const bad = enter('the server fails at this one');
    const good = enter('and not at this one');
    world.answers = (method, path, body) =>
      (body as { id?: string } | undefined)?.id === bad.id
        ? [503, refuse('server-fault')]
        : world.serve(method, path, body);
    await world.pass(10_000);
    expect(world.events.at(-1)?.id).toBe(good.id);
    expect(entries()).toMatchObject([{ draft: { id: bad.id }, refusal: { code: 'server-fault' } }]);
    // Sent again by hand, once the server was mended.
    world.answers = (...asked) => world.serve(...asked);
    const { store } = world.openTab(false);
    await world.pass(0);
    store.dispatch(outbox.actions.retried(bad.id));
    await world.pass(0);
    expect(entries()).toEqual([]);
    expect(world.events.at(-1)?.id).toBe(bad.id);
  });

  it('waits for a server that fails at everything', async () => {
    const world = new World();
    const { enter, entries } = await atTicket(world);
    enter('while the database is away');
    world.answers = () => [503, refuse('server-fault')];
    await world.pass(120_000);
    expect(entries()).toHaveLength(1);
    expect(entries()[0]?.refusal).toBeUndefined();
    world.answers = (...asked) => world.serve(...asked);
    await world.pass(5_000);
    expect(entries()).toEqual([]);
  });

  it('that cannot be read from the disk does not hide the rest, and stays where it is', async () => {
    const world = new World();
    const kept = { ticket: TICKET, draft: commandOf('good'), person: ODREN.id };
    world.stored.set('nodo.outbox.broken', '{"ticket":');
    world.stored.set('nodo.outbox.odd', '{"ticket":"27"}');
    world.stored.set('nodo.outbox.good', JSON.stringify(kept));
    world.stored.set('somebody else’s', 'x');
    const { store } = world.openTab(false);
    await world.pass(0);
    expect(store.getState().outbox).toMatchObject({ entries: [kept], unreadable: 2 });
    expect(world.stored.get('nodo.outbox.broken')).toBe('{"ticket":');
    expect(world.stored.get('nodo.outbox.odd')).toBe('{"ticket":"27"}');
  });

  it('of a kind that this version does not know waits in the tray, with the reason', async () => {
    const world = new World();
    const draft = { ...commandOf('from another version'), type: 'machine-polished' };
    const kept = { ticket: TICKET, draft, person: ODREN.id };
    world.stored.set(`nodo.outbox.${draft.id}`, JSON.stringify(kept));
    const { entries } = await atTicket(world);
    expect(entries()).toMatchObject([
      {
        draft: { id: draft.id },
        unknown: true,
        refusal: { code: 'bad-input', path: 'draft.type' },
      },
    ]);
    expect(sent(world)).toBe(0);
    // What is shown of the ticket is not touched by it.
    expect(enteredOn(TICKET, entries(), world.session.screen.people)).toEqual([]);
  });
});

describe('a server that was updated', () => {
  const isOutdated = ({ client }: Awaited<ReturnType<typeof atTicket>>) =>
    client.store.getState().version.outdated;

  it('is known by the build that it names', async () => {
    const world = new World();
    const tab = await atTicket(world);
    expect(isOutdated(tab)).toBe(false);
    world.serverBuild = 'this one';
    tab.enter('one');
    await world.pass(0);
    expect(isOutdated(tab)).toBe(false);
    world.serverBuild = 'a newer one';
    tab.enter('two');
    await world.pass(0);
    expect(isOutdated(tab)).toBe(true);
    expect(tab.entries()).toEqual([]);
  });

  it('is known by a frame that only its own page understands; the others still count', async () => {
    const world = new World();
    const tab = await atTicket(world);
    world.stream.onFrame({ kind: 'weather', sky: 'blue' });
    world.stream.onFrame(frameOf(entry(2)));
    await world.pass(0);
    expect(isOutdated(tab)).toBe(true);
    expect(tab.shown()).toBe(2);
  });

  it('loses nothing of what this page still writes in the old way', async () => {
    const world = new World();
    const tab = await atTicket(world);
    world.serverBuild = 'a newer one';
    world.answers = (method, path, body) =>
      method === 'POST'
        ? [400, refuse('bad-input', 'body.command')]
        : world.serve(method, path, body);
    const draft = tab.enter('in the old way');
    await world.pass(60_000);
    expect(tab.entries()).toMatchObject([{ draft: { id: draft.id } }]);
    expect(tab.entries()[0]?.refusal).toBeUndefined();
    expect(sent(world)).toBe(1);
    // The newer page, after the reload, sends it.
    world.answers = (...asked) => world.serve(...asked);
    world.endTabs();
    const reloaded = await atTicket(world);
    await world.pass(0);
    expect(reloaded.entries()).toEqual([]);
    expect(world.events.at(-1)?.id).toBe(draft.id);
  });
});

describe('two tabs', () => {
  it('show one outbox, and only the one that leads sends', async () => {
    const world = new World();
    const first = await atTicket(world);
    const second = await atTicket(world, false);
    world.answers = () => 'no answer';
    second.enter('from the second');
    await world.pass(0);
    expect(first.entries()).toHaveLength(1);
    world.answers = (...asked) => world.serve(...asked);
    await world.pass(1_000);
    expect(world.events).toHaveLength(2);
    expect(first.entries()).toEqual([]);
    expect(second.entries()).toEqual([]);
    expect(second.shown()).toBe(2);
  });

  it('do not hear what a tab of another version says and they do not understand', async () => {
    const world = new World();
    const first = await atTicket(world);
    world.say({ kind: 'outbox', action: { type: 'outbox/emptied' } });
    world.say({ kind: 'outbox', action: { type: 'outbox/added', payload: { ticket: 'x' } } });
    world.say('hello');
    await world.pass(0);
    expect(first.entries()).toEqual([]);
  });
});
