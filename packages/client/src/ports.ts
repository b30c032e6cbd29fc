import type { LiveFrame } from '@nodo/api';
import type { TicketEvent } from '@nodo/ticket';
import type { OutboxAction } from './outbox.ts';
import type { KeyValueStorage } from './storage.ts';

/** What the server said once, kept so that work goes on without it. */
export interface Copy {
  /** When it was read, in milliseconds of this device's clock. */
  readonly at: number;
  readonly data: unknown;
}
export interface Copies {
  get(path: string): Promise<Copy | undefined>;
  set(path: string, copy: Copy): Promise<void>;
  clear(): Promise<void>;
}

/** What the tabs of one browser tell each other. */
export type TabMessage =
  | { readonly kind: 'frame'; readonly frame: LiveFrame }
  | { readonly kind: 'stream'; readonly state: StreamState }
  /** A tab that has just begun to listen. */
  | { readonly kind: 'hello' }
  | { readonly kind: 'outbox'; readonly action: OutboxAction }
  | { readonly kind: 'confirmed'; readonly ticket: string; readonly event: TicketEvent }
  /** Somebody signed in or out, changed person or locked the screen. */
  | { readonly kind: 'session' };

export type StreamState = 'live' | 'lost';

export interface Tabs {
  post(message: TabMessage): void;
  /** Another tab may run another version: what it says is not checked yet. */
  onMessage(listener: (message: unknown) => void): void;
  /** Calls back, now or later, when this tab is the one that speaks with the server for all. */
  lead(begin: () => void): void;
}

export interface StreamEvents {
  readonly onOpen: () => void;
  /** What the server said, from JSON, not checked yet. */
  readonly onFrame: (said: unknown) => void;
  /** @param over it does not come back by itself. */
  readonly onLost: (over: boolean) => void;
}

/** Everything of the world that the client touches. */
export interface Ports {
  /** Which build of the application this page runs; empty where that is not known. */
  readonly build: string;
  readonly storage: KeyValueStorage;
  readonly copies: Copies;
  readonly tabs: Tabs;
  readonly fetch: (path: string, init: RequestInit) => Promise<Response>;
  /** @returns how to close it. */
  readonly openStream: (path: string, events: StreamEvents) => () => void;
  readonly wait: (milliseconds: number) => Promise<void>;
  /** Resolves once the page has begun and has nothing urgent to do. */
  readonly whenIdle: () => Promise<void>;
  readonly now: () => number;
}
