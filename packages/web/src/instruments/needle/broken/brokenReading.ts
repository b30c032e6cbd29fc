import { accountForPieces, mm, type PiecesAccount, whereValid } from '@nodo/core';

/**
 * What the pieces of a needle come to, end to end.
 * @param whole length of a whole one, in millimetres
 * @returns undefined where one of the pieces cannot be
 */
export function accountOf(whole: number, pieces: readonly number[]): PiecesAccount | undefined {
  return whereValid(() => accountForPieces(mm(whole), pieces.map(mm)));
}
