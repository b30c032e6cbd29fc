import type { TicketFile } from '@nodo/api';
import type { Role } from '@nodo/kernel';
import type { RackEntry } from '@nodo/ticket';

/** Learners work on machines; whose they are is not theirs to know. */
export function mayKnowNames(role: Role): boolean {
  return role !== 'learner';
}

export function rackFor(role: Role, entries: readonly RackEntry[]): RackEntry[] {
  return mayKnowNames(role) ? [...entries] : entries.map(nameless);
}

export function fileFor(role: Role, file: TicketFile): TicketFile {
  return mayKnowNames(role) ? file : { ...file, customer: null };
}

export function nameless(entry: RackEntry): RackEntry {
  return { ...entry, customerName: null, customerPhone: null };
}
