import { configureStore, type Middleware, type UnknownAction } from '@reduxjs/toolkit';
import type { NodoApi } from './api.ts';
import { type OutboxAction, outbox } from './outbox.ts';
import type { Ports, Tabs } from './ports.ts';
import { version } from './version.ts';

/** Set on actions from another tab, so that they are not sent back. */
interface FromTab {
  readonly meta?: { readonly fromTab?: boolean };
}

/** Marks an action as coming from another tab. */
export function fromTab(action: OutboxAction): UnknownAction {
  return { ...action, meta: { fromTab: true } };
}

export function createStore(api: NodoApi, ports: Ports) {
  return configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      [outbox.name]: outbox.reducer,
      [version.name]: version.reducer,
    },
    middleware: (defaults) =>
      // The checks walk the whole state after every action, tickets and all.
      defaults({ serializableCheck: false, immutableCheck: false }).concat(
        api.middleware,
        broadcastToTabs(ports.tabs),
      ),
  });
}

/** The tabs of one browser share one outbox: what one changes, the others hear. */
function broadcastToTabs(tabs: Tabs): Middleware {
  return () => (next) => (action) => {
    const done = next(action);
    const { type } = action as OutboxAction;
    const isShared = type.startsWith(`${outbox.name}/`) && !outbox.actions.restored.match(action);
    if (isShared && !(action as FromTab).meta?.fromTab) {
      tabs.post({ kind: 'outbox', action: action as OutboxAction });
    }
    return done;
  };
}

export type NodoStore = ReturnType<typeof createStore>;
