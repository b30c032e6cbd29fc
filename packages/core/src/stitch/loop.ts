import { CoreError } from '../errors/coreError.ts';
import { type Millimetres, mm, positive } from '../units/quantities.ts';
import { ellipticE, ellipticF } from './elliptic.ts';

/** The thread behind the needle between fabric and eye, while the needle rises. */
export interface LoopSet {
  /** Length of thread between fabric and eye when the needle is lowest. */
  readonly free: Millimetres;
  /** How far the needle has risen from there. */
  readonly lift: Millimetres;
  /** How far the fabric rose with it. */
  readonly rise: Millimetres;
  /** Thread that went back through the eye. */
  readonly robbed: Millimetres;
}

/** The loop that stands out behind the needle, as a curve over the height above the eye. */
export interface Loop {
  /** From eye to fabric. */
  readonly chord: Millimetres;
  /** How far it stands out at its middle. */
  readonly bulge: Millimetres;
  /** How far it stands out at a height above the eye; nothing beside the chord. */
  readonly reachAt: (above: Millimetres) => Millimetres;
  /**
   * Places along the strand from the eye to the fabric, as a picture draws them: height above the eye and how far out.
   * @param parts into which it is cut, alike in how much the strand turns
   */
  readonly outline: (parts: number) => readonly { readonly above: number; readonly out: number }[];
}

/** No thread stands out by more than this share of its length: the hook would be long past. */
const MOST_SLACK = 0.6;

/**
 * A strand that cannot stretch, held upright at both ends: the true elastica of a clamped strut. With
 * k = sin(a/2), a the greatest slope: chord / length = 2 E(k)/K(k) - 1, bulge / length = k / K(k).
 * Source: Timoshenko and Gere 1961, the elastica; two quarter waves of it from each end.
 * @throws CoreFault `loop-impossible` when more slack is left than such a strand can carry.
 */
export function needleLoop({ free, lift, rise, robbed }: LoopSet): Loop {
  const chord = positive('chord', free - lift + rise);
  const slack = lift - rise - robbed;
  if (slack <= 0) {
    return {
      chord: mm(chord),
      bulge: mm(0),
      reachAt: () => mm(0),
      outline: (parts) => cut(parts, (share) => ({ above: share * chord, out: 0 })),
    };
  }
  const length = chord + slack;
  if (slack > MOST_SLACK * length) throw new CoreError('loop-impossible', { slack, length });
  const m = parameterFor(chord / length);
  const k = Math.sqrt(m);
  const wave = (4 * ellipticF(Math.PI / 2, m)) / length;
  const along = (phi: number) => (2 * ellipticE(phi, m) - ellipticF(phi, m)) / wave;
  const out = (phi: number) => ((2 * k) / wave) * (1 - Math.cos(phi));
  return {
    chord: mm(chord),
    bulge: mm(out(Math.PI)),
    reachAt: (above) => {
      const height = Math.min(above, chord - above);
      if (height <= 0) return mm(0);
      return mm(out(root((phi) => along(phi) - height, 0, Math.PI)));
    },
    // Half a wave to the middle; the other half is its mirror image.
    outline: (parts) =>
      cut(parts, (share) => {
        const phi = share * 2 * Math.PI;
        return phi <= Math.PI
          ? { above: along(phi), out: out(phi) }
          : { above: chord - along(2 * Math.PI - phi), out: out(phi) };
      }),
  };
}

/** What stands at the ends of so many parts of a whole. */
function cut<Place>(parts: number, at: (share: number) => Place): readonly Place[] {
  return Array.from({ length: parts + 1 }, (_, index) => at(index / parts));
}

/** The parameter m = k^2 at which a clamped strand keeps this share of its length as chord. */
function parameterFor(share: number): number {
  const K = Math.PI / 2;
  return root((m) => share - ((2 * ellipticE(K, m)) / ellipticF(K, m) - 1), 0, 0.9);
}

/** Where a rising function crosses zero, by halving: sixty halvings leave nothing of a double. */
function root(rising: (at: number) => number, low: number, high: number): number {
  for (let turn = 0; turn < 60; turn += 1) {
    const middle = (low + high) / 2;
    if (rising(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
