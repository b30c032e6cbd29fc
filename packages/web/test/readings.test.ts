import { BEND_TOLERANCE, BOBBIN_CLASSES } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import {
  ALL_PURPOSE,
  gapVerdict,
  readFeelers,
  slipsThrough,
} from '../src/instruments/bobbin/case/gapReading.ts';
import { turnLooks, turnsAsked, withTurn } from '../src/instruments/bobbin/case/hangUpReading.ts';
import {
  bobbinLooks,
  rightTurn,
  tapped,
} from '../src/instruments/bobbin/condition/conditionReading.ts';
import { threadLeft } from '../src/instruments/bobbin/left/leftReading.ts';
import { readHanging } from '../src/instruments/bobbin/tension/hangingReading.ts';
import {
  bobbinFindings,
  bobbinMeasures,
  readBobbin,
} from '../src/instruments/bobbin/which/whichReading.ts';
import { accountOf } from '../src/instruments/needle/broken/brokenReading.ts';
import {
  bendMeasure,
  conditionLooks,
  isBentBy,
} from '../src/instruments/needle/condition/conditionReading.ts';
import { habitOf, hasStruck, roundly, sewnOf } from '../src/instruments/needle/wear/wearReading.ts';

describe('the gap at the stop', () => {
  it('is read from the feelers that pass and stop', () => {
    expect(readFeelers('0,3', '')).toEqual({ passes: 0.3, stops: undefined });
    expect(readFeelers('0.3', '0.35')).toEqual({ passes: 0.3, stops: 0.35 });
    expect(readFeelers('', '0.35')).toBeUndefined();
    expect(readFeelers('0.3', 'wide')).toBeUndefined();
  });

  it('lets a thread slip that is thinner than what passes, and is unsure between the feelers', () => {
    const wide = { passes: 2 * ALL_PURPOSE, stops: 2 * ALL_PURPOSE + 0.05 };
    const tight = { passes: ALL_PURPOSE / 3, stops: ALL_PURPOSE / 2 };
    expect(slipsThrough(wide, ALL_PURPOSE)?.slips).toBe(true);
    expect(slipsThrough(tight, ALL_PURPOSE)?.slips).toBe(false);
    expect(slipsThrough({ passes: 0.4, stops: 0.2 }, ALL_PURPOSE)).toBeUndefined();
  });

  it('is judged by all-purpose thread first, then by the thread that is sewn with', () => {
    const reading = (slips: boolean | undefined) => ({
      ...(slipsThrough({ passes: 1, stops: undefined }, ALL_PURPOSE) as NonNullable<
        ReturnType<typeof slipsThrough>
      >),
      slips,
    });
    expect(gapVerdict(reading(false), reading(true))).toBe('tight');
    expect(gapVerdict(reading(true), reading(undefined))).toBe('unsure');
    expect(gapVerdict(reading(true), reading(true))).toBe('right');
    expect(gapVerdict(reading(true), reading(false))).toBe('too-thick');
  });
});

describe('a hang-up', () => {
  it('is asked turn by turn, each with less in the hook', () => {
    expect(turnsAsked({}).map(({ id }) => id)).toEqual(['all']);
    expect(turnsAsked({ all: 'hangs' }).map(({ id }) => id)).toEqual(['all', 'without-bobbin']);
    expect(turnsAsked({ all: 'passes' }).map(({ id }) => id)).toEqual(['all']);
  });

  it('forgets what was said of later turns when an earlier one is answered anew', () => {
    const shown = withTurn(withTurn({}, 'all', 'hangs'), 'without-bobbin', 'passes');
    expect(withTurn(shown, 'all', 'missed')).toEqual({ all: 'missed' });
  });

  it('becomes one look for each turn, with what was found', () => {
    expect(turnLooks({ all: 'hangs', 'without-bobbin': 'passes' })).toEqual([
      { check: 'hand-turn', seen: 'loop-hangs' },
      { check: 'turn-without-bobbin', seen: undefined },
    ]);
    expect(turnLooks({ all: 'missed' })).toEqual([{ check: 'hand-turn', seen: 'loop-missed' }]);
  });
});

