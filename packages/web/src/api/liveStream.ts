import type { LiveFrame } from '@nodo/contract';
import { ADDRESSES } from '@nodo/contract/addresses';

type Listener = (frame: LiveFrame) => void;
type StateListener = (state: 'live' | 'lost') => void;

const RETRY_MS = 1_500;

/**
 * The one stream of this page. It is open exactly as long as somebody listens; when it was
 * lost and comes back, every listener is told to read again.
 */
class LiveStream {
  private readonly listeners = new Set<Listener>();
  private readonly stateListeners = new Set<StateListener>();
  private source: EventSource | undefined;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private wasLost = false;

  constructor() {
    // A page that the browser keeps aside for "back" would keep its connection too, and a
    // browser has only six for one server.
    window.addEventListener('pagehide', () => this.close());
    window.addEventListener('pageshow', ({ persisted }) => {
      if (!persisted || this.listeners.size === 0) return;
      this.wasLost = true;
      this.open();
    });
  }

  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    if (!this.source) this.open();
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size === 0) this.close();
    };
  }

  onState(listener: StateListener): () => void {
    this.stateListeners.add(listener);
    return () => this.stateListeners.delete(listener);
  }

  private open(): void {
    const source = new EventSource(ADDRESSES.live.path);
    this.source = source;
    source.onopen = () => {
      this.tellState('live');
      if (this.wasLost) this.tell({ kind: 'resync' });
      this.wasLost = false;
    };
    source.onmessage = (message: MessageEvent<string>) => {
      this.tell(JSON.parse(message.data) as LiveFrame);
    };
    source.onerror = () => {
      this.wasLost = true;
      this.tellState('lost');
      // The browser tries again by itself unless the server answered with an error.
      if (source.readyState !== EventSource.CLOSED) return;
      this.close();
      this.retry = setTimeout(() => {
        if (this.listeners.size > 0) this.open();
      }, RETRY_MS);
    };
  }

  private close(): void {
    clearTimeout(this.retry);
    this.source?.close();
    this.source = undefined;
  }

  private tell(frame: LiveFrame): void {
    for (const listener of this.listeners) listener(frame);
  }

  private tellState(state: 'live' | 'lost'): void {
    for (const listener of this.stateListeners) listener(state);
  }
}

export const liveStream = new LiveStream();
