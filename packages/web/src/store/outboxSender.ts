import type { TicketEvent } from '@nodo/contract';
import { ADDRESSES } from '@nodo/contract/addresses';
import type { Action, Dispatch, EnhancedStore } from '@reduxjs/toolkit';
import { api, appendInOrder } from '../api/api.ts';
import { call } from '../api/call.ts';
import { keepChanges, type OutboxEntry, outbox } from './outbox.ts';

const FIRST_PAUSE_MS = 400;
const LONGEST_PAUSE_MS = 5_000;

interface Watched {
  readonly outbox: ReturnType<typeof outbox.reducer>;
  readonly api: ReturnType<typeof api.reducer>;
}

/**
 * Keeps the outbox on disk and sends it in order, one entry at a time, until the server has
 * answered for each. Sending an entry twice is safe: it carries its own id.
 */
export function keepOutbox(store: EnhancedStore<Watched>): void {
  let kept: readonly OutboxEntry[] = store.getState().outbox.entries;
  let sending = false;
  let pause = FIRST_PAUSE_MS;

  const signedIn = (): string | undefined =>
    api.endpoints.session.select()(store.getState()).data?.person.id;
  const nextEntry = (): OutboxEntry | undefined => {
    const person = signedIn();
    return store
      .getState()
      .outbox.entries.find((entry) => !entry.refusal && entry.person === person);
  };

  const sendAll = async (): Promise<void> => {
    if (sending) return;
    sending = true;
    for (let entry = nextEntry(); entry; entry = nextEntry()) {
      const outcome = await send(entry);
      if (outcome === 'answered') {
        pause = FIRST_PAUSE_MS;
        continue;
      }
      store.dispatch(outbox.actions.unreachable());
      await new Promise((resolve) => setTimeout(resolve, pause));
      pause = Math.min(LONGEST_PAUSE_MS, pause * 2);
    }
    sending = false;
  };

  const send = async ({ ticket, draft }: OutboxEntry): Promise<'answered' | 'unreachable'> => {
    const result = await call({ address: ADDRESSES.recordEvent, params: { ticket }, body: draft });
    if ('data' in result) {
      showConfirmed(store.dispatch, ticket, result.data as TicketEvent);
      store.dispatch(outbox.actions.removed(draft.id));
      return 'answered';
    }
    if (result.error.kind === 'unreachable') return 'unreachable';
    const { refusal } = result.error;
    if (refusal.code === 'not-signed-in') {
      // The entry stays its maker's: it goes out when that person is back.
      store.dispatch(api.util.resetApiState());
      return 'unreachable';
    }
    store.dispatch(outbox.actions.refused({ id: draft.id, refusal }));
    return 'answered';
  };

  store.subscribe(() => {
    const { entries } = store.getState().outbox;
    if (entries !== kept) {
      keepChanges(kept, entries);
      kept = entries;
    }
    // It is on the disk; what the person sees of it goes before the sending.
    if (!sending && nextEntry()) setTimeout(() => void sendAll().catch(() => undefined));
  });
}

/** The confirmed event takes the place of the waiting one before that is taken out. */
function showConfirmed(dispatch: Dispatch<Action>, ticket: string, event: TicketEvent): void {
  const seen = { gap: false };
  dispatch(
    api.util.updateQueryData('ticket', ticket, (file) => {
      seen.gap = !appendInOrder(file, [event]);
    }) as never,
  );
  if (seen.gap) {
    dispatch(
      api.endpoints.ticket.initiate(ticket, { forceRefetch: true, subscribe: false }) as never,
    );
  }
}
