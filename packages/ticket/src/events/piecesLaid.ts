import { accountForPieces, mm } from '@nodo/core';
import { piecesLaid as body, piecesFound } from '../state/values.ts';
import { defineEvent, onLife } from './define.ts';
import { acceptValid, atWork } from './guards.ts';

/** The pieces of a broken needle that were found so far, end to end. */
export const piecesLaid = defineEvent({
  version: 1,
  command: piecesFound,
  body,
  decide: atWork((_ticket, given) =>
    acceptValid(
      () => {
        const { missing, state } = accountForPieces(mm(given.whole), given.pieces.map(mm));
        return { ...given, missing, state };
      },
      'no-such-piece',
      'command.pieces',
    ),
  ),
  apply: onLife((_life, pieces, { seq }) => ({ pieces: { ...pieces, seq } })),
});
