// Before any story begins: within one, loading would take its own time.
import '../../packages/client/test/loaded.ts';
import { type Client, type Copy, createClient, type TabMessage } from '@nodo/client';
import { memoryCopies, memoryStorage } from '../../packages/client/test/memory.ts';
import type { Line } from './network.ts';
import type { World } from './world.ts';

interface Tab {
  readonly client: Client;
  readonly hear: (message: TabMessage) => void;
  readonly begin: () => void;
  leads: boolean;
  closed: boolean;
}

/** One browser: what it keeps, its tabs, and which of them speaks for all. */
export class Device {
  private readonly kept = new Map<string, string>();
  readonly copies = new Map<string, Copy>();
  private readonly tabs: Tab[] = [];

  constructor(
    private readonly world: World,
    readonly line: Line,
  ) {}

  get open(): readonly Client[] {
    return this.tabs.filter(({ closed }) => !closed).map(({ client }) => client);
  }

  openTab(): Client {
    const listeners: ((message: TabMessage) => void)[] = [];
    const state = { closed: false };
    const alive = <Result>(work: () => Result): Result => {
      // A closed page runs no further: what it awaits never comes.
      if (state.closed) throw new Error('This tab is closed');
      return work();
    };
    const never = new Promise<never>(() => undefined);
    const storage = memoryStorage(this.kept);
    let begin: () => void = () => undefined;
    const client = createClient({
      build: 'simulated',
      storage: {
        ...storage,
        set: (key, value) => alive(() => storage.set(key, value)),
        remove: (key) => alive(() => storage.remove(key)),
      },
      copies: memoryCopies(this.copies),
      tabs: {
        post: (message) => {
          if (state.closed) return;
          for (const other of this.tabs) {
            if (other.client !== client && !other.closed) {
              // As between real tabs: later, and as a copy.
              const copy = structuredClone(message);
              this.world.later(0, () => !other.closed && other.hear(copy));
            }
          }
        },
        onMessage: (listener) => listeners.push(listener),
        lead: (wanted) => {
          begin = wanted;
        },
      },
      fetch: (path, init) =>
        state.closed
          ? never
          : this.line.fetch(path, init).then((answer) => (state.closed ? never : answer)),
      openStream: (path, events) =>
        this.line.openStream(path, {
          onOpen: () => !state.closed && events.onOpen(),
          onFrame: (frame) => !state.closed && events.onFrame(frame),
          onLost: (over) => !state.closed && events.onLost(over),
        }),
      wait: (milliseconds) =>
        new Promise((resolve) => this.world.later(milliseconds, () => !state.closed && resolve())),
      whenIdle: () => Promise.resolve(),
      now: () => this.world.now().getTime(),
    });
    const tab: Tab = {
      client,
      hear: (message) => {
        for (const listener of listeners) listener(message);
      },
      begin: () => begin(),
      leads: false,
      get closed() {
        return state.closed;
      },
      set closed(closed) {
        state.closed = closed;
      },
    };
    this.tabs.push(tab);
    this.elect();
    return client;
  }

  /** Closes a tab, as when it is reloaded: nothing of it runs on. */
  closeTab(client: Client): void {
    const tab = this.tabs.find((one) => one.client === client);
    if (!tab) return;
    tab.client.stream.suspend();
    tab.closed = true;
    this.elect();
  }

  /** What waits on the disk, in all tabs' name. */
  get waiting(): readonly string[] {
    return [...this.kept.values()];
  }

  private elect(): void {
    if (this.tabs.some(({ leads, closed }) => leads && !closed)) return;
    const next = this.tabs.find(({ closed }) => !closed);
    if (!next) return;
    next.leads = true;
    next.begin();
  }
}
