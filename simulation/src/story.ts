import { isDeepStrictEqual } from 'node:util';
import { ADDRESSES, pathTo } from '@nodo/api';
import { type Client, enteredOn, outbox } from '@nodo/client';
import { foldChangeRequests, type TableEvent, versionInForce } from '@nodo/tables';
import {
  decide,
  mayBeCorrected,
  pendingOverlay,
  type RackEntry,
  type TicketCommand,
  type TicketEvent,
} from '@nodo/ticket';
import { Device } from './device.ts';
import { answerEntry, lifeEntry, noteEntry } from './entries.ts';
import type { Line } from './network.ts';
import { post, type SimulatedPerson, type SimulatedShop } from './shop.ts';
import type { Draw, World } from './world.ts';

const STEPS = 30;
const TICKETS = 2;
const LONGEST_PAUSE_MS = 400;
/** Far longer than the longest pause of the client; it ends as soon as all agree. */
const SETTLES_WITHIN_MS = 600_000;
const LOOKS_EVERY_MS = 600;

/** A screen of the story, with who signed in on it. */
export interface SimulatedScreen {
  readonly line: Line;
  readonly people: readonly SimulatedPerson[];
}

export interface Told {
  readonly recorded: number;
  readonly refused: number;
  readonly restarts: number;
  /** What does not agree at the end; empty when all is well. */
  readonly faults: readonly string[];
}

interface Recorded {
  readonly ticket: string;
  readonly draft: TicketCommand;
  readonly person: string;
}

type Act = (story: Story) => Promise<void> | void;

/** What can happen next, with its weight. */
const ACTS: readonly (readonly [number, Act])[] = [
  [34, (story) => story.notes()],
  [20, (story) => story.answers()],
  [14, (story) => story.lives()],
  [6, (story) => story.takesBack()],
  [8, (story) => story.screen().device.line.cutOff()],
  [4, (story) => story.screen().device.line.fallAsleep()],
  [12, (story) => story.mends()],
  [2, (story) => story.restarts()],
  [6, (story) => story.reloads()],
  [4, (story) => story.opensTab()],
  [5, (story) => story.changesPerson()],
  [2, (story) => story.locksAndOpens()],
  [2, (story) => story.changesTables()],
];

/**
 * One seeded story on the real server with the real client: entries on several screens while
 * lines drop, double and delay, screens reload, people change, the server restarts and the
 * tables move. At the end everybody must agree, and nothing that was acknowledged be missing.
 */
export class Story {
  private readonly draw: Draw;
  private readonly screens: readonly {
    readonly device: Device;
    readonly people: readonly SimulatedPerson[];
  }[];
  private readonly tickets: readonly string[];
  private readonly recorded: Recorded[] = [];
  private restarted = 0;

  constructor(
    private readonly world: World,
    private readonly shop: SimulatedShop,
    screens: readonly SimulatedScreen[],
  ) {
    this.draw = world.draw;
    this.tickets = Array.from({ length: TICKETS }, () => world.id());
    this.screens = screens.map(({ line, people }) => ({ device: new Device(world, line), people }));
  }

  /** The whole story; what went wrong in it stands among the faults. */
  async tell(): Promise<Told> {
    const faults = await this.goesThrough().catch((fault: unknown) => [String(fault)]);
    for (const { device } of this.screens) for (const tab of device.open) device.closeTab(tab);
    return {
      recorded: this.recorded.length,
      refused: this.refused.length,
      restarts: this.restarted,
      faults,
    };
  }

  private async goesThrough(): Promise<readonly string[]> {
    for (const [place, ticket] of this.tickets.entries()) await this.takesIn(ticket, place);
    for (const { device } of this.screens) this.opens(device);
    await this.begins();
    for (let step = 0; step < STEPS; step += 1) {
      await this.next()(this);
      await this.world.wait(this.draw() * LONGEST_PAUSE_MS);
    }
    return this.settles();
  }

  /** Most screens show something before the story begins; a bad line may keep some waiting. */
  private async begins(): Promise<void> {
    for (let looks = 0; looks < 20; looks += 1) {
      const clients = this.screens.flatMap(({ device }) => device.open);
      if (clients.every((client) => this.tickets.every((id) => shownTicket(client, id)))) return;
      await this.world.wait(LOOKS_EVERY_MS);
    }
  }

  /** One of the screens. */
  screen() {
    return this.pick(this.screens);
  }

  notes(): void {
    this.records((ticket) => noteEntry(this.recorded.length, ticket));
  }

  answers(): void {
    this.records(() => answerEntry(this.draw));
  }

  lives(): void {
    this.records(() => lifeEntry(this.draw));
  }

