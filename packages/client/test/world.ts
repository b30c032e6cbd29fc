import type { LiveFrame, Session, TicketFile } from '@nodo/api';
import type { RackEntry, TicketEvent } from '@nodo/ticket';
import { afterEach, beforeAll, beforeEach, vi } from 'vitest';
import { type Client, type Copy, createClient, type StreamEvents } from '../src/index.ts';
import type { Ports } from '../src/ports.ts';
import { memoryCopies, memoryStorage } from './memory.ts';

/**
 * For each test file: the store's own timers stand still too, so that no test hangs on the speed
 * of the machine.
 */
export function stopTheTimers(): void {
  // Loaded once in real time; after that it is there at once.
  beforeAll(() => import('./loaded.ts'));
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval'] });
  });
  afterEach(() => {
    vi.useRealTimers();
  });
}

export const ODREN = person('odren');
export const TAVI = person('tavi');
export const TICKET = crypto.randomUUID();

function person(name: string) {
  const id = crypto.randomUUID();
  return { id, name, initials: 'XX', role: 'technician' as const, thread: 0 };
}

/** Entry number `seq` of a ticket, as the server would have stored it. */
export function entry(seq: number, ticket = TICKET, id: string = crypto.randomUUID()): TicketEvent {
  return {
    id,
    ticket,
    seq,
    type: 'observation-noted',
    version: 1,
    actor: { person: ODREN.id, role: 'technician' },
    device: 'test screen',
    epoch: 0,
    knowledge: 'a'.repeat(64),
    observedAt: '2026-03-02T10:00:00.000Z',
    receivedAt: '2026-03-02T10:00:00.000Z',
    body: { words: `entry ${seq}` },
  };
}

/** A ticket's line on the Rack after its entry number `seq`. */
export function rackLine(seq: number, change: Partial<RackEntry> = {}): RackEntry {
  return {
    ticket: TICKET,
    seq,
    tag: 27,
    call: null,
    shelf: 'A',
    label: 'Teal zigzag',
    colour: null,
    family: 'drop-in',
    status: 'open',
    words: 'It skips.',
    takenInAt: '2026-03-02T09:00:00.000Z',
    changedAt: '2026-03-02T10:00:00.000Z',
    lastBy: null,
    seen: 0,
    done: 0,
    owed: [],
    contested: 0,
    likely: null,
    risk: 0.5,
    handOver: null,
    late: 0,
    standing: 'taken-in',
    machine: null,
    comebackOf: null,
    comebacks: 0,
    left: null,
    promised: null,
    awaited: null,
    pin: null,
    atTheClock: [],
    readyAt: null,
    collectedAt: null,
    instead: null,
    toldAt: null,
    contact: null,
    asked: null,
    freedBy: null,
    answer: null,
    unrepaired: null,
    total: null,
    due: null,
    customerName: null,
    customerPhone: null,
    ...change,
  };
}

/** What the stream says of an entry. */
export function frameOf(event: TicketEvent): LiveFrame {
  const { ticket, seq } = event;
  return { kind: 'events', ticket, events: [event], rack: rackLine(seq, { ticket }) };
}

export function commandOf(words: string) {
  return {
    id: crypto.randomUUID(),
    type: 'observation-noted' as const,
    command: { words },
    epoch: 0,
    observedAt: new Date(Date.UTC(2026, 2, 2, 10, 0, drafted++)).toISOString(),
    device: 'test screen',
  };
}
let drafted = 0;

/** What the scripted server answers: a status and a body, or nothing at all. */
type Answers = (method: string, path: string, body: unknown) => [number, unknown] | 'no answer';

/** A browser, its clock and its server, all in the test's hands. */
export class World {
  readonly stored = new Map<string, string>();
  readonly copies = new Map<string, Copy>();
  /** How often a copy was written. */
  written = 0;
  /** What came to the server. */
  readonly asked: string[] = [];
  readonly streams: (StreamEvents & { closed: boolean })[] = [];
  answers: Answers;
  /** The build that the server names; none when empty. */
  serverBuild = '';
  events: TicketEvent[] = [entry(1)];
  session: Session;
  private now = 0;
  private waiting: { until: number; go: () => void }[] = [];
  private readonly tabs: { hear: (message: unknown) => void; lead?: () => void }[] = [];

  constructor() {
    this.session = {
      person: ODREN,
      shop: { id: crypto.randomUUID(), name: 'Bench Nowhere' },
      hasPin: true,
      screen: {
        id: crypto.randomUUID(),
        locked: false,
        people: [ODREN, TAVI].map((one) => ({ ...one, hasPin: true })),
      },
    };
    this.answers = (method, path, body) => this.serve(method, path, body);
  }

