import { toDay } from '@nodo/kernel';
import { SHIPPED } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { Story } from '../../ticket/test/story.ts';
import {
  asTries,
  lookedAt,
  mayTurnScrew,
  screwNow,
  triesInForce,
  UNKNOWN_TENSION,
  type WorkedSetting,
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
