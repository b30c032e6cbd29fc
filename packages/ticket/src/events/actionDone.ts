import { humanText, refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { gatesUnmet } from '../assessment/gates.ts';
import { marksAfter } from '../state/marks.ts';
import { PIECES_FOUND, POWER_OFF, POWER_ON } from '../state/namedActions.ts';
import { allPiecesFound } from '../state/pieces.ts';
import { withVoidEpoch } from '../state/ticket.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atTheBench } from './guards.ts';

const command = z.object({ action: tableId, note: humanText(500).optional() });

const body = command.extend({
  /** What it treats, as the tables said when it was done. */
  treats: z.array(tableId),
  repair: z.boolean(),
  /** The state that it ended: the part is on again. */
  putBack: tableId.optional(),
});

/** Something was done. What treats a cause ends the epoch: later findings are of another state. */
export const actionDone = defineEvent({
  version: 1,
  command,
  body,
  decide: atTheBench((ticket, given, { model }) => {
    const action = model.actions.get(given.action);
    if (!action) {
      return reject(refuse('not-on-this-machine', 'command.action', { id: given.action }));
    }
    if (action.needsReason && given.note === undefined) {
      return reject(refuse('reason-missing', 'command.note', { id: action.id }));
    }
    if (given.action === POWER_ON && ticket.open.size > 0) {
      return reject(refuse('gate-unmet', 'command.action', { unmet: ['machine-closed'] }));
    }
    const unmet = gatesUnmet(ticket, model, `action:${action.id}`);
    if (unmet.length > 0) return reject(refuse('gate-unmet', 'command.action', { unmet }));
    if (action.id === PIECES_FOUND && !allPiecesFound(ticket)) {
      return reject(refuse('pieces-missing', 'command.action'));
    }
    return accept({
      ...given,
      treats: action.treats.filter((cause) => model.causes.has(cause)),
      repair: action.repair,
      ...(action.putsBack !== undefined && ticket.open.has(action.putsBack)
        ? { putBack: action.putsBack }
        : {}),
    });
  }),
  apply(ticket, { action, treats, repair, putBack }, { seq, epoch }) {
    const startsEpoch = treats.length > 0 ? ticket.epoch + 1 : undefined;
    return {
      ...ticket,
      epoch: startsEpoch ?? ticket.epoch,
      open:
        putBack === undefined
          ? ticket.open
          : new Set([...ticket.open].filter((state) => state !== putBack)),
      power: action === POWER_OFF ? 'off' : action === POWER_ON ? 'on' : ticket.power,
      performedActions: [
        ...ticket.performedActions,
        { action, treats, repair, startsEpoch, epoch, seq },
      ],
      life: { ...ticket.life, marks: marksAfter(ticket.life.marks, action) },
    };
  },
  applyCorrected(ticket, { treats }) {
    return treats.length === 0 ? ticket : withVoidEpoch(ticket);
  },
});
