import { mm, USUAL_MEETING } from '@nodo/core';
import { SHIPPED } from '@nodo/knowledge';
import { newMachineProfile } from '@nodo/shop';
import { describe, expect, it } from 'vitest';
import {
  angleLimitOf,
  azimuthOf,
  effectOf,
  findingsOf,
  isAnswered,
  meetingOf,
  rightReading,
  type SeatReading,
  type SeatTarget,
  seatEntries,
  sideTapped,
  sitsRight,
  targetAngle,
  UNLOOKED,
} from '../src/instruments/needle/seat/seatReading.ts';

const BACK: SeatTarget = { faces: 'back', angle: 0, round: false };
const ROUND: SeatTarget = { ...BACK, round: true };
const THREAD = mm(0.2);
const card = (angle?: readonly [number, number]) => ({
  ...newMachineProfile('round-shank', 'Head'),
  service: angle
    ? { 'needle-angle': { least: angle[0], most: angle[1], from: 'Manual, page 3' } }
    : {},
});

const shown = (reading: SeatReading, target = BACK) =>
  Object.entries(findingsOf(reading, target)).flatMap(([id, is]) => (is ? [id] : []));

describe('what a seat shows', () => {
  const right = rightReading(BACK);

  it('is nothing while nobody looked, and nothing when it sits right', () => {
    expect(shown(UNLOOKED)).toEqual([]);
    expect([isAnswered(UNLOOKED), isAnswered(right)]).toEqual([false, true]);
    expect(shown(right)).toEqual([]);
    expect(sitsRight(right, BACK)).toBe(true);
  });

  it.each([
    ['a slack clamp', { clamp: 'moves' }, ['clamp-slack']],
    ['pushed up by more than the tolerance of .2 mm', { low: 0.3 }, ['needle-short-of-stop']],
    ['pushed up by no more than it', { low: 0.2 }, []],
    ['something in the way of the stop', { low: 'blocked' }, ['stops-early']],
    ['the scarf to the front', { faces: 'front' }, ['needle-wrong-way']],
  ] as const)('%s', (_, change, findings) => {
    expect(shown({ ...right, ...change })).toEqual(findings);
  });

  it('is an angle only where a round shank can be turned by degrees', () => {
    expect(shown({ ...right, angle: 9 })).toEqual([]);
    expect(shown({ ...right, angle: 9 }, ROUND)).toEqual(['needle-off-square']);
    expect(shown({ ...right, angle: -5 }, ROUND)).toEqual([]);
    // Set at ten degrees on purpose: square is what is wrong there.
    expect(shown({ ...right, angle: 0 }, { ...ROUND, angle: 10 })).toEqual(['needle-off-square']);
    expect(shown({ ...right, angle: 12 }, { ...ROUND, angle: 10 })).toEqual([]);
  });
});

describe('directions', () => {
  it('go clockwise as seen from above, from the back on', () => {
    expect((['back', 'right', 'front', 'left'] as const).map((side) => azimuthOf(side, 0))).toEqual(
      [0, 90, 180, 270],
    );
    // Turned to the operator's left is against the clock.
    expect(azimuthOf('front', 10)).toBe(170);
  });
});

describe('what the machine’s own card says', () => {
  it('goes before common practice', () => {
    expect(targetAngle(undefined)).toBe(0);
    expect(angleLimitOf(undefined)).toEqual({ least: -5, most: 5, standing: 'common-practice' });
    expect(targetAngle(card([8, 12]))).toBe(10);
    expect(angleLimitOf(card([8, 12]))).toEqual({ least: 8, most: 12, standing: 'shop' });
    // One value is a target, not a limit.
    expect(angleLimitOf(card([10, 10]))).toEqual({
      least: 5,
      most: 15,
      standing: 'common-practice',
    });
  });

  it('sets where the hook meets the needle', () => {
    const service = {
      'hook-gap': { least: 0.05, most: 0.15, from: 'Manual, page 12' },
      'loop-lift': { least: 2, most: 2.4, from: 'Manual, page 12' },
    };
    const own = meetingOf({ ...newMachineProfile('drop-in', 'Teal'), service });
    expect(own.gap).toBeCloseTo(0.1, 12);
    expect(own.loop.lift).toBeCloseTo(2.2, 12);
    expect(own.aboveEye).toBe(USUAL_MEETING.aboveEye);
    expect(meetingOf(undefined)).toEqual(USUAL_MEETING);
  });
});

describe('what the hook finds', () => {
  const effect = (change: Partial<SeatReading>, target = BACK) =>
    effectOf({ ...rightReading(target), ...change }, target, THREAD, USUAL_MEETING);

  it('is a loop where the needle sits right, none where it is backward', () => {
    const right = effect({});
    expect(right.skips).toBeLessThan(0.01);
    expect(effect({ faces: 'front' }).skips).toBeGreaterThan(0.99);
    // What was not looked at yet counts as it should be.
    const unlooked = effectOf(UNLOOKED, BACK, THREAD, USUAL_MEETING);
    expect([unlooked.margin, unlooked.skips]).toEqual([right.margin, right.skips]);
  });

  it('is the same whichever side the scarf has to face', () => {
    for (const faces of ['left', 'right', 'front'] as const) {
      expect(effect({}, { ...BACK, faces }).margin).toBeCloseTo(effect({}).margin, 9);
    }
  });
});

describe('what is kept', () => {
  const model = SHIPPED.modelOf('drop-in');
  if (!model) throw new Error('no such family');
  const entries = (readings: readonly SeatReading[], target = BACK) =>
    seatEntries(
      new Map(readings.map((reading, index) => [index + 1, reading])),
      target,
      model,
      'found',
      angleLimitOf(undefined),
    );

  it('is each check of this machine with all its answers, and what was measured', () => {
    const kept = entries([{ ...rightReading(BACK), low: 1.5, faces: 'front' }]);
    expect(kept).toContainEqual([
      'findings-recorded',
      { check: 'needle-facing', answers: { 'needle-wrong-way': 'yes' } },
    ]);
    expect(kept).toContainEqual([
      'findings-recorded',
      { check: 'needle-seat', answers: { 'needle-short-of-stop': 'yes', 'stops-early': 'no' } },
    ]);
    expect(kept.flatMap(([type, command]) => (type === 'measured' ? [command] : []))).toEqual([
      {
        quantity: 'needle-short',
        value: 1.5,
        when: 'found',
        at: 1,
        limit: { least: 0, most: 0.2, standing: 'typical' },
      },
    ]);
    // A flat shank cannot be turned by degrees: nothing is asked of it.
    expect(
      kept.some(([, command]) => 'check' in command && command.check === 'needle-square'),
    ).toBe(model.checks.has('needle-square'));
  });

  it('names of a head only the needles that are off', () => {
    const right = rightReading(ROUND);
    const kept = entries([right, { ...right, angle: -9 }, right], ROUND);
    const measured = kept.flatMap(([type, command]) => (type === 'measured' ? [command] : []));
    expect(measured.map(({ quantity, value, at }) => [quantity, value, at])).toEqual([
      ['needle-short', 0, 2],
      ['needle-angle', -9, 2],
    ]);
  });
});

describe('a tap on the needle from below', () => {
  it.each([
    ['above its middle', 2, -30, 'back'],
    ['below it', -4, 25, 'front'],
    ['on the left of the screen', -30, 8, 'right'],
    ['on the right of the screen', 22, -20, 'left'],
  ])('%s means the side that is there on the machine', (_, x, y, side) => {
    expect(sideTapped(x, y)).toBe(side);
  });
});
