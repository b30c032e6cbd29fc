import type { LiveFrame } from '@nodo/api';
import { ADDRESSES, BEAT_MS } from '@nodo/api';
import type { Boundary } from './boundary.ts';
import type { Ports, StreamState } from './ports.ts';
import type { CheckedTabs } from './tabs.ts';

type Listener = (frame: LiveFrame) => void;
type StateListener = (state: StreamState) => void;

const RETRY_MS = 1_500;
const LISTENS_EVERY_MS = 5_000;
/** Two beats missed, and a little for the way. */
const SILENT_FOR_MS = 2 * BEAT_MS + 5_000;

/**
 * The one stream of this browser: one tab holds it open and passes on to the others what it
 * says. It is open as long as somebody listens. Whenever it opens, every listener has to
 * read again: what was said before was not heard.
 */
export class LiveStream {
  private readonly listeners = new Set<Listener>();
  /** Hear what this tab's own stream says while it is open, and do not keep it open. */
  private readonly overhearing = new Set<Listener>();
  private readonly stateListeners = new Set<StateListener>();
  private closeSource: (() => void) | undefined;
  private leads = false;
  private suspended = false;
  private othersListen = false;
  private retrying = false;
  private lastPresence: LiveFrame = { kind: 'presence', who: [] };
  state: StreamState = 'live';

  private heardAt = 0;

  constructor(
    private readonly ports: Pick<Ports, 'openStream' | 'wait' | 'now'> & {
      readonly tabs: CheckedTabs;
      readonly boundary: Boundary;
    },
    /** The server said something that this version does not understand. */
    private readonly onUnknown: () => void,
  ) {
    ports.tabs.onMessage((message) => {
      if (message.kind === 'hello' && this.leads) {
        this.othersListen = true;
        this.openIfWanted();
        ports.tabs.post({ kind: 'stream', state: this.state });
        ports.tabs.post({ kind: 'frame', frame: this.lastPresence });
      }
      if (message.kind === 'frame' && !this.leads) this.notify(message.frame);
      if (message.kind === 'stream' && !this.leads) this.notifyState(message.state);
    });
  }

  /** From now on this tab speaks for all. */
  lead(): void {
    this.leads = true;
    this.openIfWanted();
  }

  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    if (this.leads) this.openIfWanted();
    else if (this.listeners.size === 1) this.ports.tabs.post({ kind: 'hello' });
    return () => {
      this.listeners.delete(listener);
      if (!this.isWanted()) this.close();
    };
  }

  /** Something does not join on: whoever listens here reads again. */
  missed(): void {
    this.notify({ kind: 'resync' });
  }

  onFrame(listener: Listener): void {
    this.overhearing.add(listener);
  }

  onState(listener: StateListener): () => void {
    this.stateListeners.add(listener);
    return () => this.stateListeners.delete(listener);
  }

  /** While the screen is locked nothing is said to it. */
  suspend(): void {
    this.suspended = true;
    this.close();
  }

  resume(): void {
    this.suspended = false;
    this.openIfWanted();
  }

  private isWanted(): boolean {
    return this.leads && !this.suspended && (this.listeners.size > 0 || this.othersListen);
  }

  private openIfWanted(): void {
    if (this.closeSource || !this.isWanted()) return;
    const take = this.ports.boundary.inOrder((said: unknown, { readFrame }) => {
      // Another stream has been opened since; it delivers everything again.
      if (this.closeSource !== close) return;
      const frame = readFrame(said);
      if (!frame) this.onUnknown();
      else if (frame.kind !== 'beat') this.passOn(frame);
    });
    const close = this.ports.openStream(ADDRESSES.live.path, {
      onOpen: () => {
        this.passOnState('live');
        this.passOn({ kind: 'resync' });
      },
      onFrame: (said) => {
        this.heardAt = this.ports.now();
        take(said);
      },
      onLost: (over) => {
        this.passOnState('lost');
        if (!over) return;
        this.close();
        this.retryLater();
      },
    });
    this.closeSource = close;
    this.heardAt = this.ports.now();
    void this.watch(close);
  }

  /**
   * A device that slept, or changed its network, holds a stream on which nothing will ever come
   * and nothing fails: after so long a silence another one is opened.
   */
  private async watch(source: () => void): Promise<void> {
    while (this.closeSource === source) {
      await this.ports.wait(LISTENS_EVERY_MS);
      if (this.closeSource !== source) return;
      if (this.ports.now() - this.heardAt < SILENT_FOR_MS) continue;
      this.passOnState('lost');
      this.close();
      this.openIfWanted();
    }
  }

  private retryLater(): void {
    if (this.retrying) return;
    this.retrying = true;
    void this.ports.wait(RETRY_MS).then(() => {
      this.retrying = false;
      this.openIfWanted();
    });
  }

  private close(): void {
    this.closeSource?.();
    this.closeSource = undefined;
  }

  private passOn(frame: LiveFrame): void {
    if (frame.kind === 'presence') this.lastPresence = frame;
    this.notify(frame);
    for (const listener of this.overhearing) listener(frame);
    this.ports.tabs.post({ kind: 'frame', frame });
  }

  private passOnState(state: StreamState): void {
    this.notifyState(state);
    this.ports.tabs.post({ kind: 'stream', state });
  }

  private notify(frame: LiveFrame): void {
    for (const listener of [...this.listeners]) listener(frame);
  }

  private notifyState(state: StreamState): void {
    this.state = state;
    for (const listener of this.stateListeners) listener(state);
  }
}
