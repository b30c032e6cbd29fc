import type { EventType } from '../events/index.ts';

/**
 * Which entries can change what is inferred of a machine or proposed for it. The others change the job
 * alone (money, time, promises, papers), and nothing is computed again for them.
 */
const CHANGES_PLAN: Readonly<Record<EventType, boolean>> = {
  'intake-taken': true,
  'call-taken': true,
  'customer-did': true,
  'call-ended': true,
  'machine-arrived': true,
  'findings-recorded': true,
  'could-not-tell': true,
  'observation-noted': false,
  'photo-kept': false,
  'own-cause-found': true,
  'action-done': true,
  'machine-opened': true,
  'machine-closed': true,
  'plan-chosen': true,
  'duty-waived': true,
  'how-often-told': true,
  'symptom-settled': true,
  // It may take any of them back.
  'entry-corrected': true,
  'ticket-closed': true,
  'ticket-reopened': true,
  'machine-collected': true,
  'knowledge-adopted': true,
  'handed-over': false,
  'job-pinned': false,
  'limit-agreed': false,
  'inspection-agreed': false,
  'price-asked': false,
  'price-answered': false,
  'part-awaited': false,
  'part-came': false,
  'part-fitted': false,
  'clock-started': false,
  'clock-stopped': false,
  'labour-booked': false,
  'day-promised': false,
  'set-up-noted': false,
  measured: false,
  'needle-fitted': false,
  'work-told': false,
  'pieces-laid': false,
  'screw-turned': false,
  'tension-tried': false,
  'sample-read': false,
  'mark-found': false,
  'mark-ended': false,
  signed: false,
  'bill-made': false,
  'closing-noted': false,
  'payment-taken': false,
  'payment-returned': false,
  'customer-told': false,
  'contact-tried': false,
  'came-back': false,
  'machine-known': true,
  placed: false,
};

/** Whether an entry can change what is inferred of the machine or proposed for it. */
export function changesPlan({ type }: { readonly type: EventType }): boolean {
  return CHANGES_PLAN[type];
}
