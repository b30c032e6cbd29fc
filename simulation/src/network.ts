import type { StreamEvents } from '@nodo/client';
import { EventSourceParserStream } from 'eventsource-parser/stream';

/** A draw from 0 (included) to 1 (excluded); the same ones for the same seed. */
export type Draw = () => number;

/** What may go wrong between a screen and the server, with its chance per request. */
const DROPPED_BEFORE = 0.08;
const DROPPED_AFTER = 0.08;
const SENT_TWICE = 0.06;
const LONGEST_DELAY_MS = 12;

class Unreachable extends Error {}

/** The line of one screen: drops, doubles, delays and reorders what goes over it. */
export class Line {
  cut = false;
  /** Nothing goes wrong any more, for the end of a story. */
  calm = false;
  private cookie = '';
  private readonly streams = new Set<{ readonly lose: () => void; silent: boolean }>();

  /** Decides what goes wrong; each story brings its own. */
  draw: Draw = () => 1;

  constructor(private readonly url: () => string) {}

  async fetch(path: string, init: RequestInit): Promise<Response> {
    await this.delay();
    if (this.isCut() || this.happens(DROPPED_BEFORE))
      throw new Unreachable('dropped on the way there');
    if (this.happens(SENT_TWICE)) await this.send(path, init);
    const answer = await this.send(path, init);
    await this.delay();
    if (this.isCut() || this.happens(DROPPED_AFTER))
      throw new Unreachable('dropped on the way back');
    return answer;
  }

  /** Without any fault: for what the story itself does. */
  async send(path: string, init: RequestInit): Promise<Response> {
    const response = await fetch(this.url() + path, {
      ...init,
      headers: { ...(init.headers as object), origin: this.url(), cookie: this.cookie },
    });
    const set = response.headers.getSetCookie()[0];
    if (set !== undefined) this.cookie = set.split(';')[0] ?? '';
    return response;
  }

  openStream(path: string, { onOpen, onFrame, onLost }: StreamEvents): () => void {
    const abort = new AbortController();
    let over = false;
    const end = (told: boolean): void => {
      if (over) return;
      over = true;
      this.streams.delete(stream);
      abort.abort();
      if (told) onLost(true);
    };
    const lose = (): void => end(true);
    const stream = { lose, silent: false };
    this.streams.add(stream);
    const read = async (): Promise<void> => {
      if (this.cut) throw new Unreachable('no line');
      const response = await fetch(this.url() + path, {
        headers: { cookie: this.cookie },
        signal: abort.signal,
      });
      if (!response.ok || !response.body) throw new Unreachable(String(response.status));
      onOpen();
      const messages = response.body
        .pipeThrough(new TextDecoderStream())
        .pipeThrough(new EventSourceParserStream());
      for await (const { data } of messages) {
        if (over) return;
        if (!stream.silent) onFrame(JSON.parse(data));
      }
    };
    read().then(lose, lose);
    return () => end(false);
  }

  /** The line goes dead, streams too. */
  cutOff(): void {
    this.cut = true;
    for (const { lose } of [...this.streams]) lose();
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

  private async delay(): Promise<void> {
    if (this.calm) return;
    await new Promise((resolve) => setTimeout(resolve, this.draw() * LONGEST_DELAY_MS));
  }
}
