import type { StreamEvents } from '@nodo/client';
import { Stream } from './stream.ts';
import type { Draw, World } from './world.ts';

/** What may go wrong between a screen and the server, with its chance per request. */
const DROPPED_BEFORE = 0.08;
const DROPPED_AFTER = 0.08;
const SENT_TWICE = 0.06;
const SLOW = 0.1;
const LONGEST_DELAY_MS = { usual: 480, slow: 6_000 };

class Unreachable extends Error {}

/** The line of one screen: drops, doubles, delays and reorders what goes over it. */
export class Line {
  cut = false;
  /** Nothing goes wrong any more, for the end of a story. */
  calm = false;
  /** Decides what goes wrong. */
  private readonly draw: Draw;
  private cookie = '';
  private readonly streams = new Set<Stream>();

  constructor(
    private readonly name: string,
    private readonly world: World,
    private readonly url: () => string,
  ) {
    this.draw = world.chance();
  }

  get openStreams(): readonly Stream[] {
    return [...this.streams].filter(({ isOpen }) => isOpen);
  }

  async fetch(path: string, init: RequestInit): Promise<Response> {
    await this.world.wait(this.delay());
    if (this.isCut() || this.happens(DROPPED_BEFORE))
      throw new Unreachable('dropped on the way there');
    if (this.happens(SENT_TWICE)) await this.send(path, init);
    const answer = await this.send(path, init);
    await this.world.wait(this.delay());
    if (this.isCut() || this.happens(DROPPED_AFTER))
      throw new Unreachable('dropped on the way back');
    return answer;
  }

  /** Without any fault: for what the story itself does. */
  send(path: string, { method = 'GET', headers, body }: RequestInit): Promise<Response> {
    return this.world.real(async () => {
      const response = await fetch(this.url() + path, {
        method,
        headers: { ...(headers as object), origin: this.url(), cookie: this.cookie },
        body: body ?? null,
      });
      const set = response.headers.getSetCookie()[0];
      if (set !== undefined) this.cookie = set.split(';')[0] ?? '';
      // Read to its end here, so that whoever takes it waits for nothing real.
      const answer = await response.text();
      this.world.note(`${this.name} ${method} ${path} ${response.status}`);
      return new Response(answer, response);
    });
  }

  openStream(path: string, events: StreamEvents): () => void {
    const stream = new Stream(this.world, events, () => this.delay());
    this.streams.add(stream);
    const open = async (): Promise<void> => {
      await this.world.wait(this.delay());
      if (this.isCut()) throw new Unreachable('no line');
      await this.world.real(() => stream.open(this.url() + path, this.cookie));
      this.world.note(`${this.name} stream`);
      stream.opened();
    };
    open().catch(() => stream.lose());
    return () => stream.close();
  }

  /** What the server said on the streams is on its way to the screen. */
  deliver(): void {
    for (const stream of this.streams) stream.deliver();
  }

  /** The line goes dead, streams too. */
  cutOff(): void {
    this.cut = true;
    for (const stream of [...this.streams]) stream.lose();
  }

  /** Nobody is at the screen any more. */
  end(): void {
    for (const stream of this.streams) stream.close();
  }

  /** As after a sleep: on what is open nothing comes any more, and nothing says so. */
  fallAsleep(): void {
    for (const stream of this.streams) stream.silent = true;
  }

  private isCut(): boolean {
    return this.cut;
  }

  private happens(chance: number): boolean {
    return !this.calm && this.draw() < chance;
  }

  private delay(): number {
    if (this.calm) return 0;
    const { usual, slow } = LONGEST_DELAY_MS;
    return this.draw() * (this.happens(SLOW) ? slow : usual);
  }
}
