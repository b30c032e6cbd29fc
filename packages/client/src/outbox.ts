import type { Person } from '@nodo/api';
import type { Refusal } from '@nodo/kernel';
import type { PendingCommand, TicketCommand } from '@nodo/ticket';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { KeyValueStorage } from './storage.ts';

/** One entry that was made on this screen and is not yet confirmed by the server. */
export interface OutboxEntry {
  readonly ticket: string;
  readonly draft: TicketCommand;
  /** Who made it: it is sent while this person stands here, or belongs to the screen and it is proven. */
  readonly person: string;
  /**
   * Counts what this device enters, so that the order does not hang on its clock, which may be set
   * back. Entries of an earlier version have none.
   */
  readonly number?: number | undefined;
  /** Shows the server that it is this person's, whoever stands here when it is sent. */
  readonly proof?: string | undefined;
  /** Set when the server would not have it; it waits in the tray until it is put away. */
  readonly refusal?: Refusal | undefined;
  /** Made by another version of the page in a way that this one does not know. */
  readonly unknown?: true | undefined;
}

interface Unproven {
  readonly id: string;
  /** As it was sent. */
  readonly proof?: string | undefined;
}

export interface OutboxState {
  readonly entries: readonly OutboxEntry[];
  /** The last try to send got no answer. */
  readonly unreachable: boolean;
  /** How many entries another version left on this device that this one cannot read; they stay there. */
  readonly unreadable: number;
}

/** Each entry under a key of its own, so that two tabs cannot overwrite each other's. */
const KEY_PREFIX = 'nodo.outbox.';

/** What waited when this tab was opened, as it was written. */
export function waitingOn(storage: KeyValueStorage): readonly string[] {
  return storage
    .keys()
    .filter((key) => key.startsWith(KEY_PREFIX))
    .flatMap((key) => storage.get(key) ?? []);
}

/** The number of the next entry: above all that wait here, whichever tab made them. */
export function nextNumber(storage: KeyValueStorage): number {
  return 1 + Math.max(0, ...waitingOn(storage).map(numberIn));
}

function numberIn(text: string): number {
  // Another version may have written it; what is no entry at all has no number either.
  const [, digits = '0'] = /"number":(\d{1,15})\b/.exec(text) ?? [];
  return Number(digits);
}

/** Writes what changed through at once: a reload or a dead battery loses nothing. */
export function persistChanges(
  storage: KeyValueStorage,
  before: readonly OutboxEntry[],
  after: readonly OutboxEntry[],
): void {
  for (const entry of after) {
    if (!before.includes(entry)) storage.set(KEY_PREFIX + entry.draft.id, JSON.stringify(entry));
  }
  const left = new Set(after.map(({ draft }) => draft.id));
  for (const { draft } of before) {
    if (!left.has(draft.id)) storage.remove(KEY_PREFIX + draft.id);
  }
}

/**
 * What waits here for a ticket, with who made it.
 * @param people signed in on this screen; what somebody else left waits until that person is back.
 */
export function enteredOn(
  ticket: string,
  entries: readonly OutboxEntry[],
  people: readonly Person[],
): readonly PendingCommand[] {
  return entries
    .filter((entry) => entry.ticket === ticket && !entry.refusal)
    .flatMap(({ draft, person }) => {
      const maker = people.find(({ id }) => id === person);
      return maker ? [{ command: draft, actor: { person, role: maker.role } }] : [];
    });
}

export const outbox = createSlice({
  name: 'outbox',
  initialState: (): OutboxState => ({ entries: [], unreachable: false, unreadable: 0 }),
  reducers: {
    added(state, { payload }: PayloadAction<OutboxEntry>) {
      // Another tab may tell of what this one found on the disk.
      if (state.entries.some(({ draft }) => draft.id === payload.draft.id)) return;
      state.entries = [...state.entries, payload];
    },
    /** What waited on this device is read. */
    restored(state, { payload }: PayloadAction<readonly (OutboxEntry | undefined)[]>) {
      const known = new Set(state.entries.map(({ draft }) => draft.id));
      const entries = payload.filter((entry) => entry !== undefined);
      state.unreadable = payload.length - entries.length;
      state.entries = [
        ...entries.filter(({ draft }) => !known.has(draft.id)),
        ...state.entries,
      ].sort(byNumber);
    },
    /** Confirmed, or put away by the person. */
    removed(state, { payload }: PayloadAction<string>) {
      state.entries = state.entries.filter(({ draft }) => draft.id !== payload);
      state.unreachable = false;
    },
    refused(state, { payload }: PayloadAction<{ id: string; refusal: Refusal }>) {
      state.entries = state.entries.map((entry) =>
        entry.draft.id === payload.id ? { ...entry, refusal: payload.refusal } : entry,
      );
      state.unreachable = false;
    },
    proven(state, { payload: { id, proof } }: PayloadAction<{ id: string; proof: string }>) {
      state.entries = state.entries.map((entry) =>
        entry.draft.id === id ? { ...entry, proof } : entry,
      );
    },
    /**
     * The server does not take the proof that was sent: it waits until its maker stands here. One
     * that was sent before it was proven is sent again with its proof.
     */
    unproven(state, { payload: { id, proof } }: PayloadAction<Unproven>) {
      state.entries = state.entries.map((entry) =>
        entry.draft.id === id && entry.proof === proof ? { ...entry, proof: undefined } : entry,
      );
    },
    /** The person wants a refused one to be sent again. */
    retried(state, { payload }: PayloadAction<string>) {
      state.entries = state.entries.map((entry) =>
        entry.draft.id === payload ? { ...entry, refusal: undefined } : entry,
      );
    },
    unreachable(state) {
      state.unreachable = true;
    },
  },
});

/** What one tab does to the outbox and the others hear of. */
export type OutboxAction = ReturnType<
  (typeof outbox.actions)[
    | 'added'
    | 'removed'
    | 'refused'
    | 'proven'
    | 'unproven'
    | 'retried'
    | 'unreachable']
>;

/** What an earlier version left goes first, by the clock, which is all that it has. */
function byNumber(a: OutboxEntry, b: OutboxEntry): number {
  return (a.number ?? 0) - (b.number ?? 0) || a.draft.observedAt.localeCompare(b.draft.observedAt);
}
