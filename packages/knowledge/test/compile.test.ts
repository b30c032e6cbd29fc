import { describe, expect, it } from 'vitest';
import {
  type CauseSource,
  type CheckSource,
  compileKnowledge,
  type DutySource,
  type KnowledgeIssueCode,
  type KnowledgeSource,
  type Mechanism,
  SHIPPED_SOURCE,
} from '../src/index.ts';

const cause: CauseSource = {
  id: 'loose',
  name: 'Loose',
  remedy: 'Tighten it',
  perMille: 10,
  side: 'set-up',
  fixMinutes: 1,
  byPhone: true,
  shows: { sure: ['slack'] },
};
const check: CheckSource = {
  id: 'look',
  title: 'Look',
  minutes: 1,
  access: 'closed',
  where: 'phone',
  place: 'needle',
  how: 'Look at it.',
  normal: 'Tight',
  needs: 'looks',
  findings: [{ id: 'slack', answer: 'Slack', leak: 0.01, defines: 'loose' }],
};
const duty: DutySource = {
  id: 'prove',
  title: 'Prove',
  raisedBy: ['action:tightened'],
  clearedAll: ['check:look=normal'],
  text: 'Prove it',
  why: 'Because',
};
const mechanism: Mechanism = {
  id: 'small',
  title: 'Small',
  standing: { priors: 'tuned', strengths: 'tuned', leaks: 'tuned', minutes: 'tuned' },
  causes: [cause],
  checks: [check],
  actions: [
    {
      id: 'tightened',
      title: 'Tightened',
      todo: 'Tighten',
      treats: ['loose'],
      repair: true,
      minutes: 1,
    },
  ],
};
const sound: KnowledgeSource = {
  families: [
    {
      id: 'plain',
      title: 'Plain',
      traits: ['bobbin'],
      needleSystem: '',
      flatOrScarfFaces: '',
      threads: '',
      bobbinLoading: '',
      hook: '',
      case: '',
      takeUp: '',
      notes: '',
    },
  ],
  access: [
    { id: 'closed', title: 'Closed', openMinutes: 0, closeMinutes: 0, means: '', safety: '' },
  ],
  mechanisms: [mechanism],
  duties: [duty],
};

const withMechanism = (change: Partial<Mechanism>): KnowledgeSource => ({
  ...sound,
  mechanisms: [{ ...mechanism, ...change }],
});
const withCause = (change: Partial<CauseSource>) =>
  withMechanism({ causes: [{ ...cause, ...change }] });
const withCheck = (change: Partial<CheckSource>) =>
  withMechanism({ checks: [{ ...check, ...change }] });
const withDuty = (change: Partial<DutySource>): KnowledgeSource => ({
  ...sound,
  duties: [{ ...duty, ...change }],
});

const faultsOf = (source: KnowledgeSource) => {
  const compiled = compileKnowledge(source);
  return compiled.ok ? [] : compiled.faults;
};

