import { describe, expect, it } from 'vitest';
import { answer } from '../src/answer.ts';
import { readQuestion } from '../src/question.ts';

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
    expect(given.next[0]).toMatchObject({ check: 'needle-facing', minutes: 0.3 });
    for (const { gain, minutes } of given.next) expect(gain).toBeGreaterThan(minutes);
  });

  it('has the comeback risk and the time that the reckoning took', () => {
    expect(given.risk).toBeGreaterThan(0.5);
    expect(given.risk).toBeLessThanOrEqual(1);
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
