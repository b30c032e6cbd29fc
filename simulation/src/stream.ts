import { BEAT_MS } from '@nodo/api';
import type { StreamEvents } from '@nodo/client';
import { EventSourceParserStream } from 'eventsource-parser/stream';
import type { World } from './world.ts';

/** Far longer than a busy machine needs. */
const COMES_WITHIN_MS = 60_000;

/** A frame as it came, not checked. */
export interface Said {
  readonly kind: string;
  readonly ticket?: string;
  readonly events?: readonly { readonly seq: number }[];
}

/**
 * One stream from the real server. What comes on it is kept until `deliver`: when it came is
 * chance, when it is heard is the story's.
 */
export class Stream {
  /** What the shop was told while it was open. */
  readonly frames: Said[] = [];
  /** As after a sleep: nothing comes any more, and nothing says so. */
  silent = false;
  private begun = false;
  private ended = false;
  private over = false;
  private delivered = 0;
  private lastDelivery = 0;
  private wake: () => void = () => undefined;
  private readonly abort = new AbortController();

  constructor(
    private readonly world: World,
    private readonly events: StreamEvents,
    /** How long a frame is on its way. */
    private readonly delay: () => number,
  ) {}

  /** No longer open, on either side. */
  get isOver(): boolean {
    return this.ended || this.over;
  }

  get isOpen(): boolean {
    return this.begun && !this.isOver;
  }

  /** @throws when the server does not let it be opened. */
  async open(url: string, cookie: string): Promise<void> {
    if (this.over) return;
    const response = await fetch(url, { headers: { cookie }, signal: this.abort.signal });
    if (!response.ok || !response.body) throw new Error(`No stream: ${response.status}`);
    const messages = response.body
      .pipeThrough(new TextDecoderStream())
      .pipeThrough(new EventSourceParserStream());
    const read = async (): Promise<void> => {
      for await (const { data } of messages) this.take(JSON.parse(data) as Said);
    };
    read()
      .catch(() => undefined)
      .finally(() => {
        this.ended = true;
        this.wake();
      });
    // The first thing that is said is who is there.
    await this.until(() => this.begun || this.ended, 'its first frame');
  }

  /** Tells the client that it is open, and begins to beat. */
  opened(): void {
    if (this.over) return;
    this.events.onOpen();
    const beat = (): void => {
      if (this.over) return;
      if (!this.silent) this.events.onFrame({ kind: 'beat' });
      this.world.later(BEAT_MS, beat);
    };
    this.world.later(BEAT_MS, beat);
  }

  async hasEnded(): Promise<void> {
    await this.until(() => this.isOver, 'its end');
  }

  /**
   * @param what for the message when it does not come
   * @throws when it does not come.
   */
  async until(isThere: () => boolean, what: string): Promise<void> {
    const late = setTimeout(() => this.wake(), COMES_WITHIN_MS);
    const began = performance.now();
    while (!isThere()) {
      if (performance.now() - began >= COMES_WITHIN_MS) {
        throw new Error(`The stream did not bring ${what}`);
      }
      await new Promise<void>((resolve) => {
        this.wake = resolve;
      });
    }
    clearTimeout(late);
  }

  /** What has come is on its way to the client now. */
  deliver(): void {
    const fresh = this.frames.slice(this.delivered);
    this.delivered = this.frames.length;
    // The server may say at once what different subjects have caused: the order is chance.
    const inOrder = fresh.toSorted((one, other) => (subjectOf(one) < subjectOf(other) ? -1 : 1));
    for (const frame of inOrder) {
      this.onTheWay(() => !this.silent && this.events.onFrame(structuredClone(frame)));
    }
    if (this.ended && !this.over) this.onTheWay(() => this.lose());
  }

  lose(): void {
    if (this.over) return;
    this.close();
    this.events.onLost(true);
  }

  close(): void {
    this.over = true;
    this.abort.abort();
    this.wake();
  }

  /** One after the other, as over one connection. */
  private onTheWay(arrives: () => void): void {
    const now = this.world.now().getTime();
    this.lastDelivery = Math.max(this.lastDelivery, now + this.delay());
    this.world.later(this.lastDelivery - now, () => {
      if (!this.over) arrives();
    });
  }

  private take(frame: Said): void {
    // The beats of the real clock are left out: the story's come in their place.
    if (frame.kind === 'beat') return;
    if (frame.kind === 'presence') this.begun = true;
    else this.frames.push(frame);
    this.wake();
  }
}

function subjectOf({ kind, ticket = '' }: Said): string {
  return `${kind} ${ticket}`;
}
