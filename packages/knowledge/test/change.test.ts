import { posterior } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import {
  caseMoves,
  compileKnowledge,
  evidenceOf,
  judgeCases,
  modelOf,
  SHIPPED,
  SHIPPED_SOURCE,
  type TableChange,
  versionWith,
  WORKED_CASES,
  withChange,
  withChanges,
} from '../src/index.ts';

const NEW_CAUSE: TableChange = {
  kind: 'new-cause',
  own: {
    id: 'own-label-on-spool',
    name: 'Label glued over the spool’s end',
    remedy: 'Take the label off',
    explains: ['top-break', 'shred'],
  },
  perMille: 4,
};

/** One of each kind, with where the changed value is read. */
const EACH: readonly (readonly [
  TableChange,
  (version: ReturnType<typeof versionWith>) => unknown,
  unknown,
])[] = [
  [
    { kind: 'how-often', cause: 'needle-low', perMille: 61 },
    ({ knowledge }) => knowledge.causes.get('needle-low')?.perMille,
    61,
  ],
  [
    { kind: 'fix-minutes', cause: 'needle-low', minutes: 3 },
    ({ knowledge }) => knowledge.causes.get('needle-low')?.fixMinutes,
    3,
  ],
  [
    { kind: 'remedy', cause: 'needle-low', text: 'Loosen and push' },
    ({ knowledge }) => knowledge.causes.get('needle-low')?.remedy,
    'Loosen and push',
  ],
  [
    { kind: 'shows', cause: 'needle-low', finding: 'skip', strength: 'sure' },
    ({ knowledge }) => knowledge.causes.get('needle-low')?.shows.sure,
    ['needle-short-of-stop', 'skip'],
  ],
  [
    { kind: 'by-itself', finding: 'needle-short-of-stop', chance: 0.002 },
    ({ knowledge }) => knowledge.findings.get('needle-short-of-stop')?.leak,
    0.002,
  ],
  [
    { kind: 'check-minutes', check: 'needle-seat', minutes: 4 },
    ({ knowledge }) => knowledge.checks.get('needle-seat')?.minutes,
    4,
  ],
  [
    { kind: 'how', check: 'needle-seat', text: 'Look through the hole of the clamp.' },
    ({ knowledge }) => knowledge.checks.get('needle-seat')?.how,
    'Look through the hole of the clamp.',
  ],
  [{ kind: 'risk-limit', limit: 0.1 }, ({ knowledge }) => knowledge.riskLimit, 0.1],
  [
    NEW_CAUSE,
    ({ knowledge }) => knowledge.causes.get('own-label-on-spool')?.shows,
    { sure: ['own-label-on-spool-seen'], usual: ['top-break', 'shred'] },
  ],
];

describe('a change of the tables', () => {
  it.each(EACH)('%o stands in the changed version alone', (change, read, expected) => {
    const changed = versionWith([change]);
    expect(read(changed)).toEqual(expected);
    expect(read(SHIPPED)).not.toEqual(expected);
    expect(changed.knowledge.hash).not.toBe(SHIPPED.knowledge.hash);
    expect(compileKnowledge(changed.source)).toMatchObject({ ok: true });
  });

  it('takes a link away, and out of every other strength', () => {
    const shows = (strength: 'never' | 'rare') =>
      withChanges(SHIPPED_SOURCE, [
        { kind: 'shows', cause: 'needle-low', finding: 'skip', strength },
      ])
        .mechanisms.flatMap(({ causes }) => causes)
        .find(({ id }) => id === 'needle-low')?.shows;
    expect(Object.values(shows('never') ?? {}).flat()).not.toContain('skip');
    expect(shows('rare')?.rare).toEqual(['skip']);
    expect(shows('rare')?.often).toEqual(['needle-break']);
  });

  it.each<TableChange>([
    { kind: 'how-often', cause: 'no-such', perMille: 5 },
    { kind: 'check-minutes', check: 'no-such', minutes: 5 },
    { kind: 'by-itself', finding: 'no-such', chance: 0.1 },
  ])('of something unknown is none: %o', (change) => {
    expect(withChange(SHIPPED_SOURCE, change)).toBeUndefined();
    expect(withChanges(SHIPPED_SOURCE, [change])).toBe(SHIPPED_SOURCE);
  });

  it('cannot bring in a cause twice', () => {
    expect(withChange(withChanges(SHIPPED_SOURCE, [NEW_CAUSE]), NEW_CAUSE)).toBeUndefined();
  });

  it('the later one counts where two are about the same place', () => {
    const twice = [61, 70].map(
      (perMille): TableChange => ({
        kind: 'how-often',
        cause: 'needle-low',
        perMille,
      }),
    );
    expect(versionWith(twice).knowledge.causes.get('needle-low')?.perMille).toBe(70);
  });

  it('gives the same version for the same changes, and the shipped one for none', () => {
    expect(versionWith([])).toBe(SHIPPED);
    expect(versionWith([NEW_CAUSE])).toBe(versionWith([{ ...NEW_CAUSE }]));
  });

  it('moves the reckoning the way it says', () => {
    const chance = (model: ReturnType<typeof modelOf>) => {
      if (!model) throw new Error('no drop-in');
      const readings = [{ finding: 'skip', epoch: 0, present: true }];
      const { beliefs } = posterior(model.network, evidenceOf(model, readings, []));
      return beliefs.find(({ cause }) => cause === 'needle-low')?.is ?? 0;
    };
    const more = versionWith([{ kind: 'how-often', cause: 'needle-low', perMille: 200 }]);
    expect(chance(more.modelOf('drop-in'))).toBeGreaterThan(2 * chance(modelOf('drop-in')));
  });
});

describe('the worked cases under a changed version', () => {
  it('come out worse where the tables forget what a cause shows', () => {
    const before = judgeCases(SHIPPED, WORKED_CASES);
    const blind = versionWith([
      { kind: 'shows', cause: 'needle-low', finding: 'needle-short-of-stop', strength: 'rare' },
    ]);
    const after = judgeCases(blind, WORKED_CASES);
    const chanceOf = (verdicts: typeof before.verdicts) =>
      verdicts.flatMap(({ was }) => was.filter(({ cause }) => cause === 'needle-low'));
    expect(chanceOf(before.verdicts).length).toBeGreaterThan(0);
    chanceOf(after.verdicts).forEach(({ chance }, at) => {
      expect(chance).toBeLessThanOrEqual(chanceOf(before.verdicts)[at]?.chance ?? 0);
    });
    expect(chanceOf(after.verdicts)).not.toEqual(chanceOf(before.verdicts));
  });

  const before = judgeCases(SHIPPED, WORKED_CASES).verdicts;

  it('do not move when nothing changes', () => {
    expect(caseMoves(before, before)).toEqual([]);
  });

  it('are told with those first that are no longer told rightly, and the other way round', () => {
    const rare = versionWith(
      [...SHIPPED.knowledge.causes.keys()]
        .slice(0, 12)
        .map((cause): TableChange => ({ kind: 'how-often', cause, perMille: 0.01 })),
    );
    const after = judgeCases(rare, WORKED_CASES).verdicts;
    const moves = caseMoves(before, after);
    const lost = moves.filter(({ turn }) => turn === 'worse').length;
    expect(lost).toBeGreaterThan(0);
    expect(moves.slice(0, lost).every(({ turn }) => turn === 'worse')).toBe(true);
    expect(caseMoves(after, before).filter(({ turn }) => turn === 'better')).toHaveLength(lost);
  });
});
