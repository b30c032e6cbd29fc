import type { Role } from '@nodo/kernel';
import { worksAtBench } from '../session/UntilAsked.tsx';

/**
 * Where a ticket is opened: at the bench, for the counter on its page, and one that was only spoken of at the
 * questions of its call.
 * @param tag null or undefined for a machine that is not in the shop
 */
export function ticketAddress(
  role: Role,
  { ticket, tag }: { readonly ticket: string; readonly tag: number | null | undefined },
): string {
  if (tag === null || tag === undefined) return `/phone/${ticket}`;
  return `/${worksAtBench(role) ? 'bench' : 'ticket'}/${ticket}`;
}
