import { z } from 'zod';
import { refuse } from '../../refusal.ts';
import { humanText, tableId, uuid } from '../../text.ts';
import type { Ticket } from '../ticket.ts';
import { accept, type DecideContext, type Decision, reject } from './define.ts';

/** What every ticket begins with, wherever the machine is. */
export const told = z.object({
  family: tableId,
  /** How the machine is called: "Teal zigzag". */
  label: humanText(80),
  /** The complaint in the customer's own words. */
  words: humanText(2000, 0),
  /** The customer's row; names and numbers stay out of the events. */
  customer: uuid.nullable(),
});

/** Only a new ticket, of a family that the tables have. */
export function decideBeginning<Command extends z.infer<typeof told>>(
  { status }: Ticket,
  command: Command,
  { modelOf }: DecideContext,
): Decision<Command> {
  if (status !== 'new') return reject(refuse('already-taken-in'));
  if (!modelOf(command.family)) {
    return reject(refuse('unknown-family', 'command.family', { family: command.family }));
  }
  return accept(command);
}
