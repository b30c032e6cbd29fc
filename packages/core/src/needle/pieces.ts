import { CoreError } from '../errors/coreError.ts';
import { type Millimetres, positive } from '../units/quantities.ts';

/** Tolerance of the pieces' sum against the whole needle: the error of measuring by hand. */
const PIECES_TOLERANCE = 0.5 as Millimetres;

export interface PiecesAccount {
  readonly found: number;
  /** What is still to be found; negative where the pieces are longer than a needle. */
  readonly missing: number;
  readonly state: 'missing' | 'whole' | 'too-much';
}

/**
 * Whether the pieces of a broken needle, each measured along the needle, make it whole again.
 * @throws CoreFault `not-above-nothing` for a piece or a needle of no length; `piece-too-long` for
 * one longer than the needle.
 */
export function accountForPieces(
  whole: Millimetres,
  pieces: readonly Millimetres[],
): PiecesAccount {
  positive('whole', whole);
  for (const [place, piece] of pieces.entries()) {
    positive('piece', piece);
    if (piece > whole + PIECES_TOLERANCE)
      throw new CoreError('piece-too-long', { place, piece, whole });
  }
  // In hundredths: tenths added one by one must not miss the bound by the last bit.
  const found = Math.round(pieces.reduce((sum, piece) => sum + piece, 0) * 100) / 100;
  const missing = Math.round((whole - found) * 100) / 100;
  const state =
    missing > PIECES_TOLERANCE ? 'missing' : -missing > PIECES_TOLERANCE ? 'too-much' : 'whole';
  return { found, missing, state };
}
