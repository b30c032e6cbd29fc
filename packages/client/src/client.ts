import { createNodoApi } from './api.ts';
import { Boundary } from './boundary.ts';
import { type Call, caller } from './call.ts';
import { LiveStream } from './liveStream.ts';
import { OfflineCache } from './offlineCache.ts';
import { outbox, persistChanges, waitingOn } from './outbox.ts';
import type { Ports } from './ports.ts';
import { type FullApi, withProfiles } from './profilesApi.ts';
import { outboxSender, showConfirmed } from './sender.ts';
import { createStore, fromTab, type NodoStore } from './store.ts';
import { checkedTabs } from './tabs.ts';
import { version } from './version.ts';

export interface Client {
  readonly store: NodoStore;
  readonly api: FullApi;
  readonly stream: LiveStream;
  readonly call: Call;
}

/**
 * What a screen knows, keeps and sends, without a page: the store over the server's routes,
 * the outbox, the stream, the copies for work without a network. One per tab.
 */
export function createClient(ports: Ports): Client {
  const boundary = new Boundary(ports.whenIdle);
  const tabs = checkedTabs(ports.tabs, boundary);
  // The store is made of these parts; it is there before any of them hears anything.
  const outdated = () => store.dispatch(version.actions.outdated());
  const call = caller(ports.fetch, (build) => {
    if (build !== '' && ports.build !== '' && build !== ports.build) outdated();
  });
  const stream = new LiveStream({ ...ports, tabs, boundary }, outdated);
  const cache = new OfflineCache(ports, call, boundary);
  const parts = { call, stream, cache, tabs, wait: ports.wait };
  const base = createNodoApi(parts);
  const api = withProfiles(base, parts);
  const store = createStore(base, ports, boundary);
  const sendWaiting = outboxSender({ store, api: base, call, stream, ports });
  let leads = false;

  const waiting = waitingOn(ports.storage);
  if (waiting.length > 0) {
    void boundary
      .checks()
      .then(({ readEntry }) => store.dispatch(outbox.actions.restored(waiting.map(readEntry))));
  }

  let kept = store.getState().outbox.entries;
  store.subscribe(() => {
    const { entries } = store.getState().outbox;
    if (entries !== kept) {
      persistChanges(ports.storage, kept, entries);
      kept = entries;
    }
    if (leads) sendWaiting();
  });

  tabs.onMessage((message) => {
    if (message.kind === 'outbox') {
      store.dispatch(fromTab(message.action));
    }
    if (message.kind === 'confirmed')
      showConfirmed({ store, api: base, stream }, message.ticket, message.event);
    if (message.kind === 'session') {
      void store.dispatch(
        api.endpoints.session.initiate(undefined, { forceRefetch: true, subscribe: false }),
      );
    }
  });
  tabs.lead(() => {
    leads = true;
    // Kept up to date by the tab that hears the stream itself.
    stream.onFrame((frame) => cache.hear(frame));
    stream.lead();
    sendWaiting();
  });
  return { store, api, stream, call };
}
