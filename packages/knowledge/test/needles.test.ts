import { mm, needleSize, stitches, tex, threadDiameter } from '@nodo/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  FABRICS,
  fitNeedle,
  givesWay,
  judgeNeedle,
  modelOf,
  NEEDLE_COATINGS,
  NEEDLE_POINTS,
  type NeedleKind,
  STRUCK_PLACES,
  scarfFaces,
  schoolsDue,
  sizesFabricBears,
  systemFor,
  type Work,
} from '../src/index.ts';

const HOUSEHOLD = '130/705 H';
const of = (fine: number) => threadDiameter(tex(fine), 'polyester');
const COTTON: Work = {
  fabric: 'weave',
  layers: 2,
  thickness: 0.3,
  crossing: false,
  threadKind: 'plain',
  thread: of(20),
};
const PROOF: NeedleKind = {
  system: HOUSEHOLD,
  size: 80,
  point: 'fine-sharp',
  coating: 'chrome',
};

describe('which needle suits', () => {
  it('bears by the fabric alone what the whole answer bears', () => {
    for (const thickness of [0.05, 0.3, 0.6, 1, 2, 5]) {
      const work = { ...COTTON, thickness };
      expect(sizesFabricBears(work)).toEqual(fitNeedle(work, HOUSEHOLD).bears);
    }
    expect(sizesFabricBears(COTTON)).toEqual([70, 75, 80]);
    expect(sizesFabricBears({ ...COTTON, crossing: true })).toEqual([80, 90]);
  });

  it('is the fine sharp 80 of the standard proof for two plies of cotton and 50-weight thread', () => {
    // Handbook: proof with a fine-sharp 80/12, known 50-weight thread, plain woven cotton.
    const fit = fitNeedle(COTTON, HOUSEHOLD);
    expect(fit.sizes).toContain(80);
    expect(fit.points[0]).toBe('fine-sharp');
    expect(judgeNeedle(PROOF, fit, COTTON.thread)).toEqual({
      'system-wrong': 'suits',
      'size-too-thin': 'suits',
      'eye-too-small': 'suits',
      'point-wrong': 'suits',
      'size-too-thick': 'suits',
    });
  });

  // Handbook: ball and stretch for knits, cutting for leather, non-stick for adhesives, denim's stiff blade.
  it.each([
    ['knit', 'ball'],
    ['stretch-knit', 'stretch'],
    ['leather', 'leather'],
    ['coated', 'non-stick'],
    ['heavy-weave', 'denim'],
    ['layers', 'quilting'],
  ] as const)('for %s has the point %s', (fabric, point) => {
    expect(fitNeedle({ ...COTTON, fabric }, HOUSEHOLD).points[0]).toBe(point);
  });

  it('begins everyday work with fine sharp, or with universal for who holds with that', () => {
    expect(fitNeedle(COTTON, HOUSEHOLD, 'universal').points).toEqual(['universal', 'fine-sharp']);
    // Where the fabric decides, no school does.
    const leather = { ...COTTON, fabric: 'leather' } as const;
    expect(fitNeedle(leather, HOUSEHOLD, 'universal').points).toEqual(['leather']);
    const knit = { ...COTTON, fabric: 'knit' } as const;
    expect(fitNeedle(knit, HOUSEHOLD, 'universal').points[0]).toBe('ball');
  });

  it('has a long eye where the fabric bears no needle whose groove takes the thread', () => {
    const work = { ...COTTON, layers: 1, thread: of(105) };
    const fit = fitNeedle(work, HOUSEHOLD);
    expect(fit).toMatchObject({ eye: 'long', points: ['top-stitch', 'fine-sharp', 'universal'] });
    expect(fit.reasons.map(({ because }) => because)).toContain('thread-thicker-than-fabric-bears');
    expect(judgeNeedle(PROOF, fit, work.thread)).toMatchObject({ 'eye-too-small': 'wrong' });
  });

  it('says what is wrong with the needle found', () => {
    const work = { ...COTTON, fabric: 'heavy-weave', layers: 4, crossing: true } as const;
    const fit = fitNeedle({ ...work, thickness: 0.8 }, HOUSEHOLD);
    expect(fit.best).toBeGreaterThanOrEqual(100);
    expect(judgeNeedle({ ...PROOF, size: 60 }, fit, work.thread)).toMatchObject({
      'size-too-thin': 'wrong',
    });
    expect(judgeNeedle({ ...PROOF, system: 'other' }, fit, work.thread)).toMatchObject({
      'system-wrong': 'wrong',
    });
    expect(judgeNeedle({ ...PROOF, system: '130-705H' }, fit, work.thread)).toMatchObject({
      'system-wrong': 'suits',
    });
    const { found, chosen } = givesWay(60, needleSize(100));
    // Handbook: 3.90 mm against 0.51 under a newton.
    expect([found, chosen].map((bend) => Math.round(bend * 100) / 100)).toEqual([3.9, 0.51]);
  });

  it('always finds one, no thinner for thicker work, and finds no fault with its own choice', () => {
    const fabric = fc.constantFrom(...FABRICS.map(({ id }) => id));
    fc.assert(
      fc.property(
        fabric,
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        fc.boolean(),
        fc.integer({ min: 5, max: 140 }),
        (kind, layers, thickness, crossing, fine) => {
          const work: Work = {
            ...COTTON,
            fabric: kind,
            layers,
            thickness,
            crossing,
            thread: of(fine),
          };
          const fit = fitNeedle(work, HOUSEHOLD);
          expect(fit.sizes).toContain(fit.best);
          const thicker = fitNeedle({ ...work, layers: layers + 1 }, HOUSEHOLD);
          expect(Math.max(...thicker.sizes)).toBeGreaterThanOrEqual(Math.max(...fit.sizes));
          const [point = 'universal'] = fit.points;
          const [coating = 'chrome'] = fit.coatings;
          const own = { system: HOUSEHOLD, size: fit.best, point, coating };
          const wrong = judgeNeedle(own, fit, work.thread);
          // No fabric makes a thread thinner: what the best needle cannot carry is said of it too.
          expect({ ...wrong, 'eye-too-small': 'suits' }).toEqual({
            'system-wrong': 'suits',
            'size-too-thin': 'suits',
            'eye-too-small': 'suits',
            'point-wrong': 'suits',
            'size-too-thick': 'suits',
          });
        },
      ),
    );
  });
});