  takesBack(): void {
    this.records((_ticket, events, person) => {
      const last = events.findLast(
        (event) => event.actor.person === person && mayBeCorrected(event),
      );
      return last && { type: 'entry-corrected', command: { corrects: last.id } };
    });
  }

  mends(): void {
    const cut = this.screens.find(({ device }) => device.line.cut);
    if (cut) cut.device.line.cut = false;
  }

  async restarts(): Promise<void> {
    this.restarted += 1;
    await this.shop.restart();
  }

  reloads(): void {
    const { device } = this.screen();
    device.closeTab(this.pick(device.open));
    this.opens(device);
  }

  /** A second tab, or the second one goes. */
  opensTab(): void {
    const { device } = this.screen();
    const [first, second] = device.open;
    if (second && first) device.closeTab(this.draw() < 0.5 ? first : second);
    else this.opens(device);
  }

  async changesPerson(): Promise<void> {
    const { device, people } = this.screen();
    if (device.line.cut) return;
    const client = this.pick(device.open);
    const { dispatch } = client.store;
    // Through the client, faults and all: what happens when the answer is lost?
    await dispatch(
      client.api.endpoints.changePerson.initiate({ person: this.pick(people).id, pin: '2468' }),
    );
  }

  async locksAndOpens(): Promise<void> {
    const { device, people } = this.screen();
    if (device.line.cut) return;
    const client = this.pick(device.open);
    await client.store.dispatch(client.api.endpoints.lockScreen.initiate());
    this.records(() => ({ type: 'observation-noted', command: { words: 'while it is locked' } }));
    await this.shop.takeOver(device.line, this.pick(people).id);
    this.readsSession(device);
  }

  async changesTables(): Promise<void> {
    const line = this.screens.at(-1)?.device.line;
    if (!line) return;
    const record = (type: string, command: object): Promise<unknown> =>
      post(line, ADDRESSES.recordTableEvent.path, {
        id: this.world.id(),
        type,
        command,
        observedAt: this.world.now().toISOString(),
        device: 'simulated',
      });
    const perMille = 20 + Math.floor(this.draw() * 900) / 10;
    const change = { kind: 'how-often', cause: 'needle-low', perMille };
    const { id } = (await record('change-proposed', {
      change,
      reason: 'It is simulated.',
    })) as TableEvent;
    const { hash } = (await this.shop.version()).knowledge;
    await record('change-accepted', { proposal: id, against: hash });
  }

  private next(): Act {
    let left = this.draw() * ACTS.reduce((sum, [weight]) => sum + weight, 0);
    for (const [weight, act] of ACTS) {
      left -= weight;
      if (left < 0) return act;
    }
    return () => undefined;
  }

  private async takesIn(ticket: string, index: number): Promise<void> {
    const line = this.screens[0]?.device.line;
    if (!line) return;
    const command = {
      family: 'drop-in',
      label: `Simulated ${index}`,
      tag: this.shop.nextTag(),
      shelf: 'A',
      words: 'It skips.',
      customer: null,
    };
    await post(line, ADDRESSES.takeIn.path, {
      ticket,
      customer: null,
      drafts: [
        {
          id: this.world.id(),
          type: 'intake-taken',
          command,
          epoch: 0,
          observedAt: this.world.now().toISOString(),
          device: 'simulated',
        },
      ],
    });
  }

  /** Opens a tab that looks at everything. */
  private opens(device: Device): void {
    const { store, api } = device.openTab();
    void store.dispatch(api.endpoints.session.initiate());
    void store.dispatch(api.endpoints.tables.initiate());
    void store.dispatch(api.endpoints.rack.initiate());
    for (const ticket of this.tickets) void store.dispatch(api.endpoints.ticket.initiate(ticket));
  }

  private readsSession(device: Device): void {
    for (const { store, api } of device.open) {
      void store.dispatch(
        api.endpoints.session.initiate(undefined, { forceRefetch: true, subscribe: false }),
      );
    }
  }

  /** Makes an entry as the page does: judged here by the server's own rules, shown, kept, sent. */
  private records(
    write: (
      ticket: string,
      events: readonly TicketEvent[],
      person: string,
    ) => { readonly type: string; readonly command: object } | undefined,
  ): void {
    const { device } = this.screen();
    const client = this.pick(device.open);
    const state = client.store.getState();
    const session = client.api.endpoints.session.select()(state).data;
    const id = this.pick(this.tickets);
    const shown = session && shownTicket(client, id);
    if (!session || !shown) return;
    const person = session.person.id;
    const entry = write(id, shown.events, person);
    if (!entry) return;
    const draft = {
      id: this.world.id(),
      ...entry,
      epoch: shown.ticket.epoch,
      observedAt: this.world.now().toISOString(),
      device: 'simulated',
    } as unknown as TicketCommand;
    const actor = { person, role: session.person.role };
    if (!decide(shown.ticket, draft, actor, shown.version).ok) return;
    client.store.dispatch(outbox.actions.added({ ticket: id, draft, person }));
    this.recorded.push({ ticket: id, draft, person });
  }

