import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  barAt,
  hookCircuit,
  KNOT_SHARPNESS,
  knotOf,
  mm,
  showsOn,
  takeUpAt,
  turnOf,
  USUAL_FORMER,
  USUAL_TAKE_UP,
  USUAL_TURN,
} from '../src/index.ts';

const DEGREE = Math.PI / 180;
const STEPS = 720;
const turn = turnOf(USUAL_TURN, STEPS);
/** The step at so many degrees after the needle's lowest. */
const stepAt = (degrees: number) => Math.round((degrees * STEPS) / 360) % STEPS;

describe('a turn', () => {
  it('has what each part computes alone at every step', () => {
    for (const degrees of [0, 27, 90, 180, 271]) {
      const step = stepAt(degrees);
      const shaft = turn.shaft[step] ?? Number.NaN;
      expect(shaft).toBeCloseTo(degrees * DEGREE, 2);
      expect(turn.lift[step]).toBe(barAt(USUAL_FORMER.bar, shaft).lift);
      const { eye } = takeUpAt(USUAL_TAKE_UP, shaft);
      expect([turn.takeUp.x[step], turn.takeUp.y[step]]).toEqual([eye.x, eye.y]);
    }
    expect(turn.lift[stepAt(180)]).toBeCloseTo(31, 9);
  });

  it('has a take-up whose speed is the difference of its places', () => {
    const small = 1e-6;
    for (let degrees = 0; degrees < 360; degrees += 24) {
      const shaft = degrees * DEGREE;
      const [before, at, after] = [shaft - small, shaft, shaft + small].map((one) =>
        takeUpAt(USUAL_TAKE_UP, one),
      );
      if (!before || !at || !after) throw new Error('three places');
      expect(at.perRadian.x).toBeCloseTo((after.eye.x - before.eye.x) / (2 * small), 5);
      expect(at.perRadian.y).toBeCloseTo((after.eye.y - before.eye.y) / (2 * small), 5);
    }
  });

  it('draws the stitch tight after the needle’s highest, before it is down in the fabric again', () => {
    expect(turn.given[turn.tightAt]).toBe(0);
    expect(turn.slack[turn.tightAt]).toBe(0);
    expect(turn.tightAt).toBeGreaterThan(stepAt(180));
    expect(turn.tightAt).toBeLessThan(stepAt(307));
    for (const slack of turn.slack.slice(stepAt(130))) expect(slack).toBeGreaterThanOrEqual(0);
  });

  it('of a machine that sews well never pulls its thread tight but where the stitch is drawn', () => {
    expect(Math.min(...turn.slack)).toBe(0);
    const untilLetGo = turn.slack.slice(0, stepAt(126));
    expect(Math.min(...untilLetGo)).toBeGreaterThan(1);
  });

  it('wants most while the hook carries the loop round, and little once it has let go', () => {
    const most = Math.max(...turn.wanted);
    const at = turn.wanted.indexOf(most);
    expect(at).toBeGreaterThan(stepAt(90));
    expect(at).toBeLessThan(stepAt(130));
    const letGo = stepAt(27.08 + 100) + 2;
    expect(turn.wanted[letGo - 4]).toBeGreaterThan(70);
    expect(turn.wanted[letGo]).toBeLessThan(20);
    // Opposite the needle, behind the whole case.
    expect(hookCircuit(USUAL_TURN)).toBeCloseTo(2 * Math.hypot(40, 8 - 2.2 - 1.5), 1);
  });

  it('with a larger hook wants more than is given, and pulls the thread tight', () => {
    const hook = { ...USUAL_FORMER.hook, radius: mm(24) };
    const larger = turnOf({ ...USUAL_TURN, former: { ...USUAL_FORMER, hook } }, STEPS);
    expect(Math.min(...larger.slack)).toBeLessThan(-5);
  });

  it('with a hook that goes to and fro holds the loop until it lets go, or cannot be', () => {
    const motion = { kind: 'oscillating', sweep: 105 * DEGREE, before: 85 * DEGREE } as const;
    const former = { ...USUAL_FORMER, hook: { ...USUAL_FORMER.hook, motion, radius: mm(14) } };
    const oscillating = turnOf({ ...USUAL_TURN, former, letsGo: 180 * DEGREE }, STEPS);
    expect(Math.max(...oscillating.hook)).toBeCloseTo(190 * DEGREE, 3);
    expect(Math.max(...oscillating.wanted)).toBeGreaterThan(50);
    expect(() => turnOf({ ...USUAL_TURN, former, letsGo: 200 * DEGREE }, STEPS)).toThrow(
      'never-lets-go',
    );
  });

  it('is refused where nothing turns, or with too few steps', () => {
    expect(() => turnOf(USUAL_TURN, 12)).toThrow('too-few-steps');
    const takeUp = { ...USUAL_TAKE_UP, bars: { ...USUAL_TAKE_UP.bars, coupler: 5 } };
    expect(() => turnOf({ ...USUAL_TURN, takeUp }, STEPS)).toThrow('linkage-impossible');
  });

  it('is the same whatever the number of its steps', () => {
    const finer = turnOf(USUAL_TURN, 2 * STEPS);
    for (const step of [0, 40, 99, 360, 500]) {
      // Against where it was drawn tight, which is found to half a step.
      expect(Math.abs((finer.slack[2 * step] ?? 0) - (turn.slack[step] ?? 0))).toBeLessThan(0.3);
    }
  });
});

describe('the knot', () => {
  const pull = fc.double({ min: 0.1, max: 500, noNaN: true });

  it('lies in the middle between equal pulls, and at the side that alone pulls', () => {
    expect(knotOf(20, 20)).toEqual({ depth: 0.5, balance: 0 });
    expect(knotOf(1, 0)).toEqual({ depth: 0, balance: -1 });
    expect(knotOf(0, 1)).toEqual({ depth: 1, balance: 1 });
    expect(() => knotOf(0, 0)).toThrow('no-pull');
    expect(() => knotOf(1, 1, 0)).toThrow('not-above-nothing');
  });

  it('rises with the top thread’s pull, mirrors, and does not hang on the unit', () => {
    fc.assert(
      fc.property(pull, pull, (top, bobbin) => {
        const { depth } = knotOf(top, bobbin);
        expect(knotOf(top * 1.1, bobbin).depth).toBeLessThan(depth);
        expect(knotOf(bobbin, top).depth).toBeCloseTo(1 - depth, 12);
        expect(knotOf(top * 9.81, bobbin * 9.81).depth).toBeCloseTo(depth, 12);
        // The trade's formula as it stands.
        expect(depth).toBeCloseTo(1 / (1 + (top / bobbin) ** KNOT_SHARPNESS), 9);
      }),
    );
  });

  it('shows on the face that it is nearer to than a thread is thick; on both where the fabric is thin', () => {
    expect(showsOn({ depth: 0.5 }, 1, 0.25)).toEqual({ top: false, bottom: false });
    expect(showsOn({ depth: 0.1 }, 1, 0.25)).toEqual({ top: true, bottom: false });
    expect(showsOn({ depth: 0.9 }, 1, 0.25)).toEqual({ top: false, bottom: true });
    expect(showsOn({ depth: 0.5 }, 0.4, 0.25)).toEqual({ top: true, bottom: true });
  });
});
