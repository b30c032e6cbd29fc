import { humanText, refuse, tableId } from '@nodo/kernel';
import { ownCheck, ownFinding } from '@nodo/knowledge';
import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';
import { atTheBench } from './guards.ts';

const command = z.object({
  name: humanText(80),
  /** What puts it right. */
  remedy: humanText(80),
  /** What the customer reported and this explains. */
  explains: z.array(tableId).max(30),
});

const body = command.extend({ cause: tableId });

/**
 * A cause that the tables do not have: found, named, and from then on part of this ticket's
 * reckoning, with a look and a repair of its own.
 */
export const ownCauseFound = defineEvent({
  version: 1,
  command,
  body,
  decide: atTheBench((ticket, given, { model, id }) => {
    const stranger = given.explains.findIndex((finding) => !model.findings.has(finding));
    if (stranger >= 0) {
      return reject(
        refuse('not-on-this-machine', `command.explains.${stranger}`, {
          id: given.explains[stranger] ?? '',
        }),
      );
    }
    const cause = `own-${id.replaceAll('-', '').slice(0, 12)}`;
    if (ticket.ownCauses.some((known) => known.id === cause)) return reject(refuse('already-so'));
    return accept({ ...given, cause });
  }),
  apply(ticket, { cause, name, remedy, explains }, { seq, epoch, actor }) {
    const check = ownCheck(cause);
    return {
      ...ticket,
      ownCauses: [...ticket.ownCauses, { id: cause, name, remedy, explains }],
      answers: [
        ...ticket.answers,
        { finding: ownFinding(cause), check, present: true, epoch, by: actor, seq },
      ],
      looks: [...ticket.looks, { check, complete: true, normal: false, epoch, seq }],
    };
  },
});
