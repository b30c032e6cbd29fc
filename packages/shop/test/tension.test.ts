import { toDay } from '@nodo/kernel';
import { SHIPPED } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { Story } from '../../ticket/test/story.ts';
import {
  asTries,
  lookedAt,
  mayTurnScrew,
  pointNearest,
  pullsAlong,
  screwNow,
  type ThreadPath,
  triesInForce,
  UNKNOWN_TENSION,
  type WorkedSetting,
  withGuideAfter,
  withMoved,
  withWorked,
  workedWith,
} from '../src/index.ts';

const TRY = { screw: 0, read: [0.5, 0.4, 0.5], seam: 'zigzag', wanted: 0 } as const;
const tried = (dial: number) => ({ ...TRY, dial, read: [...TRY.read] });

describe('the tries that count', () => {
  it('are those since something else than dial and screw was changed', () => {
    const story = new Story('front-loading', ['loops-under']);
    story.must('tension-tried', tried(2)).does('rethreaded');
    expect(triesInForce(story.ticket)).toEqual([]);
    story.must('tension-tried', tried(3)).does('dial-set').must('tension-tried', tried(4));
    expect(asTries(triesInForce(story.ticket))).toEqual([
      { dial: 3, screw: 0, read: [0.5, 0.4, 0.5] },
      { dial: 4, screw: 0, read: [0.5, 0.4, 0.5] },
    ]);
    story.does('discs-cleaned');
    expect(triesInForce(story.ticket)).toEqual([]);
  });

  it('are apart for each needle of a head', () => {
    const story = new Story('round-shank', ['loops-under']);
    story.must('tension-tried', { ...tried(2), at: 2 }).must('tension-tried', tried(5));
    expect(triesInForce(story.ticket).map(({ dial }) => dial)).toEqual([5]);
    expect(triesInForce(story.ticket, 2).map(({ dial }) => dial)).toEqual([2]);
  });

  it('come with how far the screw was turned, and with what was looked at', () => {
    const story = new Story('front-loading', ['loops-under']);
    expect(lookedAt(story.ticket)).toEqual({ rethreaded: false, bobbinSeen: false });
    expect(screwNow(story.ticket)).toBe(0);
    story.must('screw-turned', { which: 'own', start: 10, turn: 5 });
    story.must('screw-turned', { which: 'own', start: 15, turn: -10 });
    story.must('screw-turned', { which: 'second', start: 15, turn: 20 });
    expect(screwNow(story.ticket)).toBe(-5);
    story.sees('case-pull', []).does('rethreaded');
    expect(lookedAt(story.ticket)).toEqual({ rethreaded: true, bobbinSeen: true });
  });
});

describe('a machine’s tension', () => {
  const worked = (top: string, dial: number, wanted = 0): WorkedSetting => ({
    day: toDay('2026-11-30'),
    top,
    bobbin: 'tex 30',
    fabric: 'cotton',
    dial,
    screw: 0,
    wanted,
  });

  it('leaves the screw of a drop-in case alone unless its manual says otherwise', () => {
    const model = (family: string) => {
      const known = SHIPPED.modelOf(family);
      if (!known) throw new Error(family);
      return known;
    };
    expect(mayTurnScrew(UNKNOWN_TENSION, model('front-loading'))).toBe(true);
    expect(mayTurnScrew(UNKNOWN_TENSION, model('drop-in'))).toBe(false);
    expect(mayTurnScrew({ ...UNKNOWN_TENSION, screw: 'may' }, model('drop-in'))).toBe(true);
    expect(mayTurnScrew({ ...UNKNOWN_TENSION, screw: 'may-not' }, model('front-loading'))).toBe(
      false,
    );
  });

  it('remembers one setting for the same threads on the same fabric, the latest first', () => {
    const first = withWorked(withWorked(UNKNOWN_TENSION, worked('tex 30', 4)), worked('tex 40', 5));
    const again = withWorked(first, worked(' TEX 30 ', 4.5));
    expect(again.worked.map(({ dial }) => dial)).toEqual([4.5, 5]);
    // Another knot wanted is another setting.
    expect(withWorked(again, worked('tex 30', 3, 0.3)).worked).toHaveLength(3);
    expect(workedWith(again, { top: 'tex 40' }).map(({ dial }) => dial)).toEqual([5]);
    expect(workedWith(again, {})).toHaveLength(2);
    expect(workedWith(again, { top: 'silk' })).toEqual([]);
  });

  it('remembers sixty at most', () => {
    const many = Array.from({ length: 70 }, (_, index) => worked(`thread ${index}`, 4));
    const { worked: kept } = many.reduce(withWorked, UNKNOWN_TENSION);
    expect(kept).toHaveLength(60);
    expect(kept[0]?.top).toBe('thread 69');
  });
});

describe('a thread path', () => {
  const PATH: ThreadPath = [
    { kind: 'spool', name: 'spool', x: 200, y: 70 },
    { kind: 'guide', name: 'guide', x: 100, y: 80 },
    { kind: 'discs', name: 'discs', x: 90, y: 120 },
    { kind: 'check-spring', name: 'check spring', x: 75, y: 170 },
    { kind: 'take-up', name: 'take-up', x: 55, y: 105 },
    { kind: 'needle', name: 'needle', x: 66, y: 246 },
  ];

  it('pulls more behind each point, and more at each number of the dial behind the discs', () => {
    const at = (dial: number) => pullsAlong(PATH, dial);
    const middle = at(4);
    expect(middle).toHaveLength(PATH.length);
    expect(middle[0]).toBe(4);
    middle.slice(1).forEach((pull, place) => {
      expect(pull).toBeGreaterThanOrEqual(middle[place] ?? 0);
    });
    expect(at(6).slice(0, 2)).toEqual(middle.slice(0, 2));
    for (const place of [2, 3, 4, 5]) expect(at(6)[place]).toBeGreaterThan(middle[place] ?? 0);
    // A hand feels some tens of grams at the middle mark.
    expect(middle.at(-1)).toBeGreaterThan(30);
    expect(middle.at(-1)).toBeLessThan(200);
  });

  it('bends the thread less where a guide is moved into its line', () => {
    const straight = withMoved(PATH, 1, { x: 145, y: 95 });
    expect(straight[1]).toMatchObject({ name: 'guide', x: 145, y: 95 });
    expect(pullsAlong(straight, 4)[1]).toBeLessThan(pullsAlong(PATH, 4)[1] ?? 0);
  });

  it('takes a guide between two points, and finds the point that a finger means', () => {
    const more = withGuideAfter(PATH, 0, 'thread net');
    expect(more[1]).toEqual({ kind: 'guide', name: 'thread net', x: 150, y: 75 });
    expect(more).toHaveLength(PATH.length + 1);
    expect(withGuideAfter(PATH, 5, 'none')).toEqual(PATH);
    expect(pointNearest(PATH, { x: 92, y: 118 }, 26)).toBe(2);
    expect(pointNearest(PATH, { x: 300, y: 300 }, 26)).toBeUndefined();
  });
});
