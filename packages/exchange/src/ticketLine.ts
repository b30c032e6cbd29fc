import { uuid } from '@nodo/kernel';
import { presentEvent } from '@nodo/ticket';
import { z } from 'zod';

/** One ticket as one line of a file: all its entries, from the first on. Names stay with the customers. */
const ticketLine = z.object({
  format: z.literal('nodo-ticket'),
  version: z.literal(1),
  ticket: uuid,
  customer: uuid.nullable(),
  machine: uuid.nullable(),
  events: z.array(presentEvent).min(1),
});
export type TicketLine = z.input<typeof ticketLine>;

/** The form of such a line for whoever reads it elsewhere (JSON Schema, draft 2020-12). */
export function ticketSchema(): object {
  return {
    $id: 'urn:nodo:ticket:1',
    title: 'A ticket with all its entries',
    ...z.toJSONSchema(ticketLine, { unrepresentable: 'any', reused: 'ref' }),
  };
}
