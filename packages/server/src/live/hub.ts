import type { LiveFrame } from '@nodo/api';
import { nameless } from '../http/names.ts';

/** One screen that follows its shop. */
export interface Follower {
  /** Customers' names are left out of what it hears. */
  readonly nameless: boolean;
  /** @param text one or more frames, as they go over the stream. */
  send(text: string): void;
  end(): void;
  /** Somebody's rights changed: ends by itself if it may not follow any more. */
  lookAgain(): void;
}

/**
 * What is said within so long of the last time is said together: a hundred screens are a hundred
 * writes each time. The first frame after a silence goes out at once.
 */
const TOGETHER_MS = 40;

interface Shop {
  readonly followers: Set<Follower>;
  /** What waits to be said. */
  held: LiveFrame[];
  /** Set while what is said waits for company. */
  timer: NodeJS.Timeout | undefined;
}

/** A frame as a server-sent event. */
export function asText(frame: LiveFrame): string {
  return `data: ${JSON.stringify(frame)}\n\n`;
}

function withoutNames(frame: LiveFrame): LiveFrame {
  return frame.kind === 'events' ? { ...frame, rack: nameless(frame.rack) } : frame;
}

/** Who follows which shop from this process. */
export class LiveHub {
  private readonly shops = new Map<string, Shop>();

  /** @returns how to stop following. */
  follow(shop: string, follower: Follower): () => void {
    const there = this.shops.get(shop) ?? { followers: new Set(), held: [], timer: undefined };
    this.shops.set(shop, there);
    there.followers.add(follower);
    return () => {
      there.followers.delete(follower);
      if (there.followers.size > 0) return;
      clearTimeout(there.timer);
      if (this.shops.get(shop) === there) this.shops.delete(shop);
    };
  }

  /** How many screens follow, of all shops together. */
  screens(): number {
    return [...this.shops.values()].reduce((sum, { followers }) => sum + followers.size, 0);
  }

  isFollowed(shop: string): boolean {
    return this.shops.has(shop);
  }

  push(shop: string, frame: LiveFrame): void {
    const there = this.shops.get(shop);
    if (!there) return;
    there.held.push(frame);
    if (!there.timer) say(there);
  }

  lookAgain(shop: string): void {
    for (const follower of this.shops.get(shop)?.followers ?? []) follower.lookAgain();
  }

  pushAll(frame: LiveFrame): void {
    for (const shop of this.shops.keys()) this.push(shop, frame);
  }

  endAll(): void {
    for (const there of this.shops.values()) {
      clearTimeout(there.timer);
      for (const follower of there.followers) follower.end();
    }
    this.shops.clear();
  }
}

function say(there: Shop): void {
  there.timer = undefined;
  if (there.held.length === 0) return;
  const frames = there.held.splice(0);
  const followers = [...there.followers];
  sayTo(
    followers.filter((one) => !one.nameless),
    frames,
  );
  sayTo(
    followers.filter((one) => one.nameless),
    frames.map(withoutNames),
  );
  there.timer = setTimeout(() => say(there), TOGETHER_MS);
}

/** Written out once for all of them, and not at all for nobody. */
function sayTo(followers: readonly Follower[], frames: readonly LiveFrame[]): void {
  if (followers.length === 0) return;
  const text = frames.map(asText).join('');
  for (const follower of followers) follower.send(text);
}