describe('the condition of a bobbin', () => {
  it('turns by the card before the slot, and by the slot before what is usual', () => {
    expect(rightTurn('clockwise', 'anticlockwise', ['drop-in'])).toEqual({
      should: 'clockwise',
      from: 'card',
    });
    expect(rightTurn(null, 'clockwise', ['drop-in'])).toEqual({
      should: 'clockwise',
      from: 'slot',
    });
    expect(rightTurn(null, 'none', ['drop-in']).from).toBe('usual');
  });

  it('is kept as far as somebody looked; its turn only where it is known which is right', () => {
    expect(bobbinLooks({}, 'clockwise')).toEqual([]);
    expect(bobbinLooks({ turns: 'clockwise' }, undefined)).toEqual([]);
    expect(
      bobbinLooks(
        { wound: 'firm', turns: 'clockwise', path: 'off', tail: 'long', rims: new Set(['core']) },
        'anticlockwise',
      ),
    ).toEqual([
      { check: 'bobbin-wind', found: undefined },
      { check: 'bobbin-turn', found: 'bobbin-reversed' },
      { check: 'bobbin-path', found: 'off-spring' },
      { check: 'bobbin-tail', found: undefined },
      { check: 'bobbin-rim', found: 'bobbin-rough' },
    ]);
  });
});

describe('thread left on a bobbin', () => {
  const TYPED = {
    full: '19.5',
    core: '8',
    width: '8.8',
    winding: '19.5',
    thread: '0.2',
    length: '2.5',
    zigzag: '0',
    fabric: '0.6',
    seam: '5',
  };

  it('is all of it when it is full, and none when it is wound to its core', () => {
    const full = threadLeft(TYPED);
    expect(full?.left).toBeCloseTo(full?.full ?? 0, 9);
    expect(full?.lasts).toBe(true);
    const empty = threadLeft({ ...TYPED, winding: '8' });
    expect(empty).toMatchObject({ left: 0, stitches: 0, lasts: false, seam: 0 });
  });

  it('is not told of what cannot be', () => {
    expect(threadLeft({ ...TYPED, core: '25' })).toBeUndefined();
    expect(threadLeft({ ...TYPED, thread: 'thin' })).toBeUndefined();
  });
});

describe('a hanging case', () => {
  it('says nothing before all is typed, and refuses what cannot be', () => {
    const typed = { grams: '25', fall: '25', slip: '50', free: '150' };
    expect(readHanging({ ...typed, grams: '' })).toBe('incomplete');
    expect(readHanging({ ...typed, grams: '-3' })).toBe('impossible');
    expect(readHanging(typed)).toMatchObject({ kind: 'measured' });
  });
});

describe('which bobbin it is', () => {
  const [usual] = BOBBIN_CLASSES;
  const typed = {
    across: String(usual.across),
    width: String(usual.width),
    hole: '',
    ownHole: '',
    sides: usual.sides,
    material: 'plastic',
  } as const;
  const machine = { traits: ['bobbin'], takes: undefined, service: {} };

  it('is known by its measures, once both are typed', () => {
    expect(readBobbin({ ...typed, width: '' }, machine)).toMatchObject({
      measured: undefined,
      isKnown: false,
    });
    const { is, isKnown } = readBobbin(typed, machine);
    expect(is?.bobbin.id).toBe(usual.id);
    // Nothing is known of what the machine takes: there is nothing to judge it by.
    expect(isKnown).toBe(false);
  });

  it('is the wrong one in a machine that takes another class', () => {
    const other = BOBBIN_CLASSES.find(({ id }) => id !== usual.id)?.id;
    const right = readBobbin(typed, { ...machine, takes: usual.id });
    expect(bobbinFindings(right)).toEqual([undefined, undefined]);
    const wrong = readBobbin(typed, { ...machine, takes: other });
    expect(bobbinFindings(wrong)).toEqual(['bobbin-other-class', undefined]);
  });

  it('is held against the machine’s own bobbin, and measured as far as it was', () => {
    const service = { 'bobbin-hole': { least: 6, most: 6.2, from: 'Manual, page 9' } };
    const reading = readBobbin({ ...typed, hole: '7' }, { ...machine, service });
    expect(reading).toMatchObject({ isKnown: true, isLikeOwn: false });
    expect(bobbinFindings(reading)[0]).toBe('bobbin-other-class');
    expect(bobbinMeasures(reading).map(({ quantity, value }) => [quantity, value])).toEqual([
      ['bobbin-across', usual.across],
      ['bobbin-width', usual.width],
      ['bobbin-hole', 7],
    ]);
  });

  it('may not be of metal where a magnet holds the case', () => {
    const metal = { ...typed, material: 'metal' } as const;
    const magnet = { ...machine, traits: ['bobbin', 'magnet-case'], takes: usual.id };
    expect(bobbinFindings(readBobbin(metal, magnet))).toEqual([undefined, 'bobbin-metal']);
    expect(bobbinFindings(readBobbin(metal, { ...machine, takes: usual.id }))[1]).toBeUndefined();
  });
});

