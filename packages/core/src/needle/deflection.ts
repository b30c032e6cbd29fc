import { CoreError } from '../errors/coreError.ts';
import { ellipticE, ellipticF } from '../stitch/elliptic.ts';

/** How a cantilever hangs under a force across its free end, as shares of its length. */
export interface Deflected {
  /** Across. */
  readonly across: number;
  /** By how much the end comes nearer. */
  readonly shorter: number;
  /** Of the end, in radians. */
  readonly slope: number;
}

const MOST_LOAD = 30;

/**
 * A slender cantilever bent as far as it goes by a force that keeps its direction: the elastica.
 * Source: Bisshopp and Drucker, Quarterly of Applied Mathematics 3 (1945).
 * @param load P L^2 / (E I), without a unit, from 0
 * @throws CoreFault `bends-too-far` beyond {@link MOST_LOAD}, where no needle comes.
 */
export function cantilever(load: number): Deflected {
  if (!(load >= 0 && load <= MOST_LOAD)) throw new CoreError('bends-too-far', { load });
  if (load === 0) return { across: 0, shorter: 0, slope: 0 };
  const root = Math.sqrt(load);
  let [low, high] = [0, Math.PI / 2];
  for (let turn = 0; turn < HALVINGS; turn += 1) {
    const slope = (low + high) / 2;
    const { first, m } = parametersOf(slope);
    if (ellipticF(Math.PI / 2, m) - ellipticF(first, m) < root) low = slope;
    else high = slope;
  }
  const slope = (low + high) / 2;
  const { first, m } = parametersOf(slope);
  return {
    across: 1 - (2 / root) * (ellipticE(Math.PI / 2, m) - ellipticE(first, m)),
    shorter: 1 - Math.sqrt((2 * Math.sin(slope)) / load),
    slope,
  };
}

const HALVINGS = 60;

/** Where along the elastica it is clamped, and its parameter m = k^2. */
function parametersOf(slope: number): { readonly first: number; readonly m: number } {
  const m = (1 + Math.sin(slope)) / 2;
  return { first: Math.asin(1 / Math.sqrt(2 * m)), m };
}
