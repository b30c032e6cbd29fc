import type { LiveFrame } from '@nodo/contract';

/** One screen that follows its shop. */
export interface Follower {
  send(frame: LiveFrame): void;
  end(): void;
  /** Somebody's rights changed: ends by itself if it may not follow any more. */
  lookAgain(): void;
}

/** Who follows which shop from this process. */
export class LiveHub {
  private readonly followers = new Map<string, Set<Follower>>();

  /** @returns how to stop following. */
  follow(shop: string, follower: Follower): () => void {
    const there = this.followers.get(shop) ?? new Set();
    this.followers.set(shop, there);
    there.add(follower);
    return () => {
      there.delete(follower);
      if (there.size === 0) this.followers.delete(shop);
    };
  }

  isFollowed(shop: string): boolean {
    return this.followers.has(shop);
  }

  push(shop: string, frame: LiveFrame): void {
    for (const follower of this.followers.get(shop) ?? []) follower.send(frame);
  }

  lookAgain(shop: string): void {
    for (const follower of this.followers.get(shop) ?? []) follower.lookAgain();
  }

  /** Something may have been missed: everybody reads again. */
  resyncAll(): void {
    for (const shop of this.followers.keys()) this.push(shop, { kind: 'resync' });
  }

  endAll(): void {
    for (const there of this.followers.values()) for (const follower of there) follower.end();
    this.followers.clear();
  }
}
