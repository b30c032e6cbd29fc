import { describe, expect, it } from 'vitest';
import {
  leftBelow,
  mm,
  pointAt,
  SEATED,
  STRAND_VALUES,
  sceneOf,
  TOP_THREADS,
  turnOf,
  USUAL_TURN,
} from '../src/index.ts';

const STEPS = 720;
const THREAD = mm(0.2);
const scene = sceneOf(USUAL_TURN, SEATED, THREAD, STEPS);

describe('a scene', () => {
  it('has the turn that is computed alone, and the point on its circle at every step', () => {
    const turn = turnOf(USUAL_TURN, STEPS);
    expect(scene.turn.lift).toEqual(turn.lift);
    const { radius } = USUAL_TURN.former.hook;
    for (let step = 0; step < STEPS; step += 17) {
      const [across = 0, back = 0] = [scene.point.across[step], scene.point.back[step]];
      // An upright axis stands the radius before the point at its meeting.
      expect(Math.hypot(across, back + radius)).toBeCloseTo(radius, 9);
      expect(scene.point.down[step]).toBe(0);
    }
    const level = { ...USUAL_TURN.former.hook, axis: 'level' as const };
    const { across, back, down } = pointAt(level, 1.2);
    expect([Math.hypot(across, radius - down), back]).toEqual([radius, 0]);
  });

  it('shows the loop growing from nothing to the one at the meeting', () => {
    expect(scene.swings).toHaveLength(3);
    for (const { meeting, passedAt, strands, atMeeting } of scene.swings) {
      expect(strands).toHaveLength((passedAt + 1) * STRAND_VALUES);
      const outs = (from: number) =>
        Array.from(strands.subarray(from * STRAND_VALUES, (from + 1) * STRAND_VALUES)).filter(
          (_, index) => index % 2 === 1,
        );
      expect(Math.max(...outs(0))).toBe(0);
      // The step after the meeting shows a loop that has grown a little on.
      expect(Math.max(...outs(passedAt))).toBeGreaterThanOrEqual(meeting.bulge - 0.02);
      expect(Math.max(...outs(passedAt - 1))).toBeLessThan(meeting.bulge + 0.02);
      expect(atMeeting.at(-2)).toBeCloseTo(meeting.chord, 4);
      expect((scene.turn.shaft[passedAt] ?? 0) >= meeting.shaft).toBe(true);
      expect((scene.turn.shaft[passedAt - 1] ?? 0) < meeting.shaft).toBe(true);
    }
  });

  it('is finer with more steps, not another one', () => {
    const finer = sceneOf(USUAL_TURN, SEATED, THREAD, 2 * STEPS);
    expect(finer.letGoAt / 2).toBeCloseTo(scene.letGoAt, -0.5);
    expect(finer.swings[1]?.meeting).toEqual(scene.swings[1]?.meeting);
  });
});

describe('what stays below', () => {
  it('is nothing while the discs hold, all of the way round when the take-up is missed', () => {
    const [held = -1, open = -1, missed = -1] = TOP_THREADS.map((top) =>
      leftBelow(USUAL_TURN, scene.turn, top),
    );
    expect(held).toBe(0);
    expect(open).toBeGreaterThan(20);
    expect(missed).toBeGreaterThan(open / 2);
    expect(missed).toBeCloseTo(80.46, 1);
  });
});
