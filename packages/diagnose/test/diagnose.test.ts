import { describe, expect, it } from 'vitest';
import { answer } from '../src/answer.ts';
import { readQuestion } from '../src/question.ts';
import { tablesOf } from '../src/tables.ts';

const ask = (question: unknown) => {
  let now = 0;
  return answer(readQuestion(JSON.stringify(question)), () => (now += 5));
};
const refusal = (text: string): string => {
  try {
    readQuestion(text);
  } catch (fault) {
    return fault instanceof Error ? fault.message : String(fault);
  }
  return 'nothing refused';
};
const refused = (question: unknown): string => refusal(JSON.stringify(question));

describe('an answer', () => {
  const given = ask({
    machine: { family: 'drop-in' },
    findings: { skip: true, 'after-needle': true, knit: false },
  });

  it('has all causes, the likeliest first', () => {
    expect(given.causes.slice(0, 2).map(({ cause }) => cause)).toEqual([
      'needle-backward',
      'needle-low',
    ]);
    expect(given.causes.length).toBeGreaterThan(60);
    const chances = given.causes.map(({ probability }) => probability);
    expect(chances).toEqual([...chances].sort((a, b) => b - a));
  });

  it('has what is worth its minutes, the best first', () => {
    const { next } = ask({ machine: { family: 'drop-in' }, findings: { nest: true } });
    expect(next.length).toBeGreaterThan(0);
    for (const { gain, minutes } of next) expect(gain).toBeGreaterThan(minutes);
  });

  it('has what is to blame now beside what is there', () => {
    for (const { probability, blame } of given.causes)
      expect(blame).toBeLessThanOrEqual(probability);
    const unreported = ask({ machine: { family: 'drop-in' }, findings: { 'after-needle': true } });
    for (const { probability, blame } of unreported.causes) expect(blame).toBe(probability);
  });

  it('has the comeback risk and the time that the reckoning took', () => {
    expect(given.risk).toBe(1);
    expect(given.milliseconds).toBe(5);
  });

  it('is the same for the same question', () => {
    const question = { machine: { family: 'mini' }, findings: { jam: true } };
    expect(ask(question)).toEqual(ask(question));
  });

  it('owes what a strike raises', () => {
    const strike = ask({ machine: { family: 'drop-in' }, findings: { 'needle-strike': true } });
    expect(strike.duties).toEqual(expect.arrayContaining(['strike-sweep', 'strike-needle']));
    expect(given.duties).toEqual([]);
  });

  it('lists the full sweep in its order, worth it or not', () => {
    const sweep = ask({
      machine: { family: 'drop-in' },
      findings: { skip: true },
      plan: 'full-sweep',
    });
    expect(sweep.next[0]?.check).toBe('found-sew');
    expect(sweep.next.length).toBeGreaterThan(40);
  });

  it('counts what stands open, and what had to be opened before it', () => {
    const question = (access: unknown) => ({
      machine: { family: 'drop-in' },
      findings: { 'needle-strike': true, 'after-jam': true },
      access,
      plan: 'full-sweep',
    });
    const minutes = (access: unknown) =>
      ask(question(access)).next.find(({ check }) => check === 'plate-surface')?.minutes;
    expect(minutes('closed')).toBeCloseTo(4.9, 9);
    expect(minutes('plate-off')).toBe(0.7);
    expect(minutes(['foot-off'])).toBeCloseTo(0.7 + 1 + 1.5, 9);
  });

  it('by phone asks only what is done by phone', () => {
    const phone = ask({ machine: { family: 'drop-in' }, findings: { skip: true }, place: 'phone' });
    expect(phone.next.map(({ check }) => check)).not.toContain('needle-loupe');
  });
});

