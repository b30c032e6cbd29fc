import { CoreError } from '@nodo/core';
import type { Actor, Refusal } from '@nodo/kernel';
import { SHIPPED, type TableChange } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { actor, testId } from '../../kernel/test/ids.ts';
import { tableCommand, tableEvent } from '../src/events.ts';
import {
  applyTableEvent,
  type ChangeRequests,
  changesInForce,
  decideTableCommand,
  foldChangeRequests,
  type TableCommand,
  type TableEvent,
  versionInForce,
} from '../src/index.ts';

const MORE_OFTEN: TableChange = { kind: 'how-often', cause: 'needle-low', perMille: 61 };
const LONGER: TableChange = { kind: 'check-minutes', check: 'needle-seat', minutes: 4 };

/** A shop's tables told event by event. */
class Told {
  readonly events: TableEvent[] = [];
  readonly halle = actor('lead');

  get desk(): ChangeRequests {
    return foldChangeRequests(this.events);
  }

  get hash(): string {
    return versionInForce(this.desk).knowledge.hash;
  }

  try(
    type: TableCommand['type'],
    command: TableCommand['command'],
    by: Actor = this.halle,
  ): Refusal | undefined {
    const entered = {
      id: testId(),
      type,
      command,
      observedAt: '2026-03-02T10:00:00.000Z',
      device: 'bench 1',
    };
    expect(tableCommand.safeParse(entered).success).toBe(true);
    const verdict = decideTableCommand(
      this.desk,
      entered as TableCommand,
      by,
      '2026-03-02T10:00:01.000Z',
    );
    if (!verdict.ok) return verdict.refusal;
    expect(tableEvent.parse(verdict.event)).toEqual(verdict.event);
    this.events.push(verdict.event);
    return undefined;
  }

  proposes(change: TableChange): string {
    expect(this.try('change-proposed', { change, reason: 'Counted over a year.' })).toBeUndefined();
    return this.events.at(-1)?.id ?? '';
  }

  accepts(proposal: string, against = this.hash): Refusal | undefined {
    return this.try('change-accepted', { proposal, against });
  }

  withdraws(proposal: string): Refusal | undefined {
    return this.try('change-withdrawn', { proposal, reason: 'Miscounted.' });
  }
}

describe('the tables of a shop', () => {
  it('are the shipped ones until a proposal is accepted', () => {
    const told = new Told();
    const proposal = told.proposes(MORE_OFTEN);
    expect(versionInForce(told.desk)).toBe(SHIPPED);
    expect(told.desk.proposals).toMatchObject([{ id: proposal, state: 'open' }]);
    expect(told.accepts(proposal)).toBeUndefined();
    expect(changesInForce(told.desk)).toEqual([MORE_OFTEN]);
    expect(versionInForce(told.desk).knowledge.causes.get('needle-low')?.perMille).toBe(61);
    expect(told.events.at(-1)?.body).toMatchObject({ to: told.hash });
  });

  it('are as before once an accepted change is taken back, the others staying', () => {
    const told = new Told();
    const first = told.proposes(MORE_OFTEN);
    const second = told.proposes(LONGER);
    told.accepts(second);
    told.accepts(first);
    expect(changesInForce(told.desk)).toEqual([LONGER, MORE_OFTEN]);
    expect(told.withdraws(second)).toBeUndefined();
    expect(changesInForce(told.desk)).toEqual([MORE_OFTEN]);
    expect(told.withdraws(first)).toBeUndefined();
    expect(told.hash).toBe(SHIPPED.knowledge.hash);
    expect(
      told.desk.proposals.map(({ state, reason, withdrawn }) => [state, reason, withdrawn?.reason]),
    ).toEqual([
      ['withdrawn', 'Counted over a year.', 'Miscounted.'],
      ['withdrawn', 'Counted over a year.', 'Miscounted.'],
    ]);
  });

  it('are changed by a lead only', () => {
    const told = new Told();
    for (const role of ['counter', 'technician', 'learner'] as const) {
      const proposed = { change: MORE_OFTEN, reason: 'x' };
      expect(told.try('change-proposed', proposed, actor(role))?.code).toBe('role-may-not');
    }
  });

  it('are not changed after somebody else moved them: the effect was looked at before', () => {
    const told = new Told();
    const before = told.hash;
    const [first, second] = [told.proposes(MORE_OFTEN), told.proposes(LONGER)];
    told.accepts(first);
    expect(told.accepts(second, before)).toMatchObject({
      code: 'tables-moved',
      path: 'command.against',
    });
    expect(told.accepts(second)).toBeUndefined();
  });

  it('refuse what is unknown, unsound or no change', () => {
    const told = new Told();
    const refused = (change: TableChange) => told.try('change-proposed', { change, reason: 'x' });
    expect(refused({ kind: 'how-often', cause: 'no-such', perMille: 4 })).toMatchObject({
      code: 'not-in-the-tables',
      path: 'command.change',
    });
    expect(refused({ kind: 'how-often', cause: 'needle-low', perMille: 1000 })).toMatchObject({
      code: 'tables-unsound',
      data: { faults: [{ code: 'out-of-range' }] },
    });
    // The finding that is the cause may not be unlinked from it.
    expect(
      refused({
        kind: 'shows',
        cause: 'needle-low',
        finding: 'needle-short-of-stop',
        strength: 'never',
      }),
    ).toMatchObject({ code: 'tables-unsound' });
    const perMille = SHIPPED.knowledge.causes.get('needle-low')?.perMille ?? 0;
    expect(refused({ kind: 'how-often', cause: 'needle-low', perMille })?.code).toBe('already-so');
    // Told again as it stands, wherever it stands among the others of its strength.
    for (const finding of SHIPPED.knowledge.causes.get('needle-low')?.shows.often ?? []) {
      const again = { kind: 'shows', cause: 'needle-low', finding, strength: 'often' } as const;
      expect(refused(again)?.code, finding).toBe('already-so');
    }
    expect(told.events).toEqual([]);
  });

  it('let a proposal be decided once', () => {
    const told = new Told();
    const proposal = told.proposes(MORE_OFTEN);
    expect(told.accepts(testId())?.code).toBe('no-such-proposal');
    told.accepts(proposal);
    expect(told.accepts(proposal)?.code).toBe('proposal-decided');
    told.withdraws(proposal);
    expect(told.withdraws(proposal)?.code).toBe('proposal-decided');
    expect(told.accepts(proposal)?.code).toBe('proposal-decided');
  });

  it('take no event out of its order', () => {
    const told = new Told();
    told.proposes(MORE_OFTEN);
    const [event] = told.events;
    if (!event) throw new Error('nothing was proposed');
    expect(() => applyTableEvent(told.desk, event)).toThrow(CoreError);
  });
});
