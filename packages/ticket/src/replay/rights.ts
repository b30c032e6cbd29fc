import { AT_THE_BENCH, AT_THE_COUNTER, LEADS, type Role } from '@nodo/kernel';
import type { EventType } from '../events/index.ts';

/** Who may record what on a customer's ticket. A learner records on practice machines only. */
const MAY_RECORD: Readonly<Record<EventType, readonly Role[]>> = {
  'intake-taken': AT_THE_COUNTER,
  'call-taken': AT_THE_COUNTER,
  'customer-did': AT_THE_COUNTER,
  'call-ended': AT_THE_COUNTER,
  'machine-arrived': AT_THE_COUNTER,
  'findings-recorded': AT_THE_COUNTER,
  'could-not-tell': AT_THE_COUNTER,
  'observation-noted': AT_THE_COUNTER,
  'photo-kept': AT_THE_COUNTER,
  'own-cause-found': AT_THE_BENCH,
  'action-done': AT_THE_BENCH,
  'machine-opened': AT_THE_BENCH,
  'machine-closed': AT_THE_BENCH,
  'plan-chosen': AT_THE_BENCH,
  'duty-waived': AT_THE_BENCH,
  'how-often-told': AT_THE_COUNTER,
  'symptom-settled': AT_THE_BENCH,
  'entry-corrected': AT_THE_COUNTER,
  'ticket-closed': AT_THE_BENCH,
  'ticket-reopened': AT_THE_BENCH,
  'machine-collected': AT_THE_COUNTER,
  // Comes with whoever makes the first entry after the tables moved on.
  'knowledge-adopted': AT_THE_COUNTER,
  'handed-over': AT_THE_COUNTER,
  'job-pinned': LEADS,
  'limit-agreed': AT_THE_COUNTER,
  'inspection-agreed': AT_THE_COUNTER,
  'price-asked': AT_THE_COUNTER,
  'price-answered': AT_THE_COUNTER,
  'part-awaited': AT_THE_BENCH,
  'part-came': AT_THE_COUNTER,
  // What goes home with the machine is sold at the counter.
  'part-fitted': AT_THE_COUNTER,
  'clock-started': AT_THE_BENCH,
  'clock-stopped': AT_THE_BENCH,
  'labour-booked': AT_THE_BENCH,
  'day-promised': AT_THE_COUNTER,
  'set-up-noted': AT_THE_COUNTER,
  measured: AT_THE_BENCH,
  'needle-fitted': AT_THE_BENCH,
  'work-told': AT_THE_COUNTER,
  'pieces-laid': AT_THE_BENCH,
  'screw-turned': AT_THE_BENCH,
  'tension-tried': AT_THE_BENCH,
  'sample-read': AT_THE_BENCH,
  'mark-found': AT_THE_BENCH,
  'mark-ended': AT_THE_BENCH,
  signed: AT_THE_COUNTER,
  'bill-made': AT_THE_COUNTER,
  'closing-noted': AT_THE_COUNTER,
  'payment-taken': AT_THE_COUNTER,
  'payment-returned': AT_THE_COUNTER,
  'customer-told': AT_THE_COUNTER,
  'contact-tried': AT_THE_COUNTER,
  'came-back': AT_THE_COUNTER,
  'machine-known': AT_THE_COUNTER,
  placed: AT_THE_COUNTER,
};

export function mayRecord(role: Role, type: EventType): boolean {
  return MAY_RECORD[type].includes(role);
}

export function mayTakeIn(role: Role): boolean {
  return mayRecord(role, 'intake-taken');
}

export function mayWorkAtBench(role: Role): boolean {
  return mayRecord(role, 'action-done');
}
