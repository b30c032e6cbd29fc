import { describe, expect, it } from 'vitest';
import { assessDuties, type DutyFact, type DutyRule } from '../src/index.ts';

const rule = (given: Partial<DutyRule>): DutyRule => ({
  id: 'duty',
  raisedBy: [],
  clearedAll: [],
  clearedAny: [],
  clearedByRaiser: {},
  ...given,
});
const finding = (id: string, at: number, epoch = 0, runs = false): DutyFact => ({
  kind: 'finding',
  id,
  runs,
  at,
  epoch,
});
/** Seen or reported of the running machine. */
const symptom = (id: string, at: number, epoch = 0) => finding(id, at, epoch, true);
const check = (id: string, at: number, normal: boolean, epoch = 0): DutyFact => ({
  kind: 'check',
  id,
  at,
  epoch,
  normal,
});
const action = (id: string, at: number, epoch = 0, repair = true): DutyFact => ({
  kind: 'action',
  id,
  at,
  epoch,
  repair,
});
const state = (rules: DutyRule, ...facts: readonly DutyFact[]) =>
  assessDuties([rules], facts)[0]?.state ?? 'not raised';

const sweep = rule({
  raisedBy: ['finding:strike', 'finding:nick'],
  clearedAll: [
    { kind: 'check', id: 'plate', normal: false },
    { kind: 'check', id: 'hook', normal: false },
  ],
});

describe('a debt', () => {
  it('is not there before something raises it', () => {
    expect(state(sweep, check('plate', 1, true))).toBe('not raised');
  });

  it('is cleared only by what came after a raising that the running machine made', () => {
    expect(
      state(sweep, check('plate', 1, true), symptom('strike', 2), check('hook', 3, true)),
    ).toBe('owed');
  });

  it('counts what was done before only where the rule says so, and nothing ran since', () => {
    const needle = {
      raisedBy: ['finding:strike', 'finding:nick'],
      clearedAll: [{ kind: 'action', id: 'new-needle' }] as const,
    };
    const kept = rule({ ...needle, doneBefore: true });
    const struck = symptom('strike', 1);
    const fitted = action('new-needle', 2, 1);
    const nick = finding('nick', 4, 1);
    expect(state(kept, struck, fitted, nick)).toBe('cleared');
    expect(state(rule(needle), struck, fitted, nick)).toBe('owed');
    // Sewn in between, the new needle can have struck as well; and it struck where the finding ran.
    expect(state(kept, struck, fitted, symptom('skip', 3, 1), nick)).toBe('owed');
    expect(state(kept, struck, fitted, symptom('strike', 4, 1))).toBe('owed');
  });

  it('counts a look made before in the same state, where something seen at rest raised it', () => {
    const before = check('plate', 1, true);
    const after = check('hook', 4, true);
    expect(state(sweep, before, finding('nick', 3), after)).toBe('cleared');
    // Sewn, repaired, put together or treated in between, it is another state.
    const sewn: DutyFact = { kind: 'check', id: 'sew', normal: true, runs: true, at: 2, epoch: 0 };
    const closed: DutyFact = { kind: 'closed', id: 'plate-off', at: 2, epoch: 0 };
    for (const between of [sewn, closed, action('repair', 2), symptom('skip', 2)]) {
      expect(state(sweep, before, between, finding('nick', 3), after), between.id).toBe('owed');
    }
    expect(state(sweep, before, finding('nick', 3, 1), check('hook', 4, true, 1))).toBe('owed');
    // Only a look: what an action clears is done after the raising.
    const counted = rule({
      raisedBy: ['finding:nick'],
      clearedAll: [{ kind: 'action', id: 'counted' }],
    });
    expect(state(counted, action('counted', 1, 0, false), finding('nick', 2))).toBe('owed');
  });

  it('counts the raising check for its own line', () => {
    const seenTogether = [check('plate', 1, false), finding('nick', 1)];
    expect(state(sweep, ...seenTogether, check('hook', 2, true))).toBe('cleared');
  });

  it('says what is missing', () => {
    const [status] = assessDuties([sweep], [finding('strike', 1), check('hook', 2, true)]);
    expect(status?.missing.all).toEqual([{ kind: 'check', id: 'plate', normal: false }]);
  });

  it('is one strike when a second trace of it is found in the same epoch', () => {
    expect(
      state(
        sweep,
        finding('strike', 1),
        check('plate', 2, false),
        finding('nick', 2),
        check('hook', 3, true),
      ),
    ).toBe('cleared');
  });

  it('rises anew in a later epoch once it was settled', () => {
    const settled = [finding('strike', 1), check('plate', 2, true), check('hook', 3, true)];
    expect(state(sweep, ...settled)).toBe('cleared');
    expect(state(sweep, ...settled, finding('nick', 5, 1))).toBe('owed');
  });

  it('keeps what was done towards it while it is owed, whatever epoch a trace is found in', () => {
    expect(
      state(
        sweep,
        finding('strike', 1),
        check('hook', 2, true),
        check('plate', 4, false, 1),
        finding('nick', 4, 1),
      ),
    ).toBe('cleared');
  });

  it('is settled by a waiver, until it rises anew', () => {
    const waived: DutyFact = { kind: 'waived', id: 'duty', at: 2, epoch: 0 };
    expect(state(sweep, finding('strike', 1), waived)).toBe('waived');
    expect(state(sweep, finding('strike', 1), waived, finding('strike', 3, 1))).toBe('owed');
  });

  it('is settled by a waiver of its own, after it was raised', () => {
    const waiver = (id: string, at: number): DutyFact => ({ kind: 'waived', id, at, epoch: 0 });
    expect(state(sweep, waiver('duty', 1), finding('strike', 2))).toBe('owed');
    expect(state(sweep, finding('strike', 1), waiver('another', 2))).toBe('owed');
    // Something else of the duty's name waives nothing.
    expect(state(sweep, finding('strike', 1), finding('duty', 2))).toBe('owed');
  });

  it('goes by when things happened, in whatever order they are told', () => {
    const facts = [check('hook', 3, true), check('plate', 1, true), symptom('strike', 2)];
    expect(state(sweep, ...facts)).toBe('owed');
    expect(state(sweep, ...facts, check('plate', 4, true))).toBe('cleared');
  });

  it('that asks for nothing this machine has stays owed until it is waived', () => {
    expect(state(rule({ raisedBy: ['finding:strike'] }), finding('strike', 1))).toBe('owed');
  });
});

