import { refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { type Ticket, withVoidEpoch } from '../state/ticket.ts';
import { accept, defineEvent, type EventPosition, reject } from './define.ts';
import { whileAway } from './guards.ts';

const command = z.object({ cause: tableId });

const body = command.extend({
  /** What it treats, as the tables said when it was recorded. */
  treats: z.array(tableId),
});

/**
 * On the telephone: the customer was advised how to remove a cause and says it is done. Ends
 * the epoch like work at the bench, but owes no proof there: the customer sews it.
 */
export const customerDid = defineEvent({
  version: 1,
  command,
  body,
  decide: whileAway((_ticket, { cause }, { model }) => {
    const known = model.causes.get(cause);
    if (!known?.byPhone) {
      return reject(refuse('not-on-this-machine', 'command.cause', { id: cause }));
    }
    return accept({ cause, treats: [cause] });
  }),
  apply: (ticket, { treats }, place) => withCustomerTreatment(ticket, treats, place),
  applyCorrected: withVoidEpoch,
});

/** The machine after its owner put these right: a new state. */
export function withCustomerTreatment(
  ticket: Ticket,
  treats: readonly string[],
  { seq, epoch }: Pick<EventPosition, 'seq' | 'epoch'>,
): Ticket {
  const startsEpoch = ticket.epoch + 1;
  return {
    ...ticket,
    epoch: startsEpoch,
    customerTreatments: [...ticket.customerTreatments, { treats, startsEpoch, epoch, seq }],
  };
}
