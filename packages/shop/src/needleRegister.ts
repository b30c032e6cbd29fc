import { sizeName } from '@nodo/core';
import { instant, minutesBetween, uuid } from '@nodo/kernel';
import { coatingOf, pointOf } from '@nodo/knowledge';
import { type NeedleIn, needleKind, type RegisterEntry, sewn } from '@nodo/ticket';
import { z } from 'zod';

/** A needle that was opened and put back, ready to be used up. */
export const openedNeedle = z.object({
  /** The entry that put it back. */
  id: uuid,
  needle: needleKind,
  sewn,
  by: uuid,
  when: instant,
});
export type OpenedNeedle = z.infer<typeof openedNeedle>;

export interface NeedleRegister {
  /** Which needle is in, by machine and position. */
  readonly now: ReadonlyMap<string, RegisterEntry>;
  readonly opened: readonly OpenedNeedle[];
  readonly usedUp: number;
}

/** Where an entry stands in {@link NeedleRegister.now}. */
export function needleKey(machine: string | null, at: number): string {
  return `${machine ?? ''} ${at}`;
}

/** Entries in the order of their time; those of one instant stay as they are. */
export function inTimeOrder(entries: readonly RegisterEntry[]): readonly RegisterEntry[] {
  return [...entries].sort((a, b) => minutesBetween(b.when, a.when));
}

/** The register of a shop or machine, folded from its entries in the order of their time. */
export function registerOf(entries: readonly RegisterEntry[]): NeedleRegister {
  const now = new Map<string, RegisterEntry>();
  const opened = new Map<string, OpenedNeedle>();
  let usedUp = 0;
  for (const entry of inTimeOrder(entries)) {
    const place = needleKey(entry.machine, entry.at);
    const last = now.get(place);
    if (entry.before === 'put-back' && last) {
      const { id, by, when, beforeSewn } = entry;
      opened.set(id, { id, needle: last.needle, sewn: beforeSewn ?? last.sewn, by, when });
    }
    if (entry.before === 'used-up' || entry.before === 'broken') usedUp += 1;
    if (entry.opened !== null) opened.delete(entry.opened);
    now.set(place, entry);
  }
  return { now, opened: [...opened.values()], usedUp };
}

/** A needle in one line, as a packet names it. */
export function needleLine({ system, size, point, coating }: NeedleIn['needle']): string {
  const names = [pointOf(point)?.title, coatingOf(coating)?.title.toLowerCase()];
  return [system, sizeName(size), ...names].filter(Boolean).join(', ');
}
