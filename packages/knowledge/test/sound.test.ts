import { posterior, strengthOf as strengthByPlace } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import { evidenceOf, type FamilyModel, INTERVIEWS, KNOWLEDGE, modelOf } from '../src/index.ts';

const FAMILIES = [...KNOWLEDGE.families.keys()];

function familyOf(id: string): FamilyModel {
  const model = modelOf(id);
  if (!model) throw new Error(id);
  return model;
}

function strengthOf({ network }: FamilyModel, cause: string, finding: string): number {
  const index = network.causeIndex.get(cause) ?? -1;
  return strengthByPlace(network, index, network.findingIndex.get(finding) ?? -1);
}

/** Complaints that speak for a cause; without a strong one, its strongest. */
function complaintsOf(model: FamilyModel, cause: string): readonly string[] {
  const complaints = model.checks.get('complaint')?.findings.map(({ id }) => id) ?? [];
  const known = complaints.filter((id) => strengthOf(model, cause, id) > 0);
  const strong = known.filter((id) => strengthOf(model, cause, id) >= 0.8);
  if (strong.length > 0) return strong;
  return known
    .sort((a, b) => strengthOf(model, cause, b) - strengthOf(model, cause, a))
    .slice(0, 1);
}

/**
 * Everything that the cause shows "usually" or "surely" is seen, what it does not touch is
 * denied, and the trials that take it away cure.
 */
function whenAllSpeaks(model: FamilyModel, cause: string): number {
  const seen = new Set(complaintsOf(model, cause));
  const answers = [...model.findings.values()].flatMap(({ id, check }) => {
    const sewn = model.sewing.get(check);
    const strength = strengthOf(model, cause, id);
    if (sewn?.isTrial) return sewn.exchanged.has(cause) ? [{ id, present: true }] : [];
    if (sewn?.observes.has(id)) return [];
    if (strength >= 0.8 || seen.has(id)) return [{ id, present: true }];
    return strength === 0 ? [{ id, present: false }] : [];
  });
  const evidence = evidenceOf(
    model,
    answers.map(({ id, present }) => ({ finding: id, epoch: 0, present })),
    [],
  );
  const { beliefs } = posterior(model.network, evidence);
  return beliefs.find((belief) => belief.cause === cause)?.is ?? Number.NaN;
}

/** What the tables cannot make sure, the chance that they reach all the same, and why. */
const OUT_OF_REACH: Readonly<Record<string, { readonly least: number; readonly why: string }>> = {
  'thread-too-thick': {
    least: 0.8,
    why: 'thread and eye are the two ends of one mismatch: what shows the one shows the other',
  },
  'plate-hole-wide': {
    least: 0.8,
    why: 'only sewing on paper tells, and a minute of it shows a fault of every seam with .39',
  },
  'needle-eye-small': {
    least: 0.8,
    why: 'thread and eye are the two ends of one mismatch: what shows the one shows the other',
  },
};

describe('every cause can be made sure', () => {
  it.each(FAMILIES)('%s', (family) => {
    const model = familyOf(family);
    const short = [...model.causes.keys()]
      .map((cause) => ({ cause, reached: whenAllSpeaks(model, cause) }))
      .filter(({ cause, reached }) => reached < (OUT_OF_REACH[cause]?.least ?? 0.9));
    expect(short).toEqual([]);
  });
});

/** Sewn as long as it takes to see: a trial may be repeated. */
const LONG_SEWN = 0.9;

/** P(finding or cure | only this cause), for every check that is not an interview. */
function shownAlone(model: FamilyModel, cause: string): ReadonlyMap<string, number> {
  const shown = new Map<string, number>();
  for (const { id, check, leak } of model.findings.values()) {
    if (INTERVIEWS.has(check)) continue;
    const sewn = model.sewing.get(check);
    if (!sewn?.observes.has(id)) {
      shown.set(id, 1 - (1 - leak) * (1 - strengthOf(model, cause, id)));
    } else if (sewn.isTrial) shown.set(id, sewn.exchanged.has(cause) ? 1 : 1 - LONG_SEWN);
  }
  return shown;
}

describe('every two causes can be told apart by some check', () => {
  it.each(FAMILIES)('%s', (family) => {
    const model = familyOf(family);
    const causes = [...model.causes.keys()].map((cause) => ({
      cause,
      shown: shownAlone(model, cause),
    }));
    const alike = causes.flatMap((a, index) =>
      causes
        .slice(index + 1)
        .filter(
          (b) =>
            ![...a.shown].some(
              ([finding, chance]) => Math.abs(chance - (b.shown.get(finding) ?? 0)) >= 0.5,
            ),
        )
        .map((b) => `${a.cause} / ${b.cause}`),
    );
    expect(alike).toEqual([]);
  });
});

describe('every check', () => {
  it.each([...KNOWLEDGE.checks.values()].map((check) => [check.id, check] as const))(
    '%s says how, what is normal, and its cautions and tools where there are any',
    (_, check) => {
      expect(check.how.length).toBeGreaterThan(5);
      expect(check.normal.length).toBeGreaterThan(1);
      if (check.needs === 'sews' || check.needs === 'turns') {
        expect(check.hazard, 'a needle that moves').toBeDefined();
      }
      if (check.needs === 'sews') expect(check.tools?.length).toBeGreaterThan(0);
      for (const access of [check.access, check.accessFrontLoading ?? check.access]) {
        const states = KNOWLEDGE.access.filter(({ id }) => id === access);
        for (const { safety } of states) expect(safety.length).toBeGreaterThan(5);
      }
    },
  );

  it('that is about the mains defers to someone qualified', () => {
    const electric = [...KNOWLEDGE.checks.values()].filter(({ hazard }) => hazard === 'electric');
    expect(electric.length).toBeGreaterThan(0);
    for (const { how } of electric) expect(how).toMatch(/qualified/);
  });
});

describe('what puts a cause right', () => {
  it('names what must be at hand wherever something new or oil goes in', () => {
    const wanting = [...KNOWLEDGE.actions.values()].filter(
      ({ title, parts }) => /replaced|fitted|oiled|New /.test(title) && (parts ?? []).length === 0,
    );
    expect(wanting.map(({ id }) => id)).toEqual([]);
  });
});
