import { describe, expect, it } from 'vitest';
import { testId } from '../../kernel/test/ids.ts';
import { assess, type CommandPayload, type EventType } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

const BILL: CommandPayload<'bill-made'> = {
  labourMinutes: 60,
  rates: { hour: 6000, taxPerMille: 0, taxIncluded: true },
  currency: 'EUR',
};

const TAKE = { family: 'drop-in', label: 'X', words: '', customer: null };

/** A closed machine that never had a fault. */
function closed(): Story {
  return new Story('drop-in', []).sees('standard-straight').sees('standard-zigzag').closes();
}

/** One refusal: what is tried where, and all that is said of it. */
function refused<Type extends EventType>(
  story: Story,
  type: Type,
  command: CommandPayload<Type>,
): unknown {
  return story.try(type, command);
}

describe('a refusal says which field, and what stands against it', () => {
  const other = testId();

  it('of what this machine has not', () => {
    const story = new Story();
    const not = (path: string, id: string) => ({ code: 'not-on-this-machine', path, data: { id } });
    expect(refused(story, 'action-done', { action: 'flown' })).toEqual(
      not('command.action', 'flown'),
    );
    expect(refused(story, 'could-not-tell', { check: 'flight' })).toEqual(
      not('command.check', 'flight'),
    );
    expect(refused(story, 'findings-recorded', { check: 'flight', answers: {} })).toEqual(
      not('command.check', 'flight'),
    );
    expect(refused(story, 'machine-opened', { state: 'wings-off' })).toEqual(
      not('command.state', 'wings-off'),
    );
    const call = new Story('drop-in', ['skip'], 'call');
    // Nobody puts the timing right on the telephone.
    expect(refused(call, 'customer-did', { cause: 'hook-timing-off' })).toEqual(
      not('command.cause', 'hook-timing-off'),
    );
    expect(refused(call, 'customer-did', { cause: 'no-such-cause' })).toEqual(
      not('command.cause', 'no-such-cause'),
    );
    const own = { name: 'A', remedy: 'B', explains: ['skip', 'flight'] };
    expect(refused(story, 'own-cause-found', own)).toEqual(not('command.explains.1', 'flight'));
  });

  it('of answers that cannot be', () => {
    const story = new Story();
    const answer = (check: string, answers: Record<string, 'yes' | 'no'>) =>
      refused(story, 'findings-recorded', { check, answers });
    expect(answer('winder', { 'clutch-slack': 'yes' })).toEqual({
      code: 'finding-of-another-check',
      path: 'command.answers.clutch-slack',
      data: { id: 'clutch-slack' },
    });
    expect(answer('winder', {})).toEqual({
      code: 'nothing-answered',
      path: 'command.answers',
      data: {},
    });
    const exclusive = [...modelFor(story).checks.values()].find(({ oneOf }) => oneOf);
    const [one, another] = exclusive?.findings ?? [];
    expect(
      answer(exclusive?.id ?? '', { [one?.id ?? '']: 'yes', [another?.id ?? '']: 'yes' }),
    ).toEqual({ code: 'findings-exclude-each-other', path: 'command.answers', data: {} });
  });

  it('of a step that waits for another', () => {
    const story = new Story();
    const waits = (path: string, ...unmet: string[]) => ({
      code: 'gate-unmet',
      path,
      data: { unmet },
    });
    expect(refused(story, 'machine-opened', { state: 'plate-off' })).toEqual(
      waits('command.state', 'action:power-off-confirmed'),
    );
    story.opens('foot-off');
    expect(refused(story, 'action-done', { action: 'power-on' })).toEqual(
      waits('command.action', 'machine-closed'),
    );
    expect(refused(story, 'ticket-closed', {})).toEqual(waits('', 'machine-closed'));
    const duty = modelFor(story).duties.get('timing-last');
    const check = duty?.raisedBy.find((token) => token.startsWith('check:'))?.slice(6) ?? '';
    const finding = modelFor(story).checks.get(check)?.findings[0]?.id ?? '';
    expect(refused(story, 'findings-recorded', { check, answers: { [finding]: 'no' } })).toEqual(
      waits('command.check', ...(duty?.gate ?? [])),
    );
  });

  it('of what is so already', () => {
    const so = (path = '') => ({ code: 'already-so', path, data: {} });
    const story = new Story();
    expect(refused(story, 'clock-stopped', { why: 'for-now' })).toEqual(so());
    story.must('clock-started', {});
    expect(refused(story, 'clock-started', {})).toEqual(so());
    expect(refused(story, 'machine-closed', {})).toEqual(so());
    story.opens('plate-off');
    expect(refused(story, 'machine-opened', { state: 'plate-off' })).toEqual(so('command.state'));
    const back = closed().must('came-back', { ticket: other });
    expect(refused(back, 'came-back', { ticket: other })).toEqual(so());
    expect(refused(back, 'came-back', { ticket: testId() })).toBeUndefined();
    const fetched = closed().must('machine-collected', {});
    expect(refused(fetched, 'machine-collected', {})).toEqual(so());
  });

  it('of taking back what cannot be', () => {
    const story = new Story();
    const corrects = story.lastId;
    expect(refused(story, 'entry-corrected', { corrects: other })).toEqual({
      code: 'nothing-to-correct',
      path: 'command.corrects',
      data: {},
    });
    story.must('entry-corrected', { corrects });
    expect(refused(story, 'entry-corrected', { corrects })).toEqual({
      code: 'already-corrected',
      path: 'command.corrects',
      data: {},
    });
  });

  it('of an entry from a state that was not reached', () => {
    const story = new Story();
    expect(story.try('could-not-tell', { check: 'winder' }, undefined, 2)).toEqual({
      code: 'epoch-not-reached',
      path: 'epoch',
      data: { reached: 0 },
    });
  });

  it('of a kind of machine that no table has', () => {
    const known = { machine: other, family: 'loom', traits: null, label: 'X' };
    expect(refused(new Story(), 'machine-known', known)).toEqual({
      code: 'unknown-family',
      path: 'command.family',
      data: { family: 'loom' },
    });
  });

  it('of money: over what was agreed, answered before it was asked', () => {
    const story = new Story().must('limit-agreed', { limit: 5000 });
    expect(refused(story, 'bill-made', BILL)).toEqual({
      code: 'over-the-limit',
      path: 'command',
      data: { total: 6000, agreed: 5000 },
    });
    expect(
      refused(story, 'price-answered', { agreed: true, how: 'message', words: '' }),
    ).toMatchObject({ code: 'nothing-asked' });
    // Just as much as was agreed.
    story.must('bill-made', { ...BILL, labourMinutes: 50 });
  });

  it('of a part that nobody waits for, or waits for no more', () => {
    const story = new Story().must('part-awaited', { part: 'Case', expected: null });
    const first = story.lastId;
    story.must('part-awaited', { part: 'Belt', expected: null });
    const not = { code: 'not-awaited', path: 'command.awaited', data: {} };
    expect(refused(story, 'part-came', { awaited: other })).toEqual(not);
    story.must('part-came', { awaited: first });
    expect(refused(story, 'part-came', { awaited: first })).toEqual(not);
    // The other one is still waited for.
    expect(story.ticket.life.awaits.map(({ part, came }) => [part, came])).toEqual([
      ['Case', true],
      ['Belt', false],
    ]);
  });

  it('of a duty: not owed, owed at the end, without a reason', () => {
    const story = new Story('drop-in', ['needle-break']);
    expect(refused(story, 'duty-waived', { duty: 'run-in', reason: 'It is no use.' })).toEqual({
      code: 'duty-not-owed',
      path: 'command.duty',
      data: { id: 'run-in' },
    });
    const owed = assess(story.ticket, modelFor(story))
      .duties.filter(({ state }) => state === 'owed')
      .map(({ duty }) => duty);
    expect(owed).toContain('fragments');
    expect(refused(story, 'ticket-closed', {})).toEqual({
      code: 'duties-owed',
      path: '',
      data: { owed },
    });
    expect(refused(story, 'ticket-closed', { unrepaired: true })).toEqual({
      code: 'not-declined',
      path: 'command.unrepaired',
      data: {},
    });
    expect(refused(story, 'action-done', { action: 'fragments-accounted' })).toEqual({
      code: 'pieces-missing',
      path: 'command.action',
      data: {},
    });
    const wants = [...modelFor(story).actions.values()].find(({ needsReason }) => needsReason);
    expect(refused(story, 'action-done', { action: wants?.id ?? '' })).toEqual({
      code: 'reason-missing',
      path: 'command.note',
      data: { id: wants?.id },
    });
  });

  it('of a machine that goes back as it came, with what could hurt still in it', () => {
    const story = new Story('drop-in', ['needle-break'])
      .must('price-asked', { amount: 9000, words: 'A new hook' })
      .must('price-answered', { agreed: false, how: 'telephone', words: '' });
    expect(refused(story, 'ticket-closed', { unrepaired: true })).toEqual({
      code: 'duties-owed',
      path: '',
      data: { owed: ['fragments'] },
    });
  });
});

