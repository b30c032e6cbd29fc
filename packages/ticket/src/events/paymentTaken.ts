import { payment } from '../state/values.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { sinceClosed } from './guards.ts';

/** The customer paid, when they took the machine or afterwards. */
export const paymentTaken = defineEvent({
  version: 1,
  command: payment,
  body: payment,
  decide: sinceClosed((_ticket, command) => accept(command)),
  apply: onLife((life, paid, { id, observedAt }) => ({
    payments: [...life.payments, { ...paid, entry: id, at: observedAt }],
  })),
});
