import {
  leastAdjustments,
  meetingsOf,
  mm,
  SEATED,
  turnOf,
  USUAL_FORMER,
  USUAL_TURN,
} from '@nodo/core';
import { STITCH_FAULTS } from '@nodo/knowledge';
import { spreadOf } from '../scripts/lib/spread.mjs';

const STEPS = 720;
const ROUNDS = 200;
/** Sines in the fixed loop that a turn is told against: machines differ, their ratio does not. */
const SINES = 20_000;
/** What a turn may take: a third of a frame at sixty a second. */
const THIRD_OF_A_FRAME_MS = 1_000 / 60 / 3;

const THREAD = mm(0.25);

function median(rounds: number, work: () => unknown): number {
  work();
  const times = Array.from({ length: rounds }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
  return spreadOf(times, 3)(0.5);
}

/** Kept, so that no compiler leaves the loop out. */
let sum = 0;
function fixedLoop(): void {
  for (let step = 0; step < SINES; step += 1) sum += Math.sin(step + sum * 1e-9);
}

function turns() {
  const [turnMs, meetingsMs, loopMs] = [
    median(ROUNDS, () => turnOf(USUAL_TURN, STEPS)),
    median(ROUNDS, () => meetingsOf(USUAL_FORMER, SEATED, THREAD)),
    median(ROUNDS, fixedLoop),
  ];
  const adjustMs = STITCH_FAULTS.map(({ apply }) =>
    median(3, () =>
      leastAdjustments(apply({ former: USUAL_FORMER, seat: SEATED }), THREAD, {
        needle: 1,
        timing: 25,
        bar: 15,
        gap: 12,
      }),
    ),
  );
  return {
    turnMs,
    thirdsOfAFrame: Number((turnMs / THIRD_OF_A_FRAME_MS).toFixed(3)),
    meetingsMs,
    loopMs,
    timesTheLoop: Number((turnMs / loopMs).toFixed(2)),
    adjustMs: spreadOf(adjustMs, 1)(1),
    fixed: Number.isFinite(sum),
  };
}

export const stitchBenches = [{ name: 'stitch/turn-720', run: turns }];
