import type { CallError } from '@nodo/client';
import { inTimeOrder, type OpenedNeedle, registerOf } from '@nodo/shop';
import { NEEDLE_REPLACED, type RegisterEntry, type Ticket } from '@nodo/ticket';
import { useMemo } from 'react';
import { useNeedlesQuery } from '../../api/client.ts';

const NO_ENTRIES: readonly RegisterEntry[] = [];

/** Whose register: the machine's, where it is known as one, and what a ticket says of it. */
interface RegisterOf {
  readonly machine: string | undefined;
  readonly onTicket: { readonly ticket: Ticket } | undefined;
}

/** The register of the machine at hand: the server's, with the entries of this ticket added. */
export function useRegister({ machine, onTicket }: RegisterOf): {
  /** The needle in each position. */
  readonly at: ReadonlyMap<number, RegisterEntry>;
  /** Every entry, the latest first. */
  readonly entries: readonly RegisterEntry[];
  readonly opened: readonly OpenedNeedle[];
  readonly usedUp: number;
  readonly fault: CallError | undefined;
  /** False as long as the server may still say otherwise. */
  readonly isRead: boolean;
} {
  const { data, error } = useNeedlesQuery(machine ?? '', { skip: machine === undefined });
  const own = onTicket?.ticket.life.needles ?? NO_ENTRIES;
  return useMemo(() => {
    const known = machine === undefined ? NO_ENTRIES : (data?.entries ?? NO_ENTRIES);
    const ownIds = new Set(own.map(({ id }) => id));
    const entries = [...known.filter(({ id }) => !ownIds.has(id)), ...own].map((entry) => ({
      ...entry,
      machine: machine ?? null,
    }));
    const { now, opened, usedUp } = registerOf(entries);
    const at = new Map([...now.values()].map((entry) => [entry.at, entry]));
    const openedIds = new Set(data?.opened.map(({ id }) => id));
    const taken = new Set(own.flatMap(({ opened: id }) => (id === null ? [] : [id])));
    return {
      at,
      entries: inTimeOrder(entries).toReversed(),
      opened: [...(data?.opened ?? []), ...opened.filter(({ id }) => !openedIds.has(id))].filter(
        ({ id }) => !taken.has(id),
      ),
      usedUp,
      fault: error as CallError | undefined,
      isRead: machine === undefined || data !== undefined || error !== undefined,
    };
  }, [machine, data, own, error]);
}

/** A new needle went in, and which it is was not written down yet. */
export function isUntold({ performedActions, life }: Ticket): boolean {
  const changed = performedActions.findLast(({ action }) => action === NEEDLE_REPLACED)?.seq ?? 0;
  return changed > (life.needles.at(-1)?.seq ?? 0);
}
