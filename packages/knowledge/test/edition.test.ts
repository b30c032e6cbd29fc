import { posterior } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import firstEdition from '../editions/first.json' with { type: 'json' };
import {
  compileKnowledge,
  evidenceOf,
  KNOWLEDGE,
  type KnowledgeSource,
  modelOf,
  parseCheckCondition,
  SHIPPED_SOURCE,
  storedKnowledge,
} from '../src/index.ts';

/** The flat-shank household families, of which the known results speak. */
const HOUSEHOLD = ['drop-in', 'drop-in-magnet', 'front-loading'] as const;

function likeliest(family: string, yes: readonly string[], no: readonly string[] = []) {
  const model = modelOf(family);
  if (!model) throw new Error(family);
  const reading = (finding: string, present: boolean) => ({ finding, epoch: 0, present });
  const { beliefs } = posterior(
    model.network,
    evidenceOf(
      model,
      [...yes.map((id) => reading(id, true)), ...no.map((id) => reading(id, false))],
      [],
    ),
  );
  return [...beliefs].sort((a, b) => b.is - a.is);
}

const FIRST = storedKnowledge(firstEdition as unknown as KnowledgeSource);

describe('ids are for ever', () => {
  it('keeps the first version as it was: its hash is what its tickets carry', () => {
    expect(FIRST.hash).toBe('14a35ddc583590e374c9f0cd069a74ed9a552eca2fd4714f5b265a1aea2ce777');
    expect(FIRST.causes.size).toBe(76);
    expect(FIRST.checks.size).toBe(73);
    expect(FIRST.findings.size).toBe(148);
  });

  it.each(['families', 'causes', 'checks', 'findings', 'actions', 'duties'] as const)(
    'every one of the first version’s %s is still there',
    (table) => {
      expect([...FIRST[table].keys()].filter((id) => !KNOWLEDGE[table].has(id))).toEqual([]);
    },
  );

  it('a finding stays with its check, a definer with its cause', () => {
    for (const [id, { check, defines }] of FIRST.findings) {
      expect(KNOWLEDGE.findings.get(id)).toMatchObject({ check, ...(defines && { defines }) });
    }
  });

  it('this version is sound', () => {
    expect(compileKnowledge(SHIPPED_SOURCE)).toMatchObject({ ok: true });
  });

  it('this version is another one, and says so', () => {
    expect(KNOWLEDGE.hash).not.toBe(FIRST.hash);
  });
});

describe('the tables', () => {
  it.each([...KNOWLEDGE.families.keys()])(
    '%s: every check can be reached and every gate asked',
    (family) => {
      const model = modelOf(family);
      const states = new Set(model?.access.map(({ id }) => id));
      for (const check of model?.checks.values() ?? []) {
        expect(states, check.id).toContain(check.access);
        for (const condition of check.requires ?? []) {
          expect(
            model?.checks.has(parseCheckCondition(condition).id),
            `${check.id} requires ${condition}`,
          ).toBe(true);
        }
      }
    },
  );

  it.each([...KNOWLEDGE.families.keys()])(
    '%s: every cause of it can be treated by some action',
    (family) => {
      const model = modelOf(family);
      const treated = new Set([...(model?.actions.values() ?? [])].flatMap(({ treats }) => treats));
      expect([...(model?.causes.keys() ?? [])].filter((cause) => !treated.has(cause))).toEqual([]);
    },
  );

  it('keep from a family what it cannot have', () => {
    expect(modelOf('overlocker')?.causes.has('bobbin-soft')).toBe(false);
    expect(modelOf('overlocker')?.checks.has('bobbin-wind')).toBe(false);
    expect(modelOf('front-loading')?.causes.has('case-pierced')).toBe(false);
    expect(modelOf('front-loading')?.findings.has('case-pierced')).toBe(false);
    expect(modelOf('straight-fast')?.checks.has('standard-zigzag')).toBe(false);
    expect(modelOf('drop-in')?.causes.has('needle-twisted')).toBe(false);
    expect(modelOf('drop-in')?.checks.get('case-seat')?.access).toBe('plate-off');
    expect(modelOf('front-loading')?.checks.get('case-seat')?.access).toBe('door');
    expect(modelOf('unicorn')).toBeUndefined();
  });
});

