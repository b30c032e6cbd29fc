import { accountForPieces, CoreFault, mm } from '@nodo/core';
import { refuse } from '@nodo/kernel';
import { piecesLaid as body, piecesFound } from '../state/values.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

/** The pieces of a broken needle laid end to end, so far. */
export const piecesLaid = defineEvent({
  type: 'pieces-laid',
  version: 1,
  command: piecesFound,
  body,
  decide: atWork((_ticket, given) => {
    try {
      const { missing, state } = accountForPieces(mm(given.whole), given.pieces.map(mm));
      return accept({ ...given, missing, state });
    } catch (fault) {
      if (!(fault instanceof CoreFault)) throw fault;
      return reject(refuse('no-such-piece', 'command.pieces', { ...fault.data }));
    }
  }),
  apply: (ticket, pieces, { seq }) => ({
    ...ticket,
    life: { ...ticket.life, pieces: { ...pieces, seq } },
  }),
});
