import { type EndpointName, type LiveFrame, pathTo, type Session } from '@nodo/api';
import type { Boundary } from './boundary.ts';
import { type Answered, type Asked, type Call, pathOf } from './call.ts';
import type { Copies, Ports } from './ports.ts';
import { appendInOrder, placeOnRack } from './tickets.ts';

/** What a screen needs to go on without the network. */
const CACHED: ReadonlySet<EndpointName> = new Set<EndpointName>([
  'whoAmI',
  'listPeople',
  'listTickets',
  'readTicket',
  'readTables',
  'readShop',
]);
const RACK = pathTo('listTickets');
const SESSION = pathTo('whoAmI');

/** A copy of yesterday would be taken for the truth. */
const GOOD_FOR_MS = 12 * 3_600_000;
const WRITE_AFTER_MS = 2_000;
/** All open tickets are read at most this often. */
const READ_ALL_EVERY_MS = 60_000;

const ticketPath = (ticket: string): string => pathTo('readTicket', { ticket });

/**
 * Copies of what the server said, for the time when it says nothing: who is signed in, the
 * Rack, the tables, and every open ticket, kept true to the stream.
 */
export class OfflineCache {
  private readonly copies: Copies;
  private readonly now: () => number;
  private inOrder: Promise<unknown> = Promise.resolve();
  private readonly wait: Ports['wait'];
  private readonly heard: Extract<LiveFrame, { kind: 'events' }>[] = [];
  private readonly copied = new Set<string>();
  private readAllAt = Number.NEGATIVE_INFINITY;

  constructor(
    { copies, now, wait }: Pick<Ports, 'copies' | 'now' | 'wait'>,
    private readonly call: Call,
    private readonly boundary: Boundary,
  ) {
    this.copies = copies;
    this.now = now;
    this.wait = wait;
  }

  /**
   * The server's answer, kept; where it gave none, the copy, if there is one.
   * @param onlyNow something is there already, and a copy would not be newer.
   */
  async through(request: Asked, answer: Answered, onlyNow: boolean): Promise<Answered> {
    if (!CACHED.has(request.name)) return answer;
    const path = pathOf(request);
    if ('data' in answer) {
      this.copied.delete(path);
      if (request.name === 'whoAmI' && answer.data === null) this.clear();
      else this.put(path, answer.data);
      return answer;
    }
    if (answer.error.kind !== 'unreachable' || onlyNow) return answer;
    await this.inOrder;
    const copy = await this.copies.get(path).catch(() => undefined);
    if (copy === undefined || this.now() - copy.at >= GOOD_FOR_MS) return answer;
    // An older version may have written it.
    const data = await this.boundary.checks().then(
      ({ readAnswer }) => readAnswer(request.name, copy.data),
      () => undefined,
    );
    if (data === undefined) return answer;
    this.copied.add(path);
    return { data };
  }

  /** Whether the latest answer for this was a copy. */
  isCopy(request: Asked): boolean {
    return this.copied.has(pathOf(request));
  }

  /** Nobody is signed in here any more: nothing of the shop stays. */
  clear(): void {
    this.queue(() => this.copies.clear());
  }

  put(path: string, data: unknown): void {
    // A key that was stored on the device would be everybody's who stands there.
    const copy = path === SESSION ? { ...(data as Session), key: undefined } : data;
    this.queue(() => this.copies.set(path, { at: this.now(), data: copy }));
  }

  /** Takes in what the stream says; by the tab that holds it. */
  hear(frame: LiveFrame): void {
    if (frame.kind === 'resync') this.queue(() => this.readAll());
    if (frame.kind !== 'events') return;
    this.heard.push(frame);
    // The first of several has them all written.
    if (this.heard.length === 1) this.queue(() => this.takeIn());
  }

  /** What was heard in a while is written together, after the screen has been rendered. */
  private async takeIn(): Promise<void> {
    await this.wait(WRITE_AFTER_MS);
    const heard = this.heard.splice(0);
    const { readAnswer } = await this.boundary.checks();
    const kept = readAnswer('listTickets', (await this.copies.get(RACK))?.data);
    if (kept) {
      await this.keep(
        RACK,
        heard.reduce((lines, { rack }) => placeOnRack(lines, rack), kept),
      );
    }
    for (const ticket of new Set(heard.map((frame) => frame.ticket))) {
      const frames = heard.filter((frame) => frame.ticket === ticket);
      const file = readAnswer('readTicket', (await this.copies.get(ticketPath(ticket)))?.data);
      const updated = file && { ...file, events: [...file.events] };
      if (updated && frames.every(({ events }) => appendInOrder(updated, events))) {
        await this.keep(ticketPath(ticket), updated);
      } else if (frames.at(-1)?.rack.status === 'open') await this.readAll();
    }
  }

  private async readAll(): Promise<void> {
    if (this.now() - this.readAllAt < READ_ALL_EVERY_MS) return;
    this.readAllAt = this.now();
    let after: string | undefined;
    do {
      const answer = await this.call({ name: 'openTickets', params: { after } });
      if (!('data' in answer)) return;
      const { files, next } = answer.data;
      for (const file of files) await this.keep(ticketPath(file.ticket), file);
      after = next ?? undefined;
    } while (after !== undefined);
  }

  private keep(path: string, data: unknown): Promise<void> {
    return this.copies.set(path, { at: this.now(), data });
  }

  /** One after the other. A device that keeps nothing (full, private) still works on line. */
  private queue(work: () => Promise<unknown>): void {
    this.inOrder = this.inOrder.then(work).catch(() => undefined);
  }
}