describe('a story', () => {
  const machine = { family: 'drop-in' };
  const findings = { skip: true };

  it('tells what the bench would do: look, put right, sew, close', () => {
    const told = ask({ machine, findings: { nest: true, 'loops-under': true } });
    expect(told.do).toMatchObject({ kind: 'check', id: 'presser-lever', minutes: 0.1 });
    const seen = ask({ machine, findings, then: [{ findings: { 'needle-crooked': true } }] });
    expect(seen.do).toMatchObject({ kind: 'action', id: 'needle-replaced' });
    expect(ask({ machine }).do).toEqual({ kind: 'close', id: 'ticket', minutes: 0 });
  });

  it('asks for a proof after the repair, and needs none once it was sewn', () => {
    const repaired = [{ findings: { 'needle-crooked': true } }, { did: 'needle-replaced' }];
    const after = ask({ machine, findings, then: repaired });
    expect(after.proofMinutes).toBeGreaterThan(0);
    expect(after.proofMinutes).toBeLessThanOrEqual(15);
    const sewn = { sewn: 'skip', seen: false, minutes: after.proofMinutes };
    const proven = ask({ machine, findings, then: [...repaired, sewn] });
    expect(proven.risk).toBeLessThanOrEqual(0.05);
    expect(proven.proofMinutes).toBe(0);
    const again = ask({ machine, findings, then: [...repaired, { ...sewn, seen: true }] });
    expect(again.risk).toBeGreaterThan(0.9);
  });

  it('says that a proof cannot be had where the fault shows too seldom', () => {
    const then = [{ did: 'needle-replaced' }];
    const seldom = ask({ machine, findings, often: 'hours', then });
    expect(seldom.proofMinutes).toBeNull();
  });

  it('lets nothing be sewn, nor turned before the pieces are found, when a needle broke', () => {
    const broke = ask({ machine, findings: { 'needle-break': true } });
    expect(broke.do).toMatchObject({ kind: 'action', id: 'fragments-accounted' });
    const ids = broke.next.map(({ check }) => check);
    expect(ids).not.toContain('found-sew');
    expect(ids).not.toContain('wheel-feel');
    expect(ids).not.toContain('hand-turn');
    const found = ask({
      machine,
      findings: { 'needle-break': true },
      then: [{ did: 'fragments-accounted' }],
    });
    expect(found.do).toMatchObject({ kind: 'check', id: 'foot-match' });
  });

  it('leaves the machine open after a look inside, and closed after sewing', () => {
    const then = [{ findings: { 'plate-nicked': false } }];
    const question = { machine, findings: { 'loops-under': true }, plan: 'full-sweep' };
    const minutes = (steps: readonly unknown[]) =>
      ask({ ...question, then: steps }).next.find(({ check }) => check === 'case-surface')?.minutes;
    const open = minutes(then) ?? 0;
    const sewn = { sewn: 'loops-under', seen: true, minutes: 1 };
    expect(minutes([...then, sewn]) ?? 0).toBeCloseTo(open + 0.3 + 0.4 + 0.4 + 0.6 + 1 + 1.5, 9);
  });
});

