import type { TicketEvent } from '@nodo/ticket';
import type { NodoApi } from './api.ts';
import type { Call } from './call.ts';
import type { LiveStream } from './liveStream.ts';
import { type OutboxEntry, outbox } from './outbox.ts';
import type { Ports } from './ports.ts';
import type { NodoStore } from './store.ts';
import { appendInOrder } from './tickets.ts';

const FIRST_PAUSE_MS = 400;
const LONGEST_PAUSE_MS = 5_000;
/** So often is one entry sent to a server that fails at it and at nothing else. */
const MOST_FAULTS = 3;

interface SenderParts {
  readonly store: NodoStore;
  readonly api: NodoApi;
  readonly call: Call;
  readonly stream: LiveStream;
  readonly ports: Ports;
}

/**
 * Sends the outbox in order, one entry at a time, until the server has answered for each.
 * Sending an entry twice is safe: it carries its own id. An entry is sent as its maker's, as
 * long as that person is signed in on this screen, whoever stands there now.
 * @returns to be called when something may have to be sent.
 */
export function outboxSender({ store, api, call, stream, ports }: SenderParts): () => void {
  let sending = false;
  let pause = FIRST_PAUSE_MS;
  /** Tickets with an entry that a newer server does not understand as this page writes it. */
  const held = new Set<string>();
  /** How often the server failed at an entry although it was well. */
  const faults = new Map<string, number>();

  const selectSession = api.endpoints.session.select();
  const nextEntry = (): OutboxEntry | undefined => {
    const state = store.getState();
    // Asked at every change of the store; hardly ever does anything wait.
    if (state.outbox.entries.length === 0) return undefined;
    const { data: session } = selectSession(state);
    if (!session || session.screen.locked) return undefined;
    const people = new Set(session.screen.people.map(({ id }) => id));
    const isSendable = ({ person, proof }: OutboxEntry) =>
      person === session.person.id || (proof !== undefined && people.has(person));
    return state.outbox.entries.find(
      (entry) => !entry.refusal && isSendable(entry) && !held.has(entry.ticket),
    );
  };

  const sendAll = async (): Promise<void> => {
    for (let entry = nextEntry(); entry; entry = nextEntry()) {
      if ((await send(entry)) === 'answered') {
        pause = FIRST_PAUSE_MS;
        continue;
      }
      store.dispatch(outbox.actions.unreachable());
      await ports.wait(pause);
      pause = Math.min(LONGEST_PAUSE_MS, pause * 2);
    }
  };

  const send = async ({
    ticket,
    draft,
    person,
    proof,
  }: OutboxEntry): Promise<'answered' | 'unreachable'> => {
    const body = { ...draft, by: person, proof };
    const result = await call({ name: 'recordEvent', params: { ticket }, body });
    if ('data' in result) {
      const event = result.data;
      // The confirmed event takes the place of the waiting one before that is taken out.
      showConfirmed({ store, api, stream }, ticket, event);
      ports.tabs.post({ kind: 'confirmed', ticket, event });
      store.dispatch(outbox.actions.removed(draft.id));
      return 'answered';
    }
    if (result.error.kind === 'unreachable') {
      const fault = result.error.refusal;
      if (!fault || !(await isToBlame(draft.id))) return 'unreachable';
      store.dispatch(outbox.actions.refused({ id: draft.id, refusal: fault }));
      return 'answered';
    }
    const { refusal } = result.error;
    if (refusal.code === 'not-signed-in') {
      // The entry stays its maker's: it goes out when that person is back.
      store.dispatch(api.util.resetApiState());
      ports.tabs.post({ kind: 'session' });
      return 'unreachable';
    }
    if (refusal.code === 'not-at-this-screen' && refusal.data.unproven === true) {
      store.dispatch(outbox.actions.unproven({ id: draft.id, proof }));
      return 'answered';
    }
    if (refusal.code === 'screen-locked' || refusal.code === 'not-at-this-screen') {
      void store.dispatch(api.endpoints.session.initiate(undefined, { forceRefetch: true }));
      return 'unreachable';
    }
    if (refusal.code === 'bad-input' && store.getState().version.outdated) {
      // Kept as it is: the newer page may be able to send it.
      held.add(ticket);
      return 'answered';
    }
    store.dispatch(outbox.actions.refused({ id: draft.id, refusal }));
    return 'answered';
  };

  /** Whether an entry itself makes the server fail: it must not hold up those behind it for ever. */
  const isToBlame = async (id: string): Promise<boolean> => {
    // A server whose database is away fails at this too.
    const isWell = 'data' in (await call({ name: 'whoAmI', params: {}, body: undefined }));
    if (isWell) faults.set(id, (faults.get(id) ?? 0) + 1);
    return (faults.get(id) ?? 0) >= MOST_FAULTS;
  };

  const sendWaiting = (): void => {
    if (sending || !nextEntry()) return;
    sending = true;
    // It is on the disk; what the person sees of it goes before the sending.
    setTimeout(() => {
      void sendAll()
        .catch(() => undefined)
        .finally(() => {
          sending = false;
          // Something may have come while this was ending.
          sendWaiting();
        });
    });
  };
  return sendWaiting;
}

/** Puts what the server stored into the ticket, if somebody looks at it here. */
export function showConfirmed(
  { store, api, stream }: Pick<SenderParts, 'store' | 'api' | 'stream'>,
  ticket: string,
  event: TicketEvent,
): void {
  const seen = { gap: false };
  store.dispatch(
    api.util.updateQueryData('ticket', ticket, (file) => {
      seen.gap = !appendInOrder(file, [event]);
    }),
  );
  // Whoever follows the ticket reads it: another reading beside theirs could put an older answer
  // over what they have heard since.
  if (seen.gap) stream.missed();
}
