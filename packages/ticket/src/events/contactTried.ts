import { contact } from '../state/values.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { sinceItCame } from './guards.ts';

/** Somebody called the customer, reached or not, and when to try again. */
export const contactTried = defineEvent({
  version: 1,
  command: contact,
  body: contact,
  decide: sinceItCame((_ticket, command) => accept(command)),
  apply: onLife((_life, tried, { observedAt }) => ({ contact: { ...tried, at: observedAt } })),
});