describe('how a needle that was found stands to the work', () => {
  const judged = (needle: Partial<NeedleKind>, work: Partial<Work> = {}) => {
    const whole = { ...COTTON, ...work };
    return judgeNeedle({ ...PROOF, ...needle }, fitNeedle(whole, HOUSEHOLD), whole.thread);
  };

  // Common practice, no source: nearly every point sews a plain weave.
  it.each(['quilting', 'denim', 'embroidery'] as const)(
    'a %s 80 on a plain weave will do, with nothing wrong',
    (point) => {
      const grades = Object.values(judged({ point }));
      expect(grades).not.toContain('wrong');
      expect(judged({ point })['point-wrong']).toBe('will-do');
    },
  );

  it('a fine sharp 80 suits a plain weave, and will do where universal is the school', () => {
    expect(Object.values(judged({}))).toEqual(Array.from({ length: 5 }, () => 'suits'));
    const universal = fitNeedle(COTTON, HOUSEHOLD, 'universal');
    expect(judgeNeedle(PROOF, universal, COTTON.thread)['point-wrong']).toBe('suits');
  });

  it('a long eye is right for thick thread and for layers', () => {
    expect(judged({ point: 'top-stitch', size: 90 }, { thread: of(40) })).toMatchObject({
      'point-wrong': 'suits',
      'eye-too-small': 'suits',
    });
    expect(
      judged({ point: 'top-stitch', size: 90 }, { fabric: 'layers', layers: 3 }),
    ).toMatchObject({
      'point-wrong': 'suits',
    });
  });

  it('has one tolerance: a sold size off will do, two are wrong', () => {
    // Two plies of .3 mm bear 70 to 80.
    const grade = (size: number) => {
      const { 'size-too-thin': thin, 'size-too-thick': thick } = judged({ size });
      return [thin, thick];
    };
    expect(grade(65)).toEqual(['will-do', 'suits']);
    expect(grade(60)).toEqual(['wrong', 'suits']);
    expect(grade(90)).toEqual(['suits', 'will-do']);
    expect(grade(100)).toEqual(['suits', 'wrong']);
    // A thread of a third of a blade of 80 and a hair more: a size up carries it.
    const thread = { thread: mm(0.27) };
    expect(judged({ size: 80 }, thread)['eye-too-small']).toBe('will-do');
    expect(judged({ size: 70 }, thread)['eye-too-small']).toBe('wrong');
  });

  it('metallic wants its own eye or a long one; a usual one is wrong', () => {
    const metallic = { threadKind: 'metallic' } as const;
    expect(judged({ point: 'metallic' }, metallic)['point-wrong']).toBe('suits');
    expect(judged({ point: 'top-stitch' }, metallic)['point-wrong']).toBe('suits');
    expect(judged({ point: 'embroidery' }, metallic)['point-wrong']).toBe('will-do');
    expect(judged({ point: 'universal' }, metallic)['point-wrong']).toBe('wrong');
    // Transparent thread takes what the fabric takes.
    expect(judged({}, { threadKind: 'transparent' })['point-wrong']).toBe('suits');
  });

  it('a ball on leather and leather’s blade on a knit are wrong', () => {
    expect(judged({ point: 'ball' }, { fabric: 'leather' })['point-wrong']).toBe('wrong');
    expect(judged({ point: 'leather' }, { fabric: 'knit' })['point-wrong']).toBe('wrong');
  });
});

describe('when a needle is due', () => {
  const HABIT = {
    rate: 1000,
    duty: 0.5,
    stitchLength: 2.5,
    threadPerStitch: 3.1,
    bobbinMetres: 39.8,
  };

  it('differs by school: 480 000 stitches in 8 hours, about 40 000 on three bobbins (handbook)', () => {
    const [hours, bobbins, projects] = schoolsDue(stitches(50_000), 0, HABIT, false);
    expect(hours).toMatchObject({ due: false, by: { limit: 480_000, left: 430_000 } });
    expect((bobbins?.by?.limit ?? 0) / 40_000).toBeCloseTo(1, 1);
    expect(bobbins?.due).toBe(true);
    expect(projects).toMatchObject({ due: false, by: undefined });
  });

  it('is now, by all, after a strike', () => {
    expect(schoolsDue(stitches(0), 0, HABIT, true).every(({ due }) => due)).toBe(true);
  });
});

describe('the tables of needles', () => {
  it('name everything once', () => {
    for (const table of [NEEDLE_POINTS, NEEDLE_COATINGS, FABRICS, STRUCK_PLACES]) {
      const ids = table.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
    }
  });

  it('say where the scarf faces', () => {
    expect(scarfFaces('front-loading')).toBe('back');
    expect(scarfFaces('side-needle')).toBeUndefined();
    expect(systemFor(modelOf('round-shank')?.family.traits ?? [])).toMatchObject({ flat: false });
    expect(mm(2)).toBe(systemFor([]).shank);
  });
});