describe('known results, household flat-shank families (common practice, worked cases)', () => {
  it.each(HOUSEHOLD)(
    '%s: nest and loops underneath, nothing else: top thread outside the discs, above .4',
    (family) => {
      const [first] = likeliest(family, ['nest', 'loops-under']);
      expect(first?.cause).toBe('outside-tension-discs');
      expect(first?.is).toBeGreaterThan(0.4);
    },
  );

  it.each(HOUSEHOLD)(
    '%s: skips since a needle change: the wrong way round, then not up to its stop',
    (family) => {
      const [first, second] = likeliest(family, ['skip', 'after-needle']);
      expect([first?.cause, second?.cause]).toEqual(['needle-backward', 'needle-low']);
    },
  );

  it.each(HOUSEHOLD)(
    '%s: still first after a clean standard sew-out, which uses a new needle',
    (family) => {
      const [first] = likeliest(family, ['skip', 'after-needle'], ['straight-bad']);
      expect(first?.cause).toBe('needle-backward');
    },
  );

  it.each(HOUSEHOLD)(
    '%s: no bobbin thread comes up after a bobbin change: short tail',
    (family) => {
      expect(likeliest(family, ['no-pickup', 'after-bobbin'])[0]?.cause).toBe('bobbin-tail-short');
    },
  );

  it.each(HOUSEHOLD)(
    '%s: skips in free motion, clean standard sew-out: fabric rising',
    (family) => {
      expect(likeliest(family, ['skip', 'free-motion'], ['straight-bad'])[0]?.cause).toBe(
        'flagging',
      );
    },
  );

  it.each(HOUSEHOLD)('%s: motor runs, needle stands, winder not engaged: clutch', (family) => {
    expect(likeliest(family, ['motor-only'], ['winder-on'])[0]?.cause).toBe('clutch-loose');
  });

  it.each(HOUSEHOLD)('%s: needle seen bent and customer pulls: both above .8', (family) => {
    const beliefs = likeliest(family, ['needle-crooked', 'pulls-fabric']);
    for (const cause of ['needle-bent', 'pulls-fabric']) {
      expect(beliefs.find((belief) => belief.cause === cause)?.is, cause).toBeGreaterThan(0.8);
    }
  });
});

describe('duties of a family', () => {
  const rule = (
    family: string,
    duty: string,
    plan: 'per-minute' | 'one-at-a-time' = 'per-minute',
  ) =>
    modelOf(family)
      ?.dutyRules(plan)
      .find(({ id }) => id === duty);
  const asked = (family: string, duty: string) =>
    rule(family, duty)?.clearedAll.map(({ id }) => id);

  it('ask for the sew-out that this machine can make', () => {
    expect(asked('drop-in', 'sew-out')).toEqual(['standard-straight', 'standard-zigzag']);
    expect(asked('straight-fast', 'sew-out')).toEqual(['standard-straight']);
    expect(asked('overlocker', 'sew-out')).toEqual(['found-sew']);
  });

  it('take the good design as an embroidery head’s proof, not its failure', () => {
    // The check's normal answer is "it fails here too": that would prove the opposite.
    expect(rule('round-shank', 'sew-out')?.clearedAll).toEqual([
      { kind: 'finding', id: 'known-design-good' },
    ]);
  });

  it('ask squareness of the needle only where a needle can turn', () => {
    expect(asked('round-shank', 'seat-again')).toContain('needle-square');
    expect(asked('drop-in', 'seat-again')).not.toContain('needle-square');
  });

  it('leave gates to the step and plans to their plan', () => {
    expect(rule('drop-in', 'power-off')).toBeUndefined();
    expect(rule('drop-in', 'one-change')).toBeUndefined();
    expect(rule('drop-in', 'one-change', 'one-at-a-time')).toBeDefined();
  });
});
