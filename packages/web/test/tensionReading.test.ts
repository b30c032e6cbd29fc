import { SHIPPED } from '@nodo/knowledge';
import type { KeptTry } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { Story } from '../../ticket/test/story.ts';
import { bodyOf } from '../src/drawing/body/bodies.ts';
import {
  dialWords,
  lookOf,
  lowerThan,
  nextPlace,
  readingsOf,
  UNREAD,
} from '../src/instruments/tension/balance/reading.ts';
import { familyPath, looksOfPath } from '../src/instruments/tension/path/pathReading.ts';
import {
  looksOfPulls,
  measuresOfPulls,
  pullsTyped,
  pullTyped,
} from '../src/instruments/tension/pull/pullReading.ts';

const tried = (dial: number, balance: number, rest: Partial<KeptTry> = {}): KeptTry => ({
  dial,
  screw: 0,
  read: [balance, balance, balance],
  seam: 'zigzag',
  wanted: 0,
  ...rest,
});

describe('what a try says of a check', () => {
  const model = SHIPPED.modelOf('drop-in');
  if (!model) throw new Error('drop-in');
  const fresh = new Story('drop-in', ['loops-under']).ticket;

  it('is how it sews as it came in, for the first one', () => {
    expect(lookOf(tried(2, 0.6), [], fresh, model)).toEqual({
      check: 'found-sew',
      answers: { 'found-top-under': 'yes', 'found-bobbin-top': 'no' },
    });
    expect(lookOf(tried(2, -0.6), [], fresh, model)?.answers).toEqual({
      'found-top-under': 'no',
      'found-bobbin-top': 'yes',
    });
    expect(lookOf(tried(2, 0.05), [], fresh, model)?.answers).toEqual({
      'found-top-under': 'no',
      'found-bobbin-top': 'no',
    });
  });

  it('is nothing where one may see it or not, nor where the knot is wanted off the middle', () => {
    expect(lookOf(tried(2, 0.17), [], fresh, model)).toBeUndefined();
    expect(lookOf(tried(2, 0.6, { wanted: 0.3 }), [], fresh, model)).toBeUndefined();
  });

  it('is what the middle mark does, for a dial that came from elsewhere, once', () => {
    const story = new Story('drop-in', ['loops-under']).does('rethreaded');
    story.must('tension-tried', tried(1, 0.7));
    const before = [tried(1, 0.7)];
    expect(lookOf(tried(4, 0.02), before, story.ticket, model)).toEqual({
      check: 'mid-dial-sew',
      answers: { 'mid-cures': 'yes' },
    });
    expect(lookOf(tried(4, 0.5), before, story.ticket, model)?.answers).toEqual({
      'mid-cures': 'no',
    });
    expect(lookOf(tried(6, 0.02), before, story.ticket, model)).toBeUndefined();
    expect(lookOf(tried(4, 0.02, { screw: 5 }), before, story.ticket, model)).toBeUndefined();
    expect(lookOf(tried(4, 0.02), [tried(4, 0.7)], story.ticket, model)).toBeUndefined();
    story.sees('mid-dial-sew', []);
    expect(lookOf(tried(4, 0.02), before, story.ticket, model)).toBeUndefined();
  });

  it('says nothing of a bobbin on a machine that has none', () => {
    const overlocker = SHIPPED.modelOf('overlocker');
    if (!overlocker) throw new Error('overlocker');
    expect(lookOf(tried(2, 0.6), [], new Story('overlocker', []).ticket, overlocker)).toEqual({
      check: 'found-sew',
      answers: { 'found-top-under': 'yes' },
    });
  });
});

describe('a sample', () => {
  it('is read place by place', () => {
    expect(nextPlace(UNREAD, 0)).toBe(1);
    expect(nextPlace([0.1, undefined, 0.2], 0)).toBe(1);
    expect(nextPlace([0.1, 0, 0.2], 1)).toBe(1);
    expect(readingsOf([0, undefined, -0.3])).toEqual([0, -0.3]);
  });

  it('names a number of the dial as it is read', () => {
    expect([4, 4.5, 0.25, 5.75, 4.3].map(dialWords)).toEqual(['4', '4½', '¼', '5¾', '4.3']);
    expect([4, 4.5, 0.25, 0].map(lowerThan)).toEqual([3, 4, 0, 0]);
  });
});

describe('pulls as they are typed', () => {
  it('are read with a comma, and refused where they are none', () => {
    expect([undefined, ' ', '31,5', 'much', '-1', '3000'].map(pullTyped)).toEqual([
      undefined,
      undefined,
      31.5,
      'wrong',
      'wrong',
      'wrong',
    ]);
    expect(pullsTyped({ free: '3', 'up-4': '60', 'down-2': 'x' })).toEqual({
      free: 3,
      pulls: [{ dial: 4, going: 'up', pull: 60 }],
    });
  });

  it('answer the checks that they are, and no other', () => {
    const unknown = { lag: undefined, lintSuspected: false };
    expect(looksOfPulls({ ...unknown, drags: false, grips: false, rises: undefined })).toEqual([
      { check: 'pull-foot-up', seen: undefined },
      { check: 'pull-foot-down', seen: 'no-grip' },
    ]);
    expect(looksOfPulls({ ...unknown, drags: true, grips: undefined, rises: false })).toEqual([
      { check: 'pull-foot-up', seen: 'drags-up' },
      { check: 'dial-sweep', seen: 'no-rise' },
    ]);
  });

  it('are measures with how dial and presser stood', () => {
    const pulls = pullsTyped({ free: '3', 'up-4': '60.04' });
    expect(measuresOfPulls(pulls, 'found')).toEqual([
      { quantity: 'top-tension', value: 3, when: 'found', pulled: { presser: 'up' } },
      {
        quantity: 'top-tension',
        value: 60,
        when: 'found',
        pulled: { presser: 'down', dial: 4, going: 'up' },
      },
    ]);
  });
});

describe('a thread that is followed', () => {
  it.each([...SHIPPED.knowledge.families.keys()])(
    '%s: has its path, from spool to needle',
    (family) => {
      const path = familyPath(bodyOf(family));
      expect(path[0]?.kind).toBe('spool');
      expect(path.at(-1)?.kind).toBe('needle');
      const model = SHIPPED.modelOf(family);
      if (!model) throw new Error(family);
      const looks = looksOfPath(path, new Set(), model);
      expect(looks[0]).toEqual({ check: 'path-look', seen: [] });
      // Every point that it can have left is a finding of this machine.
      for (const [place, { kind }] of path.entries()) {
        const seen = looksOfPath(path, new Set([place]), model).flatMap((look) => look.seen);
        expect(seen).toHaveLength(kind === 'spool' ? 0 : 1);
      }
    },
  );

  it('tells where it left its way, each finding once', () => {
    const model = SHIPPED.modelOf('drop-in');
    if (!model) throw new Error('drop-in');
    const path = familyPath(bodyOf('drop-in'));
    const places = (kinds: readonly string[]) =>
      new Set(path.flatMap(({ kind }, place) => (kinds.includes(kind) ? [place] : [])));
    expect(looksOfPath(path, places(['guide', 'discs']), model)).toEqual([
      { check: 'path-look', seen: ['off-guide', 'outside-discs'] },
      { check: 'check-spring', seen: [] },
    ]);
    expect(looksOfPath(path, places(['check-spring']), model)[1]?.seen).toEqual([
      'off-check-spring',
    ]);
  });
});
