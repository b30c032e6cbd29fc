import { humanText, refuse, tableId, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({
  machine: uuid,
  family: tableId,
  /** What it has otherwise than its family; null when nothing. */
  traits: z.array(tableId).max(20).nullable(),
  label: humanText(80),
});

/** Which machine it is, or what is known of its kind by now: judged with that from here on. */
export const machineKnown = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command, { modelOf }) =>
    modelOf(command.family)
      ? accept(command)
      : reject(refuse('unknown-family', 'command.family', { family: command.family })),
  ),
  apply(ticket, { machine, family, traits, label }) {
    const { intake } = ticket;
    if (!intake) return ticket;
    return {
      ...ticket,
      intake: { ...intake, family, traits: traits ?? undefined, label },
      life: { ...ticket.life, machine },
    };
  },
});
