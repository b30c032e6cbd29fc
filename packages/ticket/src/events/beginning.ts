import { humanText, refuse, tableId, uuid } from '@nodo/kernel';
import { z } from 'zod';
import type { Life } from '../state/life.ts';
import type { Intake, Ticket } from '../state/ticket.ts';
import { BODY_COLOURS } from '../state/values.ts';
import { accept, type DecideContext, type Decision, reject } from './define.ts';

/** What every ticket begins with, wherever the machine is. */
export const beginning = z.object({
  family: tableId,
  /** How the machine is called: "Teal zigzag". */
  label: humanText(80),
  /** The complaint in the customer's own words. */
  words: humanText(2000, 0),
  /** The customer's row; names and numbers stay out of the events. */
  customer: uuid.nullable(),
  /** The machine's row, where it is known as one. */
  machine: uuid.nullish(),
  /** What it has otherwise than its family. */
  traits: z.array(tableId).max(20).nullish(),
  /** Of its body, where it was asked. */
  colour: z.enum(BODY_COLOURS).nullish(),
});

/** What is written down when a machine is handed over the counter. */
export const received = z.object({
  /** What came with it: foot, case, lead. */
  accessories: z.array(humanText(60)).max(30).optional(),
  /** How it looks from outside. */
  condition: humanText(1000, 0).optional(),
});

type Received = z.infer<typeof received>;

/** The life of a ticket with what came over the counter. */
export function withReceived(life: Life, { accessories, condition }: Received): Life {
  return {
    ...life,
    accessories: accessories ?? life.accessories,
    condition: condition ?? life.condition,
  };
}

/** Only a new ticket, of a family that the tables have. */
export function decideBeginning<Command extends z.infer<typeof beginning>>(
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

/** What every ticket keeps of how it began. */
export function intakeOf({
  family,
  label,
  words,
  customer,
  traits,
  colour,
}: z.infer<typeof beginning>): Omit<Intake, 'tag' | 'shelf'> {
  return {
    family,
    label,
    words,
    customer: customer ?? undefined,
    traits: traits ?? undefined,
    colour: colour ?? undefined,
  };
}
