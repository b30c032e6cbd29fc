import { refuse } from '@nodo/kernel';
import { verdictOn } from '@nodo/knowledge';
import { markEnded as command, withMarkEnded } from '../state/marks.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atTheBench } from './guards.ts';

/** A mark was dressed; or its part was replaced, and all marks on it went with it. */
export const markEnded = defineEvent({
  version: 1,
  command,
  body: command,
  decide: atTheBench((ticket, given) => {
    const mark = ticket.life.marks.find(({ id }) => id === given.mark);
    if (!mark) return reject(refuse('no-such-mark', 'command.mark', { id: given.mark }));
    if (mark.end) return reject(refuse('already-so', 'command.mark'));
    if (given.end.how === 'dressed' && verdictOn(mark.kind) !== 'dress') {
      return reject(refuse('not-to-be-dressed', 'command.end', { kind: mark.kind }));
    }
    return accept(given);
  }),
  apply(ticket, { mark, end }) {
    const { marks } = ticket.life;
    const ended = marks.find(({ id }) => id === mark);
    if (!ended) return ticket;
    return { ...ticket, life: { ...ticket.life, marks: withMarkEnded(marks, ended, end) } };
  },
});
