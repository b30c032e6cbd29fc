import { verdictOn } from '@nodo/knowledge';
import { refuse } from '../../refusal.ts';
import { markEnded as ended } from '../marks.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atTheBench } from './guards.ts';

/** A mark was dressed, or went with the part that was replaced. */
export const markEnded = defineEvent({
  type: 'mark-ended',
  version: 1,
  command: ended,
  body: ended,
  decide: atTheBench((ticket, command) => {
    const mark = ticket.life.marks.find(({ id }) => id === command.mark);
    if (!mark) return reject(refuse('no-such-mark', 'command.mark', { id: command.mark }));
    if (mark.end) return reject(refuse('already-so', 'command.mark'));
    if (command.end.how === 'dressed' && verdictOn(mark.kind) !== 'dress') {
      return reject(refuse('not-to-be-dressed', 'command.end', { kind: mark.kind }));
    }
    return accept(command);
  }),
  apply: (ticket, { mark, end }) => ({
    ...ticket,
    life: {
      ...ticket.life,
      marks: ticket.life.marks.map((one) => (one.id === mark ? { ...one, end } : one)),
    },
  }),
});