  private get refused(): readonly string[] {
    return this.screens.flatMap(({ device }) =>
      device.waiting
        .map((kept) => JSON.parse(kept) as { draft: TicketCommand; refusal?: object })
        .flatMap(({ draft, refusal }) => (refusal ? [draft.id] : [])),
    );
  }

  /** All lines are mended; then everything must come to agree within a while. */
  private async settles(): Promise<readonly string[]> {
    for (const { device } of this.screens) {
      device.line.calm = true;
      device.line.cut = false;
      this.readsSession(device);
    }
    const latest = this.world.now().getTime() + SETTLES_WITHIN_MS;
    let faults = await this.faults();
    while (faults.length > 0 && this.world.now().getTime() < latest) {
      await this.world.wait(LOOKS_EVERY_MS);
      // The page asks again who is there while its stream is lost or it is locked.
      for (const { device } of this.screens) {
        const left = leftBehind(device);
        if (left !== undefined) await this.shop.takeOver(device.line, left);
        if (left !== undefined || device.open.some(needsSession)) this.readsSession(device);
      }
      faults = await this.faults();
    }
    return faults;
  }

  private async faults(): Promise<readonly string[]> {
    const faults: string[] = [];
    const rack = await this.shop.rack();
    const refused = new Set(this.refused);
    for (const ticket of this.tickets) {
      const events = await this.shop.events(ticket);
      for (const { draft, person } of this.recorded.filter((one) => one.ticket === ticket)) {
        const stored = events.filter(({ id }) => id === draft.id);
        if (stored.length === 0 && !refused.has(draft.id)) faults.push(`missing ${draft.id}`);
        if (stored.length > 1) faults.push(`doubled ${draft.id}`);
        if (stored[0] && stored[0].actor.person !== person) faults.push(`not theirs ${draft.id}`);
      }
      for (const [place, { device }] of this.screens.entries()) {
        for (const client of device.open) {
          const shown = shownTicket(client, ticket);
          if (!shown || shown.waiting > 0 || !isDeepStrictEqual(shown.events, [...events])) {
            const has = shown ? `${shown.events.length} (${shown.waiting} waiting)` : 'nothing';
            faults.push(`screen ${place} shows ${has} of ${events.length} on ${ticket}`);
          }
          const line = rackOf(client).find((entry) => entry.ticket === ticket);
          const kept = rack.find((entry) => entry.ticket === ticket);
          if (!isDeepStrictEqual(line, kept)) faults.push(`screen ${place} has another Rack`);
        }
        const path = pathTo('readTicket', { ticket });
        const copy = device.copies.get(path)?.data as { events: TicketEvent[] } | undefined;
        if (copy && !isDeepStrictEqual(copy.events, events.slice(0, copy.events.length))) {
          faults.push(`screen ${place} keeps another ticket ${ticket}`);
        }
      }
    }
    return faults;
  }

  private pick<One>(all: readonly One[]): One {
    return all[Math.floor(this.draw() * all.length)] as One;
  }
}

function needsSession({ api, store, stream }: Client): boolean {
  const session = api.endpoints.session.select()(store.getState()).data;
  return stream.state === 'lost' || !session || session.screen.locked;
}

/** Who made an entry that only goes out once they stand at the screen again. */
function leftBehind({ open }: Device): string | undefined {
  for (const { api, store } of open) {
    const { data: session } = api.endpoints.session.select()(store.getState());
    const { entries } = store.getState().outbox;
    const left = entries.find(
      ({ person, proof, refusal }) => !proof && !refusal && session && person !== session.person.id,
    );
    if (left) return left.person;
  }
  return undefined;
}

function rackOf({ api, store }: Client): readonly RackEntry[] {
  return api.endpoints.rack.select()(store.getState()).data ?? [];
}

/** What a page shows of a ticket: the confirmed events with the waiting ones laid over them. */
function shownTicket({ api, store }: Client, id: string) {
  const state = store.getState();
  const file = api.endpoints.ticket.select(id)(state).data;
  const tables = api.endpoints.tables.select()(state).data;
  const session = api.endpoints.session.select()(state).data;
  if (!file || !tables || !session) return undefined;
  const version = versionInForce(foldChangeRequests(tables));
  const entered = enteredOn(id, state.outbox.entries, session.screen.people);
  const { ticket, events, waiting } = pendingOverlay()(id, file.events, entered, version);
  return { ticket, events, version, waiting: waiting.size };
}
