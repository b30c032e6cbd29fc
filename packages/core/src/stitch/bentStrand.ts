import { CoreError } from '../errors/coreError.ts';
import { ellipticE, ellipticF } from './elliptic.ts';

/** How the eye of a needle holds the thread's end: upright like the fabric does, or so that it swivels. */
export type EyeHold = 'upright' | 'swivels';

/**
 * A strand that cannot stretch, pressed together along its chord: a piece of the elastica, of length one, with the eye
 * at its beginning and the fabric, which holds it upright, at its end.
 */
export interface BentStrand {
  /** Amplitudes of its beginning, of its end, and of where it is the lowest, which may be below the eye. */
  readonly begin: number;
  readonly end: number;
  readonly lowest: number;
  /** Where it stands out most. */
  readonly widest: number;
  /** A place of it: how far along the chord from the eye, and how far out. */
  readonly at: (phi: number) => { readonly along: number; readonly out: number };
}

/** So much of a strand may be slack before it would touch itself or the fabric; the hook is long past then. */
export const MOST_SLACK: Readonly<Record<EyeHold, number>> = { upright: 0.6, swivels: 0.5 };
/** Parameters between which every such strand lies; closer to nothing the sums lose their digits. */
const PARAMETERS = [1e-9, 0.9] as const;
/** Where the end of a strand lies that swivels: 2.9228 without slack (tan u = u at u = 4.4934), less with more. */
const ENDS = [2.2, 2.93] as const;

/**
 * With k the sine of half the greatest slope to the thrust: x = 2 E(phi) - F(phi), y = -2 k cos phi, slope 2 asin(k sin
 * phi). Held at both ends it is a whole wave of it; where an end swivels, it begins where it is not bent.
 * Source: Timoshenko and Gere 1961, the elastica.
 * @param share of its length that is left as chord
 * @throws CoreFault `loop-impossible` when more slack is left than such a strand can carry.
 */
export function bentStrand(share: number, eye: EyeHold): BentStrand {
  if (!(share < 1 && share >= 1 - MOST_SLACK[eye])) {
    throw new CoreError('loop-impossible', { share, eye });
  }
  const pieceOf = eye === 'upright' ? wholeWave : swivelling;
  const m = rootOf((parameter) => share - pieceOf(parameter).share, ...PARAMETERS);
  return pieceOf(m).strand;
}

interface Piece {
  readonly share: number;
  readonly strand: BentStrand;
}

function wholeWave(m: number): Piece {
  return pieceBetween(m, 0, 2 * Math.PI, 0);
}

function swivelling(m: number): Piece {
  const begin = -Math.PI / 2;
  const end = rootOf((phi) => acrossAt(m, begin, phi), ...ENDS);
  return pieceBetween(m, begin, end, slopeAt(m, end));
}

/** How far the end of a piece lies off the line on which its beginning has it, where the end is held upright. */
function acrossAt(m: number, begin: number, end: number): number {
  const slope = slopeAt(m, end);
  return (
    (waveAt(m, end).y - waveAt(m, begin).y) * Math.cos(slope) -
    (waveAt(m, end).x - waveAt(m, begin).x) * Math.sin(slope)
  );
}

function slopeAt(m: number, phi: number): number {
  return 2 * Math.asin(Math.sqrt(m) * Math.sin(phi));
}

function waveAt(m: number, phi: number): { readonly x: number; readonly y: number } {
  return { x: 2 * ellipticE(phi, m) - ellipticF(phi, m), y: -2 * Math.sqrt(m) * Math.cos(phi) };
}

/** @param turned the slope against the thrust that is upright */
function pieceBetween(m: number, begin: number, end: number, turned: number): Piece {
  const length = ellipticF(end, m) - ellipticF(begin, m);
  const from = waveAt(m, begin);
  const [cos, sin] = [Math.cos(turned), Math.sin(turned)];
  // The wave that swivels stands out to the other side.
  const side = begin < 0 ? -1 : 1;
  const at = (phi: number) => {
    const { x, y } = waveAt(m, phi);
    const [dx, dy] = [x - from.x, y - from.y];
    return {
      along: (dx * cos + dy * sin) / length,
      out: (side * (dy * cos - dx * sin)) / length,
    };
  };
  return {
    share: at(end).along,
    strand: {
      begin,
      end,
      lowest: lowestOf(m, begin, turned),
      // Upright again, like the end.
      widest: Math.PI - end + (begin < 0 ? 0 : 2 * Math.PI),
      at,
    },
  };
}

/** Where a strand that leaves its beginning downwards turns up: it is level there. */
function lowestOf(m: number, begin: number, turned: number): number {
  if (slopeAt(m, begin) - turned >= -Math.PI / 2) return begin;
  return Math.asin(Math.sin((turned - Math.PI / 2) / 2) / Math.sqrt(m));
}

/** Of lengths and angles near one: what is left of a double by rounding. */
const NOTHING = 1e-14;
/** Far more than it ever takes. */
const MOST_STEPS = 80;

/**
 * Where a function with one change of sign crosses zero: false position, with the end that stays weighed half (Illinois).
 */
export function rootOf(f: (at: number) => number, low: number, high: number): number {
  let [atLow, atHigh] = [f(low), f(high)];
  let stayed = 0;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const middle = high - (atHigh * (high - low)) / (atHigh - atLow);
    const value = f(middle);
    if (Math.abs(value) < NOTHING || Math.abs(high - low) < NOTHING) return middle;
    if (value > 0 === atHigh > 0) {
      [high, atHigh] = [middle, value];
      if (stayed === 1) atLow /= 2;
      stayed = 1;
    } else {
      [low, atLow] = [middle, value];
      if (stayed === -1) atHigh /= 2;
      stayed = -1;
    }
  }
  return (low + high) / 2;
}