describe('what stands in no ticket’s way but its own', () => {
  const code = (story: Story, type: EventType, command: object) => story.try(type, command)?.code;

  it('before it is taken in, nothing is recorded', () => {
    const story = new Story();
    // As a screen would have it that has not heard of the taking in.
    story.ticket = { ...story.ticket, status: 'new' };
    const commands: readonly (readonly [EventType, object])[] = [
      ['could-not-tell', { check: 'winder' }],
      ['machine-collected', {}],
      ['ticket-reopened', { reason: 'It skips.' }],
      ['came-back', { ticket: testId() }],
      ['bill-made', BILL],
      ['customer-told', { how: 'message', words: '' }],
    ];
    for (const [type, command] of commands)
      expect([type, code(story, type, command)]).toEqual([type, 'not-taken-in']);
    expect(code(new Story(), 'intake-taken', { ...TAKE, tag: 2, shelf: 'A' })).toBe(
      'already-taken-in',
    );
  });

  it('over the telephone, no work; in the shop, no call', () => {
    const call = new Story('drop-in', ['skip'], 'call');
    for (const [type, command] of [
      ['action-done', { action: 'needle-replaced' }],
      ['clock-started', {}],
      ['bill-made', BILL],
      ['customer-told', { how: 'message', words: '' }],
    ] as const)
      expect([type, code(call, type, command)]).toEqual([type, 'not-in-the-shop']);
    const shop = new Story();
    expect(code(shop, 'customer-did', { cause: 'needle-backward' })).toBe('in-the-shop');
    expect(code(shop, 'call-ended', { outcome: 'bring-in' })).toBe('in-the-shop');
    expect(
      code(shop, 'machine-arrived', { tag: 3, shelf: 'B', accessories: [], condition: '' }),
    ).toBe('in-the-shop');
  });

  it('once it is closed, no more work, but word to its customer; once it is fetched, neither', () => {
    const done = closed();
    expect(code(done, 'action-done', { action: 'needle-replaced' })).toBe('ticket-closed');
    expect(code(done, 'ticket-reopened', { reason: 'It skips.' })).toBeUndefined();
    expect(code(done, 'ticket-reopened', { reason: 'It skips.' })).toBe('ticket-open');
    expect(code(done, 'machine-collected', {})).toBe('ticket-open');
    expect(code(done, 'customer-told', { how: 'message', words: '' })).toBe('ticket-open');
    expect(code(done, 'came-back', { ticket: testId() })).toBe('ticket-open');
    const fetched = closed()
      .must('customer-told', { how: 'message', words: '' })
      .must('machine-collected', {});
    // The price can still be worked out, and worked out again.
    expect(code(fetched, 'bill-made', BILL)).toBeUndefined();
    expect(code(fetched, 'bill-made', BILL)).toBeUndefined();
    expect(code(fetched, 'customer-told', { how: 'message', words: '' })).toBe('already-collected');
  });

  it('what was seen before the closing is taken after it, and what was seen later is not', () => {
    const done = closed();
    const look = { check: 'winder', answers: { 'winder-on': 'no' as const } };
    const at = (observedAt: string) =>
      done.try('findings-recorded', look, undefined, undefined, observedAt)?.code;
    expect(at('2026-03-02T09:59:00.000Z')).toBeUndefined();
    expect(at('2026-03-02T10:01:00.000Z')).toBe('ticket-closed');
    // The very instant of the closing is not before it.
    expect(at('2026-03-02T10:00:00.000Z')).toBe('ticket-closed');
    const open = new Story();
    expect(
      open.try('findings-recorded', look, undefined, undefined, '2026-03-01T10:00:00.000Z'),
    ).toBe(undefined);
  });

  it('of entries that begin, end or sign for a ticket, none is taken back', () => {
    const story = closed()
      .must('came-back', { ticket: testId() })
      .must('ticket-reopened', { reason: 'It skips.' });
    const typed = (type: EventType) => story.events.find((event) => event.type === type)?.id ?? '';
    for (const type of ['intake-taken', 'ticket-closed', 'came-back', 'ticket-reopened'] as const)
      expect([type, code(story, 'entry-corrected', { corrects: typed(type) })]).toEqual([
        type,
        'nothing-to-correct',
      ]);
    story.must('signed', { what: 'intake', name: 'Tove Example', photo: 'a'.repeat(64) } as never);
    expect(code(story, 'entry-corrected', { corrects: story.lastId })).toBe('nothing-to-correct');
    const call = new Story('drop-in', ['skip'], 'call').must('call-ended', { outcome: 'bring-in' });
    expect(code(call, 'entry-corrected', { corrects: call.lastId })).toBe('nothing-to-correct');
    call.must('machine-arrived', { tag: 3, shelf: 'B', accessories: [], condition: '' });
    expect(code(call, 'entry-corrected', { corrects: call.lastId })).toBe('nothing-to-correct');
    expect(code(call, 'entry-corrected', { corrects: call.events[0]?.id })).toBe(
      'nothing-to-correct',
    );
    const look = story.must('could-not-tell', { check: 'winder' }).lastId;
    story.must('entry-corrected', { corrects: look });
    expect(code(story, 'entry-corrected', { corrects: story.lastId })).toBe('nothing-to-correct');
  });
});
