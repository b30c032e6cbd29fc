import { KNOWLEDGE, SHIPPED } from '@nodo/knowledge';
import type { KeptFace, KeptSample } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import {
  countOf,
  isGoodSample,
  looseIn,
  minutesSewn,
  otherThreadShows,
  sampleAnswers,
} from '../src/index.ts';

const face = (skips: number, stitches = 30): KeptFace => ({
  stitches,
  skips,
  skippedAt: [],
  length: 2.5,
  spread: 0.03,
  width: 0,
  wander: 0.03,
  byHand: [],
});
const sample = (
  skips: number,
  balance: number | undefined,
): Pick<KeptSample, 'faces' | 'balance'> => ({
  faces: { top: face(skips), bottom: face(0) },
  ...(balance === undefined ? {} : { balance: { value: balance, error: 0.02 } }),
});
const model = (family: string) => {
  const found = SHIPPED.modelOf(family);
  if (!found) throw new Error(family);
  return found;
};
const dropIn = model('drop-in');

describe('a sewn sample that was measured', () => {
  it('skips as often as the side says that shows more of it', () => {
    expect(countOf({ faces: { top: face(0, 31), bottom: face(2, 29) } })).toEqual({
      stitches: 31,
      skips: 2,
    });
    // What hangs over a hole hides its stitch.
    const hidden = { ...face(3), loose: 4 };
    expect(countOf({ faces: { top: face(1), bottom: hidden } }).skips).toBe(1);
    expect(countOf({ faces: { bottom: hidden } }).skips).toBe(3);
  });

  it('shows the other thread from a quarter on, and is in the middle up to a tenth', () => {
    const at = (value: number) => otherThreadShows({ value });
    expect([-0.6, -0.25, -0.2, -0.1, 0, 0.1, 0.2, 0.25, 0.6].map(at)).toEqual([
      'top',
      'top',
      undefined,
      'nowhere',
      'nowhere',
      'nowhere',
      undefined,
      'under',
      'under',
    ]);
    expect(otherThreadShows(undefined)).toBeUndefined();
  });

  it('answers all of its check where it is good, and nothing of what one side cannot show', () => {
    expect(isGoodSample(sample(0, 0.03))).toBe(true);
    expect(sampleAnswers(sample(0, 0.03), 'standard-straight', dropIn)).toEqual({
      'straight-bad': 'no',
    });
    const asFound = sampleAnswers(sample(0, 0.03), 'found-sew', dropIn);
    expect(Object.keys(asFound).sort()).toEqual(
      (dropIn.checks.get('found-sew')?.findings ?? []).map(({ id }) => id).sort(),
    );
    expect(new Set(Object.values(asFound))).toEqual(new Set(['no']));
    // One side alone: no skip, but nobody knows of the balance, so that the stitch is not called good.
    expect(sampleAnswers(sample(0, undefined), 'standard-straight', dropIn)).toEqual({});
    expect(sampleAnswers(sample(0, undefined), 'standard-zigzag', dropIn)).toEqual({
      'zigzag-skips': 'no',
    });
  });

  it('of which thread hangs loose is not good, however well it is balanced', () => {
    const loose = {
      ...sample(0, 0.03),
      faces: { top: face(0), bottom: { ...face(0), loose: 3.2 } },
    };
    expect(looseIn(loose)).toBe(3.2);
    expect(isGoodSample(loose)).toBe(false);
    expect(sampleAnswers(loose, 'standard-straight', dropIn)).toEqual({ 'straight-bad': 'yes' });
    const none = { ...loose, faces: { top: { ...face(0), loose: 0 }, bottom: face(0) } };
    expect(isGoodSample(none)).toBe(true);
  });

  it('answers what is wrong with it, by the check it was sewn for', () => {
    expect(sampleAnswers(sample(1, 0.03), 'standard-straight', dropIn)).toEqual({
      'straight-bad': 'yes',
    });
    expect(sampleAnswers(sample(0, -0.4), 'standard-straight', dropIn)).toEqual({
      'straight-bad': 'yes',
    });
    expect(sampleAnswers(sample(2, 0.5), 'standard-zigzag', dropIn)).toEqual({
      'zigzag-skips': 'yes',
      'zigzag-top-under': 'yes',
      'zigzag-bobbin-top': 'no',
    });
    // A little off: it may be seen or not.
    expect(sampleAnswers(sample(2, 0.17), 'standard-zigzag', dropIn)).toEqual({
      'zigzag-skips': 'yes',
    });
    // Whether the reported fault shows is for whoever sewed it to say.
    expect(sampleAnswers(sample(2, 0.5), 'found-sew', dropIn)).toEqual({
      'found-skips': 'yes',
      'found-top-under': 'yes',
      'found-bobbin-top': 'no',
    });
  });

  it('names only findings that each family has', () => {
    for (const family of KNOWLEDGE.families.keys()) {
      const own = model(family);
      for (const given of [sample(0, 0), sample(3, -0.7), sample(3, 0.7)])
        for (const id of Object.keys(sampleAnswers(given, 'found-sew', own)))
          expect(own.findings.has(id)).toBe(true);
    }
  });

  it('takes as long to sew as its stitches at that speed', () => {
    expect(minutesSewn(120, 600)).toBe(0.2);
  });
});