describe('what is proposed on a machine in pieces', () => {
  const machine = { family: 'drop-in' };
  const strike = { 'needle-strike': true };
  const inPieces = [
    { findings: { 'plate-nicked': false } },
    { findings: { 'hook-catches': false } },
  ];

  it('asks for nothing that is off, and not how the case sat', () => {
    const { next, do: first } = ask({ machine, findings: strike, then: inPieces });
    const proposed = [...next.map(({ check }) => check), first.id];
    for (const id of ['case-seat', 'wheel-feel', 'foot-match', 'flag-watch', 'needle-facing']) {
      expect(proposed).not.toContain(id);
    }
  });

  it('looks how the case sits before it comes out', () => {
    const { checks } = tablesOf('drop-in');
    let then: object[] = [];
    const ids: string[] = [];
    const isOut = () => checks.some(({ id, access }) => id === ids.at(-1) && access === 'case-out');
    for (let step = 0; step < 30 && !isOut(); step += 1) {
      const { do: first } = ask({ machine, findings: { nest: true }, then });
      ids.push(first.id);
      const found = checks.find(({ id }) => id === first.id)?.findings ?? [];
      const seen = Object.fromEntries(found.map(({ id }) => [id, false]));
      then = [...then, first.kind === 'action' ? { did: first.id } : { findings: seen }];
    }
    expect(isOut()).toBe(true);
    expect(ids).toContain('case-seat');
  });

  it('sews, turns and tries nothing that smokes, sparks or tingles', () => {
    const answer = ask({ machine, findings: { 'smoke-tingle': true } });
    expect(answer.do).toMatchObject({ kind: 'action', id: 'electrical-referred' });
    const { checks } = tablesOf('drop-in');
    for (const { check } of answer.next) {
      expect(['sews', 'turns']).not.toContain(checks.find(({ id }) => id === check)?.needs);
    }
  });

  it.each(['drop-in', 'front-loading'])(
    '%s: what was open is put together and turned by hand before anything is sewn',
    (family) => {
      const then = [{ findings: { 'hook-catches': false } }];
      const { checks } = tablesOf(family);
      const sews = checks.filter(({ needs }) => needs === 'sews').map(({ id }) => id);
      for (const plan of ['per-minute', 'one-at-a-time', 'full-sweep']) {
        const open = { machine: { family }, findings: { skip: true }, then, plan };
        const answer = ask(open);
        for (const id of [...answer.next.map(({ check }) => check), answer.do.id]) {
          expect(sews).not.toContain(id);
        }
        const wheel = checks.find(({ id }) => id === 'wheel-feel')?.findings ?? [];
        const free = Object.fromEntries(wheel.map(({ id }) => [id, false]));
        const turned = ask({ ...open, then: [...then, { findings: free }] });
        expect(turned.duties).not.toContain('hand-before-power');
      }
    },
  );

  it('reads nothing off a needle that broke', () => {
    const then = [{ did: 'fragments-accounted' }];
    const { next } = ask({ machine, findings: { 'needle-break': true }, then });
    for (const { check } of next) {
      expect(['needle-straight', 'needle-nail', 'needle-loupe', 'needle-facing']).not.toContain(
        check,
      );
    }
  });

  it.each(['drop-in', 'front-loading', 'overlocker'])(
    '%s: measures no adjustment before needle and surfaces, moves none before it is noted',
    (family) => {
      const { symptoms } = tablesOf(family);
      for (const symptom of symptoms) {
        const told = ask({
          machine: { family },
          findings: { [symptom]: true },
          plan: 'full-sweep',
        });
        for (const { check } of told.next) {
          expect(['timing', 'bar-height', 'hook-gap']).not.toContain(check);
        }
      }
    },
  );

  it('notes the marks before it sets the timing', () => {
    const then = [{ findings: { 'hook-early-late': true } }];
    expect(ask({ machine, findings: { skip: true }, then }).do.id).toBe('marks-noted');
    const noted = [...then, { did: 'marks-noted' }];
    expect(ask({ machine, findings: { skip: true }, then: noted }).do.id).toBe('timing-set');
  });
});

describe('a machine on which all is well comes to its end', () => {
  it.each([
    ['overlocker', 'skip'],
    ['round-shank', 'top-break'],
    ['front-loading', 'needle-strike'],
    ['drop-in', 'bobbin-break'],
    ['mini', 'jam'],
    ['side-needle', 'loops-top'],
    ['straight-fast', 'pop'],
  ])('%s: %s, with nothing sewn before the hand and nothing left owed', (family, symptom) => {
    const { checks } = tablesOf(family);
    const then: object[] = [];
    let told = ask({ machine: { family }, findings: { [symptom]: true } });
    while (told.do.kind !== 'close' && then.length < 45) {
      const check = checks.find(({ id }) => id === told.do.id);
      if (check?.needs === 'sews') expect(told.duties).not.toContain('hand-before-power');
      // Nothing found, but for the one finding that is good news.
      const seen = (check?.findings ?? []).map(
        ({ id }) => [id, id === 'known-design-good'] as const,
      );
      const step =
        told.do.kind === 'action'
          ? { did: told.do.id }
          : told.do.id === 'found-sew'
            ? { sewn: symptom, seen: false, minutes: told.proofMinutes || 15 }
            : { findings: Object.fromEntries(seen) };
      then.push(step);
      told = ask({ machine: { family }, findings: { [symptom]: true }, then });
    }
    expect(told.do).toEqual({ kind: 'close', id: 'ticket', minutes: 0 });
    expect(told.duties).toEqual([]);
    expect(told.risk).toBeLessThan(0.1);
  });
});

