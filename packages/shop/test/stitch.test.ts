import {
  adjusted,
  barAt,
  leastAdjustments,
  meetingsOf,
  mm,
  SEATED,
  USUAL_FORMER,
  USUAL_MEETING,
} from '@nodo/core';
import { foldTicket, type Ticket } from '@nodo/ticket';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  hookSettings,
  meetingTargets,
  needleAngle,
  questionOf,
  readAt,
  rightSettings,
  SETTING_NAMES,
  SLIDERS,
  type SliderName,
  type StitchSettings,
  sameSettings,
  stitchMachine,
  stitchSettings,
  ticketSettings,
  withAdjustment,
  withinSliders,
} from '../src/index.ts';

const machineOf = (family: string, service = {}) => {
  const machine = stitchMachine(family, service);
  if (!machine) throw new Error(`no hook on ${family}`);
  return machine;
};
const DROP_IN = machineOf('drop-in');
const RIGHT = rightSettings(DROP_IN, { thread: 0.2, size: undefined });
const from = 'Manual, page 12';

/** Settings as somebody may slide them, in the steps of the sliders. */
const anySettings: fc.Arbitrary<StitchSettings> = fc.record({
  ...(Object.fromEntries(
    Object.entries(SLIDERS).map(([name, { least, most, step }]) => [
      name,
      fc
        .integer({ min: 0, max: Math.round((most - least) / step) })
        .map((at) => Math.round((least + at * step) * 1000) / 1000),
    ]),
  ) as Record<SliderName, fc.Arbitrary<number>>),
  backward: fc.boolean(),
  spring: fc.boolean(),
  size: fc.constantFrom(60, 80, 90, 110),
});

describe('a machine by its record', () => {
  it('is typical where that says nothing', () => {
    expect(DROP_IN.own.size).toBe(0);
    expect(DROP_IN.preset.set.former.meeting).toEqual(USUAL_FORMER.meeting);
    expect(meetingTargets({}).lift).toEqual({
      least: 2,
      most: 2.4,
      aim: USUAL_MEETING.loop.lift,
    });
    expect(stitchMachine('overlocker', {})).toBeUndefined();
    expect(needleAngle({})).toBe(0);
  });

  it('has its own values above the typical ones', () => {
    const own = machineOf('front-loading', {
      'loop-lift': { least: 2.4, most: 2.6, from },
      'hook-above-eye': { least: 1.2, most: 1.4, from },
      'hook-gap': { least: 0.02, most: 0.08, from },
      'needle-stroke': { least: 28, most: 28, from },
      'swing-width': { least: 6, most: 6, from },
      'hook-across': { least: 29, most: 29, from },
    });
    const { former } = own.preset.set;
    expect(barAt(former.bar, Math.PI).lift).toBeCloseTo(28, 9);
    expect(barAt(former.bar, former.meetsAt).lift).toBeCloseTo(2.5, 9);
    expect(former.meeting.aboveEye).toBeCloseTo(1.3, 9);
    expect(former.meeting.gap).toBeCloseTo(0.05, 9);
    expect([former.swing, former.hook.radius]).toEqual([3, 14.5]);
    // A wider swing takes its hole and its foot along.
    const typical = machineOf('front-loading').preset.around;
    expect(own.preset.around.plate - typical.plate).toBeCloseTo(0.5, 9);
    expect(own.own.size).toBe(6);
    expect(needleAngle({ 'needle-angle': { least: 8, most: 12, from } })).toBe(10);
  });

  it('is refused where its values contradict each other', () => {
    const service = {
      'loop-lift': { least: 30, most: 30, from },
      'needle-stroke': { least: 20, most: 20, from },
    };
    expect(() => stitchMachine('drop-in', service)).toThrow('not-so-far');
  });
});

