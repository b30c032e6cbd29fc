import type { Assessment, Ticket } from '@nodo/ticket';

/** The ticket at hand, while its machine's tables are read. */
export interface OnTicket {
  readonly ticket: Ticket;
  readonly assessment: Assessment;
}
