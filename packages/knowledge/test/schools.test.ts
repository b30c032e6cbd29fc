import { describe, expect, it } from 'vitest';
import { DISAGREEMENTS, disagreementsAt, KNOWLEDGE } from '../src/index.ts';

describe('where practitioners disagree', () => {
  it('each question has schools, what is done here, and steps that exist', () => {
    for (const { id, schools, here, checks, actions } of DISAGREEMENTS) {
      expect(schools.length, id).toBeGreaterThanOrEqual(2);
      expect(here, id).not.toBe('');
      for (const check of checks) expect(KNOWLEDGE.checks.has(check), check).toBe(true);
      for (const action of actions) expect(KNOWLEDGE.actions.has(action), action).toBe(true);
    }
  });

  // Handbook, section 3: the questions on which the tables must not pick in silence.
  it.each([
    [{ check: 'dial-setting' }, 'dial-ends'],
    [{ action: 'dial-set' }, 'thread-breaks-first'],
    [{ action: 'oiled' }, 'oil-on-plastic'],
    [{ action: 'hook-cleaned' }, 'blowing-lint'],
    [{ action: 'case-screw-turned' }, 'drop-in-screw'],
  ])('%j offers the schools of %s', (step, id) => {
    expect(disagreementsAt(step).map((one) => one.id)).toContain(id);
  });

  it('says nothing where nobody disagrees', () => {
    expect(disagreementsAt({ check: 'winder' })).toEqual([]);
    expect(disagreementsAt({})).toEqual([]);
  });
});
