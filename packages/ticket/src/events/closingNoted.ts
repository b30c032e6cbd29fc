import { closingSheet } from '../state/values.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { sinceItCame } from './guards.ts';

/**
 * What the customer learns of the work: found, done, what helps next time, and whether it is paid. Written
 * again as often as somebody corrects it, until the customer has the machine.
 */
export const closingNoted = defineEvent({
  version: 1,
  command: closingSheet,
  body: closingSheet,
  decide: sinceItCame((_ticket, command) => accept(command)),
  apply: onLife((_life, closingSheet) => ({ closingSheet })),
});