describe('the tables of a family', () => {
  it('are told with the ids that a question may use', () => {
    const { checks, actions, causes, symptoms } = tablesOf('front-loading');
    expect(checks.find(({ id }) => id === 'case-seat')).toEqual({
      id: 'case-seat',
      minutes: 0.5,
      access: 'door',
      needs: 'looks',
      where: 'bench',
      findings: [{ id: 'seat-off' }],
    });
    expect(actions.find(({ id }) => id === 'case-dressed')?.treats).toEqual(['case-burr']);
    for (const { treats } of actions) expect(causes).toEqual(expect.arrayContaining([...treats]));
    expect(symptoms).toEqual(expect.arrayContaining(['skip', 'loops-under', 'needle-break']));
    const findings = checks.flatMap((check) => check.findings.map(({ id }) => id));
    expect(findings).toEqual(expect.arrayContaining([...symptoms]));
  });

  it.each([undefined, 'moon'])('are refused for the family %s', (family) => {
    expect(() => tablesOf(family)).toThrow(/^FAMILY: /);
  });
});

describe('a question is refused with its field', () => {
  it.each([
    ['an unknown family', { machine: { family: 'loom' } }, /^machine\.family: /],
    ['no machine', { findings: {} }, /^machine: /],
    [
      'an unknown finding',
      { machine: { family: 'drop-in' }, findings: { sneezes: true } },
      /^findings\.sneezes: /,
    ],
    [
      'a finding that this family does not have',
      { machine: { family: 'overlocker' }, findings: { 'loops-top': true } },
      /^findings\.loops-top: /,
    ],
    [
      'an answer that is neither yes nor no',
      { machine: { family: 'drop-in' }, findings: { skip: 'maybe' } },
      /^findings\.skip: /,
    ],
    ['an unknown key', { machine: { family: 'drop-in' }, colour: 'red' }, /^colour: /],
    ['an unknown key inside', { machine: { family: 'drop-in', age: 3 } }, /^machine\.age: /],
    ['an unknown plan', { machine: { family: 'drop-in' }, plan: 'hurry' }, /^plan: /],
    ['an unknown place', { machine: { family: 'drop-in' }, place: 'moon' }, /^place: /],
    [
      'a state that this family does not have',
      { machine: { family: 'drop-in' }, access: ['foot-off', 'door'] },
      /^access\.1: /,
    ],
    [
      'an unknown action',
      { machine: { family: 'drop-in' }, then: [{ did: 'kicked' }] },
      /^then\.0\.did: /,
    ],
    [
      'an unknown symptom',
      { machine: { family: 'drop-in' }, then: [{ sewn: 'knit', seen: true, minutes: 1 }] },
      /^then\.0\.sewn: /,
    ],
    [
      'minutes that are none',
      { machine: { family: 'drop-in' }, then: [{ sewn: 'skip', seen: true, minutes: 0 }] },
      /^then\.0/,
    ],
    [
      'an unknown finding in a step',
      { machine: { family: 'drop-in' }, then: [{ findings: { moon: true } }] },
      /^then\.0\.findings\.moon: /,
    ],
    ['how often in no known word', { machine: { family: 'drop-in' }, often: 'daily' }, /^often: /],
    ['a state of the wrong type', { machine: { family: 'drop-in' }, access: 7 }, /^access: /],
  ])('%s', (_, question, line) => {
    expect(refused(question)).toMatch(line);
    expect(refused(question)).not.toContain('\n');
  });

  it.each([
    ['text that is not JSON', '{"machine": ', /^file: not JSON/],
    ['nothing', '', /^file: not JSON/],
    ['a list', '[]', /^file: /],
    [
      'a key given twice',
      '{"machine": {"family": "drop-in"}, "findings": {"skip": true, "skip": false}}',
      /^findings\.skip: given twice$/,
    ],
    [
      'a key given twice in other letters',
      '{"machine": {"family": "drop-in"}, "findings": {"skip": true, "sk\\u0069p": false}}',
      /^findings\.skip: given twice$/,
    ],
    [
      'an outer key given twice',
      '{"machine": {"family": "drop-in"}, "machine": {"family": "mini"}}',
      /^machine: given twice$/,
    ],
    ['a comment', '{"machine": {"family": "drop-in"}} // why', /^file: not JSON/],
  ])('%s', (_, text, line) => {
    expect(refusal(text)).toMatch(line);
  });
});
