import { type Millimetres, mm, positive } from '../units/quantities.ts';
import { bentStrand, type EyeHold, rootOf } from './bentStrand.ts';

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
  readonly eye: EyeHold;
}

/** The loop that stands out behind the needle, as a curve over the height above the eye. */
export interface Loop {
  /** From eye to fabric. */
  readonly chord: Millimetres;
  /** How far it stands out where it stands out most. */
  readonly bulge: Millimetres;
  /** How far it stands out at a height above the eye; nothing beside the chord. */
  readonly reachAt: (above: Millimetres) => Millimetres;
  /**
   * Places along the strand from the eye to the fabric, as a picture draws them: height above the eye and how far out.
   * @param parts into which it is cut, alike in how much the strand turns
   */
  readonly outline: (parts: number) => readonly LoopPlace[];
}

export interface LoopPlace {
  readonly above: number;
  readonly out: number;
}

/**
 * A strand that cannot stretch, held upright by the fabric, as its eye holds it: {@link bentStrand}.
 * @throws CoreFault `loop-impossible` when more slack is left than such a strand can carry.
 */
export function needleLoop({ free, lift, rise, robbed, eye }: LoopSet): Loop {
  const chord = positive('chord', free - lift + rise);
  const slack = lift - rise - robbed;
  if (slack <= 0) return straight(chord);
  const length = chord + slack;
  const share = chord / length;
  // So little slack that no double tells it from none.
  if (1 - share < 1e-9) return straight(chord);
  const strand = bentStrand(share, eye);
  const placeAt = (phi: number): LoopPlace => {
    const { along, out } = strand.at(phi);
    return { above: along * length, out: out * length };
  };
  return {
    chord: mm(chord),
    bulge: mm(placeAt(strand.widest).out),
    reachAt: (above) => {
      if (above < 0 || above >= chord) return mm(0);
      if (above === 0 && strand.lowest === strand.begin) return mm(0);
      // Above where it is lowest there is one place at each height.
      const phi = rootOf((at) => placeAt(at).above - above, strand.lowest, strand.end);
      return mm(Math.max(0, placeAt(phi).out));
    },
    outline: (parts) =>
      cut(parts, (part) => placeAt(strand.begin + part * (strand.end - strand.begin))),
  };
}

function straight(chord: number): Loop {
  return {
    chord: mm(chord),
    bulge: mm(0),
    reachAt: () => mm(0),
    outline: (parts) => cut(parts, (part) => ({ above: part * chord, out: 0 })),
  };
}

/** What stands at the ends of so many parts of a whole. */
function cut<Place>(parts: number, at: (part: number) => Place): readonly Place[] {
  return Array.from({ length: parts + 1 }, (_, index) => at(index / parts));
}
