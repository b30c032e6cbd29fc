import { barAt, mm, SEATED, sceneOf, targetsAt } from '@nodo/core';
import { modelOf } from '@nodo/knowledge';
import {
  questionOf,
  rightSettings,
  type StitchSettings,
  sameSettings,
  stitchMachine,
} from '@nodo/shop';
import { describe, expect, it } from 'vitest';
import { bladeSection } from '../src/drawing/stitch/needleShape.ts';
import { PHASES, phaseAt, phaseStarts } from '../src/drawing/stitch/phases.ts';
import { fixedIn, type PictureSet, pictureAt } from '../src/drawing/stitch/stitchPicture.ts';
import { isTakenAt, swingPlace } from '../src/instruments/stitch/scene/account.ts';
import { addressOf, settingsIn } from '../src/instruments/stitch/settings/settingsAddress.ts';
import {
  cellsOf,
  looksOf,
  measuresOf,
  NO_READINGS,
  type TypedReadings,
  verdictOf,
} from '../src/instruments/stitch/timing/timingReading.ts';
import {
  headlineOf,
  seenSigns,
  struckBy,
  worstSwing,
} from '../src/instruments/stitch/why/verdict.ts';

const STEPS = 720;
const DEGREE = Math.PI / 180;

function machineOf(family: string) {
  const machine = stitchMachine(family, {});
  if (!machine) throw new Error(family);
  return machine;
}
const DROP_IN = machineOf('drop-in');
const FRONT = machineOf('front-loading');
const RIGHT = rightSettings(DROP_IN, { thread: 0.2, size: undefined });

function scened(change: Partial<StitchSettings> = {}, machine = DROP_IN) {
  const settings = { ...rightSettings(machine, { thread: 0.2, size: undefined }), ...change };
  const question = questionOf(machine, settings);
  const { set, seat, thread } = question;
  return { settings, question, scene: sceneOf(set, seat, mm(thread), STEPS) };
}

function pictureSet(swing: number, change: Partial<StitchSettings> = {}, machine = DROP_IN) {
  const { question, scene } = scened(change, machine);
  const at = scene.swings[swing];
  if (!at) throw new Error('no such swing');
  return { question, scene, swing: at, isTaken: isTakenAt(at) } satisfies PictureSet;
}

describe('the picture', () => {
  it('has the eye where the bar has lifted it, and the point where the hook has turned', () => {
    for (const machine of [DROP_IN, FRONT]) {
      const set = pictureSet(1, {}, machine);
      const { former } = set.question.set;
      for (const degrees of [0, 20, 60, 110, 250]) {
        const step = degrees * 2;
        const behind = pictureAt(set, step, 'behind');
        expect(behind.eye[1]).toBeCloseTo(barAt(former.bar, degrees * DEGREE).lift - 8, 9);
        const turned = set.scene.turn.hook[step] ?? 0;
        // Mirrored: what passes to the right goes to the left.
        const radius: number = former.hook.radius;
        expect(behind.point[0]).toBeCloseTo(-radius * Math.sin(turned), 9);
      }
    }
  });

  it('stands the point at the needle, the gap from its scarf, as it passes at any swing', () => {
    for (const machine of [DROP_IN, FRONT]) {
      for (const swing of [0, 1, 2]) {
        const set = pictureSet(swing, {}, machine);
        const { half, scarf } = fixedIn(set);
        const { gap, swing: across, meetsAt } = set.swing.meeting;
        const section = pictureAt(set, set.swing.passedAt, 'section');
        // Half a degree is the step of a scene.
        expect(Math.abs(section.point[0] - (half - scarf.depth + gap))).toBeLessThan(0.12);
        const behind = pictureAt(set, set.swing.passedAt, 'behind');
        expect(Math.abs(behind.point[0] + across)).toBeLessThan(0.4);
        expect(Math.abs(behind.point[1] - behind.eye[1] - meetsAt)).toBeLessThan(0.1);
        expect(section.isPointAway).toBe(false);
      }
    }
  });

  it('draws the loop from the eye to the fabric, to the other side of a needle that is in backward', () => {
    const rightmost = (set: PictureSet) =>
      Math.max(...pictureAt(set, set.swing.passedAt, 'section').back.map(([right]) => right));
    const set = pictureSet(1);
    const { half, scarf } = fixedIn(set);
    expect(rightmost(set) - (half - scarf.depth)).toBeCloseTo(set.swing.meeting.bulge, 1);
    const back = pictureAt(set, 40, 'section').back;
    expect(back[0]?.[1]).toBeCloseTo(pictureAt(set, 40, 'section').eye[1], 6);
    expect(rightmost(pictureSet(1, { backward: true }))).toBeLessThan(0.5);
  });

  it('carries a loop that is taken, and none that is not', () => {
    const step = 160;
    const reach = (set: PictureSet) =>
      Math.min(...pictureAt(set, step, 'behind').back.map(([, up]) => up));
    const taken = pictureSet(1, {}, FRONT);
    expect(reach(taken)).toBeCloseTo(pictureAt(taken, step, 'behind').point[1], 9);
    expect(reach(pictureSet(1, { turned: 85 }, FRONT))).toBeGreaterThan(
      pictureAt(taken, step, 'behind').point[1],
    );
  });

  it('bends a blade away from the hook as far as it is told at the hook', () => {
    const set = pictureSet(1, { bent: 0.8 });
    const outline = bladeSection(
      { half: 0.4, scarf: { depth: 0.3, length: 5 }, facing: 1, off: () => 0 },
      20,
    );
    expect(Math.max(...outline.map(([right]) => right))).toBe(0.4);
    const straight = pictureAt(pictureSet(1), 54, 'section').eye[0];
    const bent = pictureAt(set, 54, 'section').eye[0];
    expect(straight - bent).toBeGreaterThan(0.8);
    expect(straight - bent).toBeLessThan(1);
  });

  it('goes through its four phases in order', () => {
    const { scene, swing } = pictureSet(1);
    const starts = phaseStarts(scene, swing);
    const order = PHASES.map((phase) => starts[phase]);
    expect(order.toSorted((a, b) => a - b)).toEqual(order);
    expect([0, 54, 200, 400, 719].map((step) => phaseAt(starts, step))).toEqual([
      'loop',
      'loop',
      'carried',
      'tight',
      'down',
    ]);
  });
});

