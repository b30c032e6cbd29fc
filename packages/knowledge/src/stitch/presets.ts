import {
  type Hook,
  type Millimetres,
  mm,
  type Surroundings,
  type TakeUp,
  type TurnSet,
  USUAL_FORMER,
  USUAL_TAKE_UP,
  USUAL_TURN,
} from '@nodo/core';

const DEGREE = Math.PI / 180;

/** How machines of a family form their stitch: typical, from memory; the machine's own values stand above it. */
export interface StitchPreset {
  readonly set: TurnSet;
  readonly around: Surroundings;
}

/** What differs from family to family. */
interface Build {
  readonly hook: Pick<Hook, 'motion' | 'axis' | 'radius'>;
  readonly letsGo: number;
  readonly takeUp: TakeUp;
  /** To either side at most. */
  readonly swing: Millimetres;
}

/** Hooks that go to and fro, alike in how far and when they meet the needle. */
const TO_AND_FRO = {
  kind: 'oscillating',
  sweep: 115 * DEGREE,
  before: 70 * DEGREE,
} as const satisfies Hook['motion'];

/**
 * Take-ups that give what their hook wants without pulling the thread tight: linkages of ours, found by search; no
 * machine's.
 */
const DROP_IN: Build = {
  hook: { motion: { kind: 'rotary' }, axis: 'upright', radius: mm(20) },
  letsGo: 200 * DEGREE,
  takeUp: USUAL_TAKE_UP,
  swing: mm(3.5),
};
const DROP_IN_TO_AND_FRO: Build = {
  hook: { motion: TO_AND_FRO, axis: 'upright', radius: mm(17) },
  letsGo: 175 * DEGREE,
  takeUp: {
    bars: { crank: 27.2, coupler: 46.9, rocker: 42.8, ground: 62, built: 'open' },
    phase: 2.389,
    arm: { length: 35.4, turned: -1.146 },
    before: { x: 38.5, y: -61.3 },
    after: { x: 12.5, y: -28.6 },
  },
  swing: mm(2.5),
};
const FRONT_TO_AND_FRO: Build = {
  hook: { motion: TO_AND_FRO, axis: 'level', radius: mm(15) },
  letsGo: 175 * DEGREE,
  takeUp: {
    bars: { crank: 27.4, coupler: 47.6, rocker: 42.6, ground: 61.8, built: 'open' },
    phase: 2.381,
    arm: { length: 35.5, turned: -1.135 },
    before: { x: 37.7, y: -60.4 },
    after: { x: 13.3, y: -27.4 },
  },
  swing: mm(2.5),
};
const FRONT_ROTARY: Build = {
  hook: { motion: { kind: 'rotary' }, axis: 'level', radius: mm(13.5) },
  letsGo: 200 * DEGREE,
  takeUp: {
    bars: { crank: 19.8, coupler: 48.9, rocker: 45.8, ground: 69.3, built: 'open' },
    phase: 2.372,
    arm: { length: 39.7, turned: -1.363 },
    before: { x: 32.2, y: -41.4 },
    after: { x: 11.4, y: -38.8 },
  },
  swing: mm(0),
};

const BUILDS: Readonly<Record<string, Build>> = {
  'drop-in': DROP_IN,
  'drop-in-magnet': DROP_IN_TO_AND_FRO,
  'front-loading': FRONT_TO_AND_FRO,
  'side-needle': FRONT_ROTARY,
  'round-shank': FRONT_ROTARY,
  'straight-fast': FRONT_ROTARY,
  mini: { ...DROP_IN_TO_AND_FRO, swing: mm(0) },
  'round-shank-straight': FRONT_ROTARY,
};

/** Room beside the needle at its widest, and from the eye at its lowest to the case; from memory, typical. */
const BESIDE = 1;
const STRAIGHT_HOLE = mm(0.9);
const ABOVE_CASE = mm(6.5);

/** @returns undefined for a family without a hook */
export function stitchPreset(family: string): StitchPreset | undefined {
  const build = BUILDS[family];
  if (!build) return undefined;
  const { hook, letsGo, takeUp, swing } = build;
  const hole = swing > 0 ? mm(swing + BESIDE) : STRAIGHT_HOLE;
  return {
    set: {
      ...USUAL_TURN,
      takeUp,
      letsGo,
      former: { ...USUAL_FORMER, hook: { ...hook, passes: 1 }, swing },
    },
    around: { plate: hole, foot: hole, case: ABOVE_CASE },
  };
}
