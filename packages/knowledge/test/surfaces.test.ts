import { agree, hourOf, leanOf } from '@nodo/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  ACTION_FOR,
  COARSEST_GRIT,
  DRESSING_TOOLS,
  DROVE_IT,
  dressingSteps,
  dressingToolsFor,
  findingOf,
  isPlastic,
  joinStrikes,
  KNOWLEDGE,
  LOOK_AGAIN,
  MARK_KINDS,
  type MarkKind,
  type MarkOnMap,
  modelOf,
  STRUCK_PARTS,
  SURFACE_IDS,
  SURFACES,
  type SurfaceId,
  surfaceOf,
  verdictOn,
  verdictOnPart,
} from '../src/index.ts';

const mark = (
  surface: SurfaceId,
  hour: number,
  kind: MarkKind = 'raised',
  out = 0.85,
): MarkOnMap => ({ id: `${surface} ${hour}`, surface, hour: hourOf(hour), out, kind });

describe('what is done about a mark (common practice, handbook)', () => {
  it('leaves a depression, dresses what stands up, replaces what is pierced', () => {
    expect(verdictOn('depression')).toBe('leave');
    expect(verdictOn('raised')).toBe('dress');
    expect(verdictOn('scratch')).toBe('dress');
    expect(verdictOn('pierced')).toBe('replace');
  });

  it('replaces the part for one pierce among raised marks', () => {
    expect(verdictOnPart(['raised', 'raised', 'pierced'])).toBe('replace');
    expect(verdictOnPart(['depression', 'raised'])).toBe('dress');
    expect(verdictOnPart([])).toBe('leave');
  });

  it('runs a rotary tool on metal only', () => {
    expect(dressingToolsFor('case', true)).toEqual(['hand']);
    expect(dressingToolsFor('case', false)).toEqual(DRESSING_TOOLS);
    expect(dressingToolsFor('plate', true)).toEqual(DRESSING_TOOLS);
  });

  it('never takes anything coarser than 400, goes from coarse to fine, and ends polished and wiped', () => {
    for (const part of STRUCK_PARTS) {
      for (const kind of ['raised', 'scratch'] as const) {
        for (const tool of DRESSING_TOOLS) {
          const steps = dressingSteps(kind, part, tool);
          const grits = steps.flatMap(({ grit }) => (grit > 0 ? [grit] : []));
          expect(Math.min(...grits)).toBeGreaterThanOrEqual(COARSEST_GRIT);
          expect(grits).toEqual([...grits].sort((a, b) => a - b));
          expect(steps.slice(-2).map(({ id }) => id)).toEqual(['polish', 'wipe']);
        }
      }
    }
  });

  it('has eye protection at every step of a rotary tool, and no file on a hook', () => {
    const turned = dressingSteps('raised', 'case', 'rotary');
    expect(turned.filter(({ eyes }) => eyes).map(({ id }) => id)).toEqual(['point', 'polish']);
    const byHand = dressingSteps('raised', 'case', 'hand');
    expect(byHand.map(({ id }) => id)).toEqual(['file', 'abrasive', 'abrasive', 'polish', 'wipe']);
    expect(byHand.some(({ eyes }) => eyes)).toBe(false);
    expect(dressingSteps('raised', 'hook', 'hand').some(({ id }) => id === 'file')).toBe(false);
    const finer = dressingSteps('scratch', 'plate', 'hand', 1000);
    expect(finer.flatMap(({ grit }) => (grit > 0 ? [grit] : []))).toEqual([600, 800, 1000]);
  });

  it('names actions and checks that there are, and a finding of the check that looks at the surface', () => {
    for (const part of STRUCK_PARTS) {
      for (const action of Object.values(ACTION_FOR[part])) {
        expect(KNOWLEDGE.actions.has(action), action).toBe(true);
      }
      for (const check of LOOK_AGAIN[part]) expect(KNOWLEDGE.checks.has(check), check).toBe(true);
    }
    for (const { checks } of DROVE_IT) {
      for (const check of checks) expect(KNOWLEDGE.checks.has(check), check).toBe(true);
    }
    for (const { part, check } of SURFACES) {
      const findings = KNOWLEDGE.checks.get(check)?.findings.map(({ id }) => id);
      for (const kind of ['raised', 'scratch', 'pierced'] as const) {
        expect(findings).toContain(findingOf(kind, part, true));
      }
      expect(findingOf('depression', part, true)).toBeUndefined();
    }
  });

  it('knows a pierced case only where cases are of plastic', () => {
    for (const family of ['drop-in', 'front-loading']) {
      const model = modelOf(family);
      if (!model) throw new Error(family);
      const finding = findingOf('pierced', 'case', isPlastic('case', model.family));
      expect(model.findings.has(finding ?? ''), family).toBe(true);
    }
    expect(isPlastic('hook', { traits: ['plastic-case'] })).toBe(false);
  });
});