describe('the verdict', () => {
  it('names the worst first', () => {
    const headline = (change: Partial<StitchSettings>) => {
      const { settings, ...rest } = scened(change);
      return headlineOf(rest, settings);
    };
    expect(headline({})).toBe('forms');
    expect(headline({ backward: true })).toBe('backward');
    expect(headline({ turned: 20 })).toBe('rubs');
    expect(headline({ turned: 60 })).toBe('misses');
    expect(headline({ bent: -0.9 })).toBe('strikes');
    expect(headline({ rise: 0.8 })).toBe('skips');
    expect(headline({ thread: 0.32, size: 90 })).toBe('thread');
  });

  it('looks at the swing that is missed first', () => {
    expect(worstSwing(scened({ late: 5 }).scene)).toBe(2);
    expect(worstSwing(scened({ late: -10 }).scene)).toBe(0);
    expect([-3.5, 0, 3.5].map(swingPlace)).toEqual(['left', 'middle', 'right']);
  });

  it('says what somebody would see by findings of the tables, and what is struck', () => {
    const model = modelOf('drop-in');
    for (const change of [{ late: 8 }, { turned: 60 }, { bent: -0.9 }]) {
      const signs = seenSigns(scened(change));
      expect(signs.length).toBeGreaterThan(0);
      for (const sign of signs) expect(model?.findings.has(sign)).toBe(true);
    }
    expect(struckBy(DROP_IN, RIGHT)).toEqual([]);
    expect(struckBy(DROP_IN, { ...RIGHT, bent: 1.5 }).map(([what]) => what)).toEqual([
      'foot',
      'plate',
    ]);
    expect(struckBy(DROP_IN, { ...RIGHT, low: 3 }).map(([what]) => what)).toEqual(['case']);
  });
});

describe('an address', () => {
  it('says what is otherwise, and reads it back', () => {
    const settings = { ...RIGHT, turned: -40, backward: true, late: 3.5, gap: 0.12, spring: true };
    const pairs = addressOf(settings, RIGHT, 'set-');
    expect(pairs.map(([name]) => name)).toEqual([
      'set-turned',
      'set-backward',
      'set-late',
      'set-gap',
      'set-spring',
    ]);
    const address = new URLSearchParams(Object.fromEntries(pairs));
    expect(sameSettings({ ...RIGHT, ...settingsIn(address, 'set-') }, settings)).toBe(true);
    expect(settingsIn(address, '')).toEqual({});
  });

  it('leaves out what is no setting', () => {
    const address = new URLSearchParams(
      'turned=700&low=&late=x&gap=0.2&size=3&bent=1e9&rise=Infinity',
    );
    expect(settingsIn(address, '')).toEqual({ gap: 0.2 });
  });
});

