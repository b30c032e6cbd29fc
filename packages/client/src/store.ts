import { configureStore, type Middleware, type UnknownAction } from '@reduxjs/toolkit';
import type { NodoApi } from './api.ts';
import type { Boundary } from './boundary.ts';
import { nextNumber, type OutboxAction, outbox } from './outbox.ts';
import type { Ports, Tabs } from './ports.ts';
import type { KeyValueStorage } from './storage.ts';
import { version } from './version.ts';

/** Set on actions from another tab, so that they are not sent back. */
interface FromTab {
  readonly meta?: { readonly fromTab?: boolean };
}

/** Marks an action as coming from another tab. */
export function fromTab(action: OutboxAction): UnknownAction {
  return { ...action, meta: { fromTab: true } };
}

export function createStore(api: NodoApi, ports: Ports, boundary: Boundary) {
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
        signEntries(api, ports.storage, boundary),
        broadcastToTabs(ports.tabs),
      ),
  });
}

/** Gives what is entered here its number, then its proof; the other tabs hear of both. */
function signEntries(api: NodoApi, storage: KeyValueStorage, boundary: Boundary): Middleware {
  const selectSession = api.endpoints.session.select();
  return ({ getState, dispatch }) =>
    (next) =>
    (action) => {
      if (!outbox.actions.added.match(action) || action.payload.number !== undefined) {
        return next(action);
      }
      const { payload } = action;
      const { ticket, draft, person } = payload;
      const done = next({ ...action, payload: { ...payload, number: nextNumber(storage) } });
      const { data: session } = selectSession(getState() as Parameters<typeof selectSession>[0]);
      // Without a key (read while off line) it waits for its maker to stand here.
      const key = session?.person.id === person ? session.key : undefined;
      if (key !== undefined) {
        const shown = boundary.urgently().then(({ prove }) => {
          dispatch(outbox.actions.proven({ id: draft.id, proof: prove(key, ticket, draft) }));
        });
        // Not loaded: then it waits for its maker, like one without a key.
        shown.catch(() => undefined);
      }
      return done;
    };
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
