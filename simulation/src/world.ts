import { AsyncLocalStorage } from 'node:async_hooks';
import { seeded } from '@nodo/core';

/** A draw from 0 (included) to 1 (excluded); the same ones for the same seed. */
export type Draw = () => number;

/** When every story begins. */
const BEGINS_AT = Date.UTC(2026, 11, 1, 8);
/** What awaits what is there already has gone on after so many turns of the event loop. */
const TURNS = 3;

interface Timer {
  readonly at: number;
  readonly order: number;
  readonly run: () => void;
}

/** In which world a piece of code runs; the server and the database run in none. */
const current = new AsyncLocalStorage<World>();

/**
 * Clock, chance and ids of one story, all from its seed. The clock goes from one timer to the
 * next, and stands while something real is under way: a request, the database. So one thing
 * happens at a time, in an order that depends on the seed alone.
 */
export class World {
  readonly draw: Draw;
  private readonly drawId: Draw;
  private time = BEGINS_AT;
  private order = 0;
  private readonly timers = new Set<Timer>();
  private underWay = 0;
  private wake: () => void = () => undefined;
  private worked = false;
  /** Called after real work, before the clock goes on: takes in what the work has caused. */
  afterWork: () => Promise<void> = () => Promise.resolve();
  /** What happened, line by line; the same for the same seed. */
  readonly record: string[] = [];

  constructor(seed: number) {
    this.draw = seeded(seed);
    this.drawId = this.chance();
  }

  /** Chance of its own for a part of the story, so that the parts do not hang on each other. */
  chance(): Draw {
    return seeded(Math.floor(this.draw() * 2 ** 31));
  }

  now(): Date {
    return new Date(this.time);
  }

  id(): string {
    const hex = Array.from({ length: 32 }, () => Math.floor(this.drawId() * 16).toString(16));
    return `${take(hex, 8)}-${take(hex, 4)}-4${take(hex, 3)}-8${take(hex, 3)}-${take(hex, 12)}`;
  }

  wait(milliseconds: number): Promise<void> {
    return new Promise((resolve) => this.later(milliseconds, resolve));
  }

  /** @returns how to call it off. */
  later(milliseconds: number, run: () => void): () => void {
    this.order += 1;
    const timer = { at: this.time + Math.max(0, milliseconds), order: this.order, run };
    this.timers.add(timer);
    return () => this.timers.delete(timer);
  }

  note(line: string): void {
    this.record.push(`${this.time - BEGINS_AT} ${line}`);
  }

  /** Does what takes real time; the clock stands meanwhile. */
  async real<Result>(work: () => Promise<Result>): Promise<Result> {
    this.underWay += 1;
    try {
      return await current.exit(work);
    } finally {
      this.worked = true;
      this.underWay -= 1;
      this.wake();
    }
  }

  /** Lets this world run until the story is told. */
  async run<Result>(story: () => Promise<Result>): Promise<Result> {
    const told = { over: false };
    const result = current.run(this, story).finally(() => {
      told.over = true;
    });
    for (;;) {
      await this.allIsQuiet();
      if (told.over) return result;
      const next = this.nextTimer();
      this.time = next.at;
      current.run(this, next.run);
    }
  }

  private async allIsQuiet(): Promise<void> {
    for (;;) {
      for (let turn = 0; turn < TURNS; turn += 1) await new Promise(setImmediate);
      if (this.underWay > 0) {
        await new Promise<void>((resolve) => {
          this.wake = resolve;
        });
      } else if (this.worked) {
        this.worked = false;
        await this.afterWork();
      } else return;
    }
  }

  private nextTimer(): Timer {
    const [first, ...others] = this.timers;
    if (!first) throw new Error('The story waits for what never comes');
    const next = others.reduce((best, one) => (comesBefore(one, best) ? one : best), first);
    this.timers.delete(next);
    return next;
  }
}

function comesBefore(one: Timer, other: Timer): boolean {
  return one.at < other.at || (one.at === other.at && one.order < other.order);
}

function take(characters: string[], count: number): string {
  return characters.splice(0, count).join('');
}

const { setTimeout: realSetTimeout, clearTimeout: realClearTimeout } = globalThis;
/** How to call off the timers that were set in a world. */
const callOff = new WeakMap<object, () => void>();

// The client's own timers, and those of its libraries, go by the clock of the world they run in.
globalThis.setTimeout = Object.defineProperties(
  (run: (...given: unknown[]) => void, milliseconds?: number, ...given: unknown[]) => {
    const world = current.getStore();
    if (!world) return realSetTimeout(run, milliseconds, ...given);
    const timer = { ref: () => timer, unref: () => timer, hasRef: () => false };
    callOff.set(
      timer,
      world.later(milliseconds ?? 0, () => run(...given)),
    );
    return timer;
  },
  Object.getOwnPropertyDescriptors(realSetTimeout),
) as typeof setTimeout;
globalThis.clearTimeout = (timer?: Parameters<typeof clearTimeout>[0]) => {
  const stop = typeof timer === 'object' ? callOff.get(timer) : undefined;
  if (stop) stop();
  else realClearTimeout(timer);
};