describe('settings', () => {
  it('as they should be are the machine itself', () => {
    const { set, seat } = questionOf(DROP_IN, RIGHT);
    const { former } = DROP_IN.preset.set;
    expect(seat).toEqual(SEATED);
    expect(set.former.meetsAt).toBe(former.meetsAt);
    expect(set.former.meeting).toEqual(former.meeting);
    expect(set.former.loop).toEqual(former.loop);
    expect(readAt({ set, seat })).toEqual({
      lift: barAt(former.bar, former.meetsAt).lift,
      aboveEye: 1.5,
      gap: former.meeting.gap,
    });
  });

  it('move the hook as the core adjusts it', () => {
    const { set } = questionOf(DROP_IN, { ...RIGHT, late: 4, deep: 0.5 });
    const setup = { former: DROP_IN.preset.set.former, seat: SEATED };
    const late = adjusted(setup, 'timing', (4 * Math.PI) / 180);
    const deep = adjusted({ ...late, seat: SEATED }, 'bar', -0.5).former;
    expect(set.former.meetsAt).toBeCloseTo(deep.meetsAt, 12);
    expect(set.former.meeting.aboveEye).toBeCloseTo(deep.meeting.aboveEye, 12);
  });

  it('of a needle, a thread, a spring do what they say', () => {
    const at = (change: Partial<StitchSettings>) => {
      const { set, seat, thread } = questionOf(DROP_IN, { ...RIGHT, ...change });
      const [left] = meetingsOf(set.former, seat, mm(thread));
      return left?.margin ?? Number.NaN;
    };
    for (const worse of [
      { spring: true },
      { rise: 1.2 },
      { turned: 40 },
      { backward: true },
      { thread: 0.4 },
      { gap: 0.6 },
    ]) {
      expect(at(worse), JSON.stringify(worse)).toBeLessThan(at({}));
    }
    // A thread that fills the eye is held upright by it.
    expect(questionOf(DROP_IN, { ...RIGHT, thread: 0.3 }).set.former.loop.eye).toBe('upright');
  });

  it('with the least adjustment made leave what that says', () => {
    for (const found of [
      { ...RIGHT, turned: 60 },
      { ...RIGHT, late: -14 },
      { ...RIGHT, deep: -2 },
      { ...RIGHT, gap: 1.2 },
    ]) {
      const { set, seat, thread } = questionOf(DROP_IN, found);
      const minutes = { needle: 1, timing: 25, bar: 20, gap: 20 };
      const changes = leastAdjustments({ former: set.former, seat }, mm(thread), minutes);
      expect(changes.length).toBeGreaterThan(0);
      for (const { setting, change, meetings } of changes) {
        const then = questionOf(DROP_IN, withAdjustment(found, RIGHT, setting, change));
        const margins = meetingsOf(then.set.former, then.seat, mm(thread));
        for (const [index, { margin }] of margins.entries()) {
          expect(margin).toBeCloseTo(meetings[index]?.margin ?? Number.NaN, 6);
        }
      }
    }
  });

  it('are valid as they slide, and held within what slides', () => {
    fc.assert(
      fc.property(anySettings, (settings) => {
        expect(stitchSettings.parse(settings)).toEqual(settings);
        expect(sameSettings(withinSliders(settings), settings)).toBe(true);
      }),
    );
    expect(withinSliders({ ...RIGHT, low: 9, turned: -200 })).toMatchObject({
      low: SLIDERS.low.most,
      turned: SLIDERS.turned.least,
    });
    expect(SETTING_NAMES).toHaveLength(Object.keys(RIGHT).length);
  });
});

/** A ticket on which these were read and seen; nothing else of it matters here. */
function ticketWith(
  measures: readonly Partial<Ticket['life']['measures'][number]>[],
  findings: readonly string[] = [],
): Ticket {
  const empty = foldTicket('00000000-0000-4000-8000-000000000000', []);
  return {
    ...empty,
    life: { ...empty.life, measures: measures as Ticket['life']['measures'] },
    answers: findings.map((finding) => ({
      finding,
      present: true,
    })) as unknown as Ticket['answers'],
  };
}

describe('what a ticket says', () => {
  it('is what was read last, as found and as set apart', () => {
    const { found, set, taken } = ticketSettings(
      ticketWith([
        { quantity: 'needle-short', value: 3, when: 'found' },
        { quantity: 'needle-short', value: 1.5, when: 'found' },
        { quantity: 'needle-angle', value: 13, when: 'found' },
        { quantity: 'hook-gap', value: 0.3, when: 'found', swing: 'middle' },
        { quantity: 'hook-gap', value: 0.9, when: 'found', swing: 'right' },
        { quantity: 'hook-gap', value: 0.07, when: 'set', swing: 'middle' },
      ]),
      DROP_IN,
      3,
    );
    expect(found).toEqual({ low: 1.5, turned: 10, gap: 0.3 });
    expect(set).toEqual({ gap: 0.07, backward: false });
    expect(taken.size).toBe(0);
  });

  it('tells hook and bar apart by lift and height', () => {
    const { former } = DROP_IN.preset.set;
    for (const [late, deep] of [
      [4, 0],
      [0, 0.6],
      [-5, -0.4],
    ] as const) {
      const question = questionOf(DROP_IN, { ...RIGHT, late, deep });
      const { lift, aboveEye } = readAt(question);
      const read = hookSettings(lift, aboveEye, DROP_IN);
      expect(read.late).toBeCloseTo(late, 6);
      expect(read.deep).toBeCloseTo(deep, 6);
    }
    expect(hookSettings(undefined, undefined, DROP_IN)).toEqual({});
    expect(hookSettings(99, 1, DROP_IN)).toEqual({});
    expect(former.hook.passes).toBe(1);
  });

  it('is taken for something where it was only seen', () => {
    const { found, taken } = ticketSettings(
      ticketWith(
        [{ quantity: 'needle-short', value: 0.8, when: 'found' }],
        ['needle-wrong-way', 'needle-short-of-stop'],
      ),
      DROP_IN,
      0,
    );
    expect(found).toEqual({ backward: true, low: 0.8 });
    expect([...taken]).toEqual(['backward']);
  });
});