describe('each kind of fault', () => {
  it('has none in the sound tables that the others are made from', () => {
    expect(faultsOf(sound)).toEqual([]);
  });

  it.each<[KnowledgeIssueCode, string, KnowledgeSource]>([
    ['double-id', 'two causes of one id', withMechanism({ causes: [cause, cause] })],
    [
      'unknown-cause',
      'an action that treats what is not there',
      withMechanism({
        actions: [
          ...mechanism.actions,
          {
            id: 'other',
            title: 'Other',
            todo: 'Do it',
            treats: ['ghost'],
            repair: true,
            minutes: 1,
          },
        ],
      }),
    ],
    [
      'unknown-cause',
      'a finding that defines what is not there',
      withCheck({
        findings: [...check.findings, { id: 'x', answer: 'X', leak: 0.1, defines: 'ghost' }],
      }),
    ],
    [
      'unknown-check',
      'a check that requires what is not there',
      withCheck({ requires: ['ghost=normal'] }),
    ],
    [
      'unknown-check',
      'a check that requires another to have shown what is no word for it',
      withMechanism({
        checks: [check, { ...check, id: 'again', findings: [], requires: ['look=fond'] }],
      }),
    ],
    [
      'unknown-finding',
      'a link to what is not there',
      withCause({ shows: { sure: ['slack'], few: ['ghost'] } }),
    ],
    [
      'unknown-action',
      'a duty that asks for an action that is not there',
      withDuty({ clearedAny: ['action:ghost'] }),
    ],
    ['unknown-access', 'a check behind a door that is not there', withCheck({ access: 'hood' })],
    ['unknown-trait', 'a cause for a trait that no family has', withCause({ applies: 'wings' })],
    [
      'unknown-token',
      'a duty raised by what is not there',
      withDuty({ raisedBy: ['finding:ghost'] }),
    ],
    [
      'unknown-token',
      'a requirement that cannot be read',
      withDuty({ clearedAll: ['look at it' as 'check:it'] }),
    ],
    [
      'unknown-strength',
      'a strength word of its own',
      withCause({ shows: { sure: ['slack'], always: ['slack'] } as never }),
    ],
    [
      'link-twice',
      'one link in two strengths',
      withCause({ shows: { sure: ['slack'], few: ['slack'] } }),
    ],
    [
      'definer-shared',
      'a second cause that shows a definer',
      withMechanism({
        causes: [cause, { ...cause, id: 'worn' }],
        actions: [
          { ...(mechanism.actions[0] as Mechanism['actions'][number]), treats: ['loose', 'worn'] },
        ],
      }),
    ],
    [
      'definer-unlinked',
      'a cause that does not show its own definer',
      withMechanism({
        causes: [{ ...cause, shows: { sure: ['other'] } }],
        checks: [
          { ...check, findings: [...check.findings, { id: 'other', answer: 'Other', leak: 0.1 }] },
        ],
      }),
    ],
    [
      'cause-untreated',
      'a cause that nothing treats',
      withMechanism({
        actions: [
          {
            id: 'tightened',
            title: 'Tightened',
            todo: 'Tighten',
            treats: [],
            repair: true,
            minutes: 1,
          },
        ],
      }),
    ],
    ['cause-unseen', 'a cause that shows nothing', withCause({ shows: {} })],
    ['check-without-normal', 'a check without its normal answer', withCheck({ normal: ' ' })],
    [
      'check-without-finding',
      'a check that can find nothing',
      withMechanism({ checks: [check, { ...check, id: 'stare', findings: [] }] }),
    ],
    [
      'trial-unclear',
      'a trial with two answers',
      withCheck({
        needs: 'sews',
        trialTreats: ['loose'],
        findings: [
          { id: 'gone', answer: 'Gone', leak: 0.01 },
          { id: 'better', answer: 'Better', leak: 0.01 },
        ],
      }),
    ],
    [
      'trial-linked',
      'a cause that links to the answer of a trial',
      withMechanism({
        causes: [{ ...cause, shows: { sure: ['slack'], usual: ['gone'] } }],
        checks: [
          check,
          {
            ...check,
            id: 'try',
            needs: 'sews',
            trialTreats: ['loose'],
            findings: [{ id: 'gone', answer: 'Gone', leak: 0.01 }],
          },
        ],
      }),
    ],
    [
      'requires-circle',
      'two checks that wait for each other',
      withMechanism({
        checks: [
          { ...check, requires: ['stare'] },
          {
            ...check,
            id: 'stare',
            requires: ['look'],
            findings: [{ id: 'y', answer: 'Y', leak: 0.1 }],
          },
        ],
      }),
    ],
    [
      'access-circle',
      'two doors behind each other',
      {
        ...sound,
        access: [
          ...sound.access,
          {
            id: 'a',
            title: 'A',
            from: 'b',
            openMinutes: 1,
            closeMinutes: 1,
            means: '',
            safety: '',
          },
          {
            id: 'b',
            title: 'B',
            from: 'a',
            openMinutes: 1,
            closeMinutes: 1,
            means: '',
            safety: '',
          },
        ],
      },
    ],
    [
      'out-of-range',
      'a leak that is no chance',
      withCheck({ findings: [{ id: 'slack', answer: 'Slack', leak: 3, defines: 'loose' }] }),
    ],
    ['out-of-range', 'a frequency that is none', withCause({ perMille: 0 })],
    ['no-standing', 'numbers without a standing', withMechanism({ standing: undefined as never })],
    ['duty-cannot-clear', 'a debt that nothing pays', withDuty({ clearedAll: [] })],
  ])('%s: %s', (code, _, source) => {
    expect(faultsOf(source).map((fault) => fault.code)).toContain(code);
  });

  it('reports all at once, with the place of each', () => {
    const faults = faultsOf(
      withMechanism({
        causes: [{ ...cause, perMille: 0, applies: 'wings' }],
        checks: [{ ...check, normal: '', access: 'hood' }],
      }),
    );
    expect(faults.map(({ code }) => code).sort()).toEqual([
      'check-without-normal',
      'out-of-range',
      'unknown-access',
      'unknown-trait',
    ]);
    expect(faults.find(({ code }) => code === 'unknown-trait')?.path).toBe(
      'small / loose / applies',
    );
  });
});

describe('content hash', () => {
  const hash = (source: KnowledgeSource): string => {
    const compiled = compileKnowledge(source);
    return compiled.ok ? compiled.knowledge.hash : '';
  };

  it('is SHA-256 and the same for the same content', () => {
    expect(hash(sound)).toMatch(/^[0-9a-f]{64}$/);
    expect(hash(JSON.parse(JSON.stringify(sound)) as KnowledgeSource)).toBe(hash(sound));
  });

  it('does not care for the order of fields, and sees every change', () => {
    const turned = Object.fromEntries(
      Object.entries(sound).reverse(),
    ) as unknown as KnowledgeSource;
    expect(hash(turned)).toBe(hash(sound));
    expect(hash(withCause({ perMille: 11 }))).not.toBe(hash(sound));
  });

  it('compiles the version in one piece', () => {
    expect(faultsOf(SHIPPED_SOURCE)).toEqual([]);
  });
});