describe('a proof', () => {
  const proof = rule({
    raisedBy: ['repair:*'],
    clearedAll: [{ kind: 'check', id: 'sew', normal: true }],
  });

  it('is owed for every repair, and only for repairs', () => {
    expect(state(proof, action('power-on', 1, 0, false))).toBe('not raised');
    expect(state(proof, action('rethreaded', 1, 1))).toBe('owed');
  });

  it('is no proof when a fault was seen', () => {
    expect(state(proof, action('rethreaded', 1, 1), check('sew', 2, false, 1))).toBe('owed');
  });

  it('from looking at something else proves nothing', () => {
    expect(state(proof, action('rethreaded', 1, 1), check('turn', 2, true, 1))).toBe('owed');
    expect(state(proof, action('rethreaded', 1, 1), check('sew', 2, true, 1))).toBe('cleared');
  });

  it('from before the last repair proves nothing', () => {
    expect(
      state(proof, action('rethreaded', 1, 1), check('sew', 2, true, 1), action('oiled', 3, 2)),
    ).toBe('owed');
  });
});

describe('several raisers with proofs of their own', () => {
  const burr = rule({
    raisedBy: ['action:plate-dressed', 'action:foot-dressed'],
    clearedByRaiser: {
      'action:plate-dressed': [{ kind: 'check', id: 'plate', normal: true }],
      'action:foot-dressed': [{ kind: 'check', id: 'foot', normal: true }],
    },
  });

  it('asks each dressed surface, not only the last', () => {
    const both = [action('plate-dressed', 1, 1), action('foot-dressed', 2, 2)];
    expect(state(burr, ...both, check('foot', 3, true, 2))).toBe('owed');
    expect(state(burr, ...both, check('foot', 3, true, 2), check('plate', 4, true, 2))).toBe(
      'cleared',
    );
  });

  it('asks nothing of a surface that was not dressed', () => {
    expect(state(burr, action('foot-dressed', 1, 1), check('foot', 2, true, 1))).toBe('cleared');
  });
});

describe('one of several', () => {
  const any = rule({
    raisedBy: ['finding:break'],
    clearedAny: [
      { kind: 'action', id: 'accounted' },
      { kind: 'action', id: 'waived' },
    ],
  });

  it('is cleared by any', () => {
    expect(state(any, finding('break', 1))).toBe('owed');
    expect(state(any, finding('break', 1), action('accounted', 2, 0, false))).toBe('cleared');
  });

  it('names them all as long as none is met', () => {
    const missingOf = (...facts: readonly DutyFact[]) => assessDuties([any], facts)[0]?.missing;
    expect(missingOf(finding('break', 1))).toEqual({ all: [], any: any.clearedAny });
    expect(missingOf(finding('break', 1), action('waived', 2))).toEqual({ all: [], any: [] });
  });

  it('is met by a thing of the same kind and name only', () => {
    const seen = rule({
      raisedBy: ['finding:break'],
      clearedAll: [{ kind: 'finding', id: 'whole' }],
    });
    expect(state(seen, finding('break', 1), action('whole', 2))).toBe('owed');
    expect(state(seen, finding('break', 1), finding('half', 2))).toBe('owed');
    expect(state(seen, finding('break', 1), finding('whole', 2))).toBe('cleared');
  });
});