describe('a needle', () => {
  it('counts as bent from the tolerance on, with the measure kept beside the answer', () => {
    expect(isBentBy(BEND_TOLERANCE)).toBe(true);
    expect(isBentBy(BEND_TOLERANCE / 2)).toBe(false);
    expect(bendMeasure(0.2)).toMatchObject({ quantity: 'needle-bend', value: 0.2, at: 1 });
    expect(conditionLooks({ gap: 0, seen: { nail: 'yes', gum: 'no' } })).toEqual([
      { check: 'needle-straight', answers: { 'needle-crooked': 'no' } },
      { check: 'needle-nail', answers: { 'needle-catches': 'yes' } },
      { check: 'needle-gum', answers: { 'needle-sticky': 'no' } },
    ]);
    expect(conditionLooks({ gap: undefined, seen: {} })).toEqual([]);
  });

  it('is whole when its pieces are, and no piece is longer than it', () => {
    expect(accountOf(38, [20, 18])).toMatchObject({ state: 'whole' });
    expect(accountOf(38, [20])).toMatchObject({ state: 'missing', missing: 18 });
    expect(accountOf(38, [-1])).toBeUndefined();
  });

  const HABIT = {
    rate: '800',
    duty: '40',
    length: '2.5',
    width: '0',
    under: '0,6',
    bobbin: '30',
    week: '3',
  };

  it('has sewn rate times duty times an hour', () => {
    const habit = habitOf(HABIT);
    expect(habit && sewnOf(2, 'hours', habit)).toBeCloseTo(2 * 60 * 800 * 0.4, 6);
    expect(habit && sewnOf(undefined, 'hours', habit)).toBeUndefined();
    expect(habit && sewnOf(-1, 'stitches', habit)).toBeUndefined();
    expect(habit && sewnOf(1e12, 'stitches', habit)).toBeUndefined();
    expect(habitOf({ ...HABIT, rate: '0' })).toBeUndefined();
    expect(habitOf({ ...HABIT, under: '' })).toBeUndefined();
  });

  it('is worn by a strike that the ticket tells of', () => {
    const answer = (finding: string, present: boolean) => ({
      finding,
      check: 'complaint',
      present,
      epoch: 0,
      by: { person: 'p', role: 'technician' as const },
      seq: 1,
    });
    expect(hasStruck({ answers: [answer('needle-strike', true)] })).toBe(true);
    expect(hasStruck({ answers: [answer('needle-strike', false), answer('skip', true)] })).toBe(
      false,
    );
    expect(hasStruck(undefined)).toBe(false);
  });

  it('is counted as roughly as it is known', () => {
    expect([123_456, 1234.5, 12.345].map(roundly)).toEqual([123_500, 1235, 12.3]);
  });
});

describe('a tap on the drawn bobbin', () => {
  it('says that a rim is rough and takes it back, which leaves it felt and smooth', () => {
    const rough = tapped({}, 'above');
    expect([...(rough.rims ?? [])]).toEqual(['above']);
    expect([...(tapped(rough, 'core').rims ?? [])]).toEqual(['above', 'core']);
    const smooth = tapped(rough, 'above');
    expect(smooth.rims?.size).toBe(0);
    expect(bobbinLooks(smooth, undefined)).toEqual([{ check: 'bobbin-rim', found: undefined }]);
  });

  it('says that it is soft, then firm, and leaves what else was seen', () => {
    const soft = tapped({ turns: 'clockwise' }, 'wound');
    expect(soft).toEqual({ turns: 'clockwise', wound: 'soft' });
    expect(tapped(soft, 'wound').wound).toBe('firm');
  });
});

describe('what is left on a bobbin', () => {
  it('is drawn from what was typed, and covers the seam or not', () => {
    const typed = {
      full: '19.5',
      core: '8',
      width: '8.8',
      winding: '13',
      thread: '0,2',
      length: '2.5',
      zigzag: '0',
      fabric: '0.6',
      seam: '25',
    };
    const left = threadLeft(typed);
    expect(left?.room).toEqual({ full: 19.5, core: 8, width: 8.8, winding: 13 });
    expect(left?.wanted).toBe(25);
    expect(left?.lasts).toBe(false);
    expect(left?.seam).toBeLessThan(25);
    expect(threadLeft({ ...typed, winding: '30' })).toBeUndefined();
  });
});
