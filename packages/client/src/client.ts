import { createNodoApi } from './api.ts';
import { boundary } from './boundary.ts';
import { type Call, caller } from './call.ts';
import { type FullApi, withCards } from './cardsApi.ts';
import { Keeper } from './keeper.ts';
import { LiveStream } from './liveStream.ts';
import { keepChanges, outbox, waitingOn } from './outbox.ts';
import type { Ports } from './ports.ts';
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
  const tabs = checkedTabs(ports.tabs);
  // The store is made of these parts; it is there before any of them hears anything.
  const outdated = () => store.dispatch(version.actions.outdated());
  const call = caller(ports.fetch, (build) => {
    if (build !== '' && ports.build !== '' && build !== ports.build) outdated();
  });
  const stream = new LiveStream({ ...ports, tabs }, outdated);
  const keeper = new Keeper(ports, call);
  const parts = { call, stream, keeper, tabs, wait: ports.wait };
  const base = createNodoApi(parts);
  const api = withCards(base, parts);
  const store = createStore(base, ports);
  const sendWaiting = outboxSender({ store, api: base, call, stream, ports });
  let leads = false;

  const waiting = waitingOn(ports.shelf);
  if (waiting.length > 0) {
    void boundary().then(({ readEntry }) =>
      store.dispatch(outbox.actions.restored(waiting.map(readEntry))),
    );
  }

  let kept = store.getState().outbox.entries;
  store.subscribe(() => {
    const { entries } = store.getState().outbox;
    if (entries !== kept) {
      keepChanges(ports.shelf, kept, entries);
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
    stream.onFrame((frame) => keeper.hear(frame));
    stream.lead();
    sendWaiting();
  });
  return { store, api, stream, call };
}
