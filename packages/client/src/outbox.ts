import type { Person } from '@nodo/api';
import type { Refusal } from '@nodo/kernel';
import type { PendingCommand, TicketCommand } from '@nodo/ticket';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { KeyValueStorage } from './storage.ts';

/** One entry that was made on this screen and is not yet confirmed by the server. */
export interface OutboxEntry {
  readonly ticket: string;
  readonly draft: TicketCommand;
  /** Who made it; sent only while this person is signed in on this screen. */
  readonly person: string;
  /** Set when the server would not have it; it waits in the tray until it is put away. */
  readonly refusal?: Refusal | undefined;
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
      ].sort((a, b) => (a.draft.observedAt < b.draft.observedAt ? -1 : 1));
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
    unreachable(state) {
      state.unreachable = true;
    },
  },
});

/** What one tab does to the outbox and the others hear of. */
export type OutboxAction = ReturnType<
  (typeof outbox.actions)['added' | 'removed' | 'refused' | 'unreachable']
>;
