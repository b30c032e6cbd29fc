import { refuse } from '@nodo/kernel';
import { paidSum } from '../state/life.ts';
import { payment } from '../state/values.ts';
import { accept, defineEvent, onLife, reject } from './define.ts';
import { sinceClosed } from './guards.ts';

/** Money went back to the customer: kept as a payment below nothing. Never more than was paid. */
export const paymentReturned = defineEvent({
  version: 1,
  command: payment,
  body: payment,
  decide: sinceClosed(({ life }, command) => {
    const paid = paidSum(life);
    return command.amount > paid
      ? reject(refuse('more-than-paid', 'command.amount', { paid }))
      : accept(command);
  }),
  apply: onLife((life, { how, amount }, { id, observedAt }) => ({
    payments: [...life.payments, { how, amount: -amount, entry: id, at: observedAt }],
  })),
});