  /** The usual server: keeps what it is sent, tells what it has. */
  serve(method: string, path: string, body: unknown): [number, unknown] {
    if (path === '/api/session') return [200, this.session];
    if (path === `/api/tickets/${TICKET}`) {
      return [200, { ticket: TICKET, events: this.events, customer: null } satisfies TicketFile];
    }
    if (path === '/api/open-tickets') {
      return [200, [{ ticket: TICKET, events: this.events, customer: null }]];
    }
    if (method === 'POST' && path === `/api/tickets/${TICKET}/events`) {
      const { id } = body as { id: string };
      const stored =
        this.events.find((one) => one.id === id) ?? entry(this.events.length + 1, TICKET, id);
      if (!this.events.includes(stored)) this.events = [...this.events, stored];
      return [200, stored];
    }
    return [200, []];
  }

  /** @param leads whether this tab speaks for all from the beginning. */
  openTab(leads = true): Client {
    const tab: (typeof this.tabs)[number] = { hear: () => undefined };
    this.tabs.push(tab);
    const copies = memoryCopies(this.copies);
    const ports: Ports = {
      build: 'this one',
      storage: memoryStorage(this.stored),
      copies: {
        ...copies,
        set: (path, copy) => {
          this.written += 1;
          return copies.set(path, copy);
        },
      },
      tabs: {
        post: (message) => {
          for (const other of this.tabs) if (other !== tab) other.hear(structuredClone(message));
        },
        onMessage: (listener) => {
          const before = tab.hear;
          tab.hear = (message) => {
            before(message);
            listener(message);
          };
        },
        lead: (begin) => {
          tab.lead = begin;
        },
      },
      fetch: (path, init) => this.answer(path, init),
      openStream: (_path, events) => {
        const stream = { ...events, closed: false };
        this.streams.push(stream);
        return () => {
          stream.closed = true;
        };
      },
      wait: (milliseconds) =>
        new Promise((go) => this.waiting.push({ until: this.now + milliseconds, go })),
      whenIdle: () => Promise.resolve(),
      now: () => this.now,
    };
    const client = createClient(ports);
    if (leads) tab.lead?.();
    return client;
  }

  /** A tab of another version says something to all. */
  say(message: unknown): void {
    for (const { hear } of this.tabs) hear(message);
  }

  /** All tabs are closed: nothing of them goes on. */
  endTabs(): void {
    this.tabs.length = 0;
    this.waiting = [];
    for (const stream of this.streams) stream.closed = true;
  }

  /** The stream that is open now. */
  get stream(): StreamEvents {
    const open = this.streams.filter(({ closed }) => !closed);
    if (open.length !== 1 || !open[0]) throw new Error(`${open.length} streams are open`);
    return open[0];
  }

  /** Time goes by, and everything that waited for it happens. */
  async pass(milliseconds: number): Promise<void> {
    await settled();
    const until = this.now + milliseconds;
    for (;;) {
      const due = this.waiting
        .filter((one) => one.until <= until)
        .sort((a, b) => a.until - b.until)[0];
      if (!due) break;
      this.waiting = this.waiting.filter((one) => one !== due);
      this.now = Math.max(this.now, due.until);
      due.go();
      await settled();
    }
    this.now = until;
  }

  /** The device sleeps: the clock goes on, nothing happens. */
  sleep(milliseconds: number): void {
    this.now += milliseconds;
  }

  private answer(path: string, init: RequestInit): Promise<Response> {
    const method = init.method ?? 'GET';
    this.asked.push(`${method} ${path}`);
    const body = typeof init.body === 'string' ? (JSON.parse(init.body) as unknown) : undefined;
    const answer = this.answers(method, path, body);
    if (answer === 'no answer') return Promise.reject(new Error('no network'));
    const [status, told] = answer;
    const headers = { 'nodo-build': this.serverBuild };
    return Promise.resolve(Response.json(told, { status, headers }));
  }
}

/** The store tells of what is not urgent once a frame. */
const FRAME_MS = 12;
/** More turns than any chain of answers here takes. */
const TURNS = 20;

/** Everything that can happen without time going by has happened. */
async function settled(): Promise<void> {
  await turns();
  await vi.advanceTimersByTimeAsync(FRAME_MS);
  await turns();
}

/** Lets promises and what they hand on run to their end; no clock is read. */
async function turns(): Promise<void> {
  const { port1, port2 } = new MessageChannel();
  for (let turn = 0; turn < TURNS; turn += 1) {
    await new Promise((resolve) => {
      port1.onmessage = resolve;
      port2.postMessage(turn);
    });
  }
  port1.close();
}