describe('readings at the bench', () => {
  /** As they are read of a machine that is set so, in hundredths. */
  const read = (machine: typeof DROP_IN, change: Partial<StitchSettings>): TypedReadings => {
    const { scene } = scened(change, machine);
    const typed = scene.swings.map(({ meeting }) => [
      swingPlace(meeting.swing),
      {
        lift: meeting.lift.toFixed(2),
        aboveEye: meeting.meetsAt.toFixed(2),
        gap: meeting.gap.toFixed(3),
      },
    ]);
    return { ...NO_READINGS, ...(Object.fromEntries(typed) as Partial<TypedReadings>) };
  };

  it('of a machine that is set right are within at every swing', () => {
    for (const machine of [DROP_IN, FRONT, machineOf('straight-fast')]) {
      const cells = cellsOf(machine, read(machine, {}), 'mm');
      expect(cells.every(({ isWithin }) => isWithin === true)).toBe(true);
      const verdict = verdictOf(machine, cells);
      expect(verdict && looksOf(verdict)).toEqual([
        { check: 'timing', seen: [] },
        { check: 'bar-height', seen: [] },
        { check: 'hook-gap', seen: [] },
      ]);
    }
  });

  it('find a late hook, and what each of the checks shows', () => {
    const cells = cellsOf(DROP_IN, read(DROP_IN, { late: 3 }), 'mm');
    const verdict = verdictOf(DROP_IN, cells);
    expect((verdict?.timing?.off ?? 0) / DEGREE).toBeCloseTo(3, 1);
    expect(verdict && looksOf(verdict)).toEqual([
      { check: 'timing', seen: ['hook-early-late'] },
      { check: 'bar-height', seen: [] },
      { check: 'hook-gap', seen: [] },
    ]);
    const wide = verdictOf(DROP_IN, cellsOf(DROP_IN, read(DROP_IN, { gap: 0.4 }), 'mm'));
    expect(wide && looksOf(wide)[2]).toEqual({ check: 'hook-gap', seen: ['gap-wide'] });
    const none = verdictOf(DROP_IN, cellsOf(DROP_IN, read(DROP_IN, { gap: 0 }), 'mm'));
    expect(none && looksOf(none)[2]).toEqual({ check: 'hook-gap', seen: ['gap-touching'] });
  });

  it('are entries with what they were held against, at each swing', () => {
    const cells = cellsOf(DROP_IN, read(DROP_IN, {}), 'mm');
    const measures = measuresOf(DROP_IN, cells, 'found');
    expect(measures).toHaveLength(9);
    const right = targetsAt(DROP_IN.preset.set.former, DROP_IN.targets, 3.5).lift;
    expect(
      measures.find(({ swing, quantity }) => swing === 'right' && quantity === 'loop-lift'),
    ).toMatchObject({
      when: 'found',
      limit: {
        least: Math.round(right.least * 1000) / 1000,
        most: Math.round(right.most * 1000) / 1000,
        standing: 'derived',
      },
    });
    expect(
      measures.find(({ swing, quantity }) => swing === 'middle' && quantity === 'loop-lift'),
    ).toMatchObject({ value: 2.2, limit: { least: 2, most: 2.4, standing: 'typical' } });
  });

  it('are read by the wheel as well, with a comma, and refused where they are none', () => {
    const typed = { ...NO_READINGS, middle: { lift: '27,08', aboveEye: '', gap: '' } };
    const byWheel = cellsOf(DROP_IN, typed, 'degrees');
    const lift = byWheel.find(({ value }) => value !== undefined)?.value;
    expect(lift).toBeCloseTo(2.2, 2);
    for (const text of ['abc', '-1', '400']) {
      const wrong = cellsOf(
        DROP_IN,
        { ...NO_READINGS, middle: { ...NO_READINGS.middle, lift: text } },
        'mm',
      );
      expect(verdictOf(DROP_IN, wrong)).toBeUndefined();
      expect(wrong.some(({ value }) => Number.isNaN(value))).toBe(true);
    }
    expect(verdictOf(DROP_IN, cellsOf(DROP_IN, NO_READINGS, 'mm'))).toBeUndefined();
    expect(SEATED.low).toBe(0);
  });
});