describe('marks joined into one likely event', () => {
  it('takes foot, plate, case and hook of one side for one strike', () => {
    // What lies at 9 on the foot turned over sideways sits on the machine's right.
    const marks = [mark('hook', 7), mark('case-inside', 1), mark('plate-top', 3, 'raised', 0.4)];
    const [strike, ...more] = joinStrikes([...marks, mark('foot', 9, 'depression', 0.5)]);
    expect(more).toEqual([]);
    expect(strike).toMatchObject({ parts: ['foot', 'plate', 'case', 'hook'], across: 1, along: 0 });
    expect(strike?.marks).toHaveLength(4);
  });

  it('keeps left and right apart: two strikes, or both swings of a zigzag', () => {
    const strikes = joinStrikes([
      mark('plate-top', 3, 'raised', 0.4),
      mark('case-inside', 1),
      mark('plate-top', 9, 'raised', 0.4),
      mark('case-inside', 11),
    ]);
    expect(strikes.map(({ across, parts }) => [across, parts])).toEqual([
      [1, ['plate', 'case']],
      [-1, ['plate', 'case']],
    ]);
  });

  it('makes no event of one part, nor of scratches alone', () => {
    expect(joinStrikes([mark('case-inside', 1), mark('case-outside', 1)])).toEqual([]);
    expect(joinStrikes([mark('plate-top', 3, 'scratch', 0.4), mark('hook', 2, 'scratch')])).toEqual(
      [],
    );
  });

  const anyMarks = fc
    .array(
      fc.record({
        surface: fc.constantFrom(...SURFACE_IDS),
        hour: fc.double({ min: 0, max: 11.999, noNaN: true }).map(hourOf),
        out: fc.double({ min: 0, max: 1, noNaN: true }),
        kind: fc.constantFrom(...MARK_KINDS),
      }),
      { maxLength: 9 },
    )
    .map((marks) => marks.map((one, index) => ({ ...one, id: String(index) })));

  it('puts a mark into one event at most, and none that there was not', () => {
    fc.assert(
      fc.property(anyMarks, (marks) => {
        const joined = joinStrikes(marks).flatMap((strike) => strike.marks);
        expect(new Set(joined).size).toBe(joined.length);
        expect(joined.every((id) => marks.some((one) => one.id === id))).toBe(true);
      }),
    );
  });

  it('joins over at least two parts, and never left with right nor front with back', () => {
    fc.assert(
      fc.property(anyMarks, (marks) => {
        for (const strike of joinStrikes(marks)) {
          expect(strike.parts.length).toBeGreaterThan(1);
          const leans = marks.flatMap((one) => {
            const { needle, showsAlong, isTurnedOver } = surfaceOf(one.surface);
            if (!needle || !strike.marks.includes(one.id)) return [];
            const { across, along } = leanOf(one, needle, showsAlong);
            const asItSits = (isTurnedOver ? -across : across) as typeof across;
            return [{ across: asItSits, along }];
          });
          for (const a of leans) for (const b of leans) expect(agree(a, b)).toBe(true);
        }
      }),
    );
  });
});
