import type { TicketFile } from '@nodo/api';
import type { Role } from '@nodo/kernel';
import type { RackEntry } from '@nodo/ticket';

/** Learners work on machines; whose they are is not theirs to know. */
export function mayKnowNames(role: Role): boolean {
  return role !== 'learner';
}

export function rackFor(role: Role, entries: readonly RackEntry[]): RackEntry[] {
  return entries.map((entry) => (mayKnowNames(role) ? entry : nameless(entry)));
}

export function filesFor(role: Role, files: readonly TicketFile[]): TicketFile[] {
  return files.map((file) => (mayKnowNames(role) ? file : { ...file, customer: null }));
}

export function nameless(entry: RackEntry): RackEntry {
  return { ...entry, customerName: null };
}
