import type { Copies, Copy, KeyValueStorage, Ports, Tabs } from '@nodo/client';
import { clear, createStore, get, set } from 'idb-keyval';

/** The client's ports on a browser. */
export function browserPorts(): Ports {
  return {
    build: document.querySelector<HTMLMetaElement>('meta[name="nodo-build"]')?.content ?? '',
    storage: localData,
    copies: indexedCopies(),
    tabs: browserTabs(),
    fetch: (path, init) => fetch(path, init),
    openStream: (path, { onOpen, onFrame, onLost }) => {
      const source = new EventSource(path);
      source.onopen = onOpen;
      source.onmessage = ({ data }: MessageEvent<string>) => onFrame(JSON.parse(data));
      // The browser tries again by itself unless the server answered with an error.
      source.onerror = () => onLost(source.readyState === EventSource.CLOSED);
      return () => source.close();
    },
    wait: (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds)),
    whenIdle: idle,
    now: () => Date.now(),
  };
}

/** A page that has just begun has its first view to read and to paint. */
const BEGINS_MS = 1_500;
let began: Promise<void> | undefined;

function idle(): Promise<void> {
  began ??= new Promise((resolve) => setTimeout(resolve, BEGINS_MS));
  return began;
}

const localData: KeyValueStorage = {
  keys: () => Object.keys(localStorage),
  get: (key) => localStorage.getItem(key),
  set: (key, value) => localStorage.setItem(key, value),
  remove: (key) => localStorage.removeItem(key),
};

function indexedCopies(): Copies {
  const store = createStore('nodo', 'copies');
  return {
    get: (path) => get<Copy>(path, store),
    set: (path, copy) => set(path, copy, store),
    clear: () => clear(store),
  };
}

const CHANNEL = 'nodo.tabs';

/** Tabs find each other by channel; who leads holds the lock, and the next one waits for it. */
function browserTabs(): Tabs {
  const channel = new BroadcastChannel(CHANNEL);
  return {
    post: (message) => channel.postMessage(message),
    onMessage: (listener) => {
      channel.addEventListener('message', ({ data }: MessageEvent<unknown>) => listener(data));
    },
    lead: (begin) => {
      // Only where the page is served as safe (https or this very computer) there are locks.
      if (!('locks' in navigator)) {
        begin();
        return;
      }
      void navigator.locks.request(CHANNEL, () => {
        begin();
        return new Promise(() => undefined);
      });
    },
  };
}
