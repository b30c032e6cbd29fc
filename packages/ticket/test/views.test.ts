import { toDay } from '@nodo/kernel';
import { describe, expect, it } from 'vitest';
import { actor, testId } from '../../kernel/test/ids.ts';
import {
  assess,
  customerView,
  lateEntries,
  newTicket,
  resumeOf,
  stageOf,
  summaryOf,
  ticketSummary,
  viewForCustomer,
} from '../src/index.ts';
import { modelFor, Story } from './story.ts';

const RECEIVED = '2026-03-02T10:00:01.000Z';
const RATES = { hour: 6000, taxPerMille: 200, taxIncluded: true };

const proven = (story: Story) =>
  story
    .sees('needle-seat')
    .sees('needle-facing')
    .does('hand-turned')
    .sees('standard-straight')
    .sees('standard-zigzag');
const repaired = () =>
  proven(
    new Story('drop-in', ['skip']).sees('needle-facing', ['needle-wrong-way']).does('needle-set'),
  );

describe('what a customer sees', () => {
  /** As it goes over the line: checked by its own schema, which must leave all of it. */
  const seen = (story: Story) => {
    const view = viewForCustomer(story.ticket, modelFor(story));
    const around = {
      shop: 'Bench Nowhere',
      phone: '000 0100',
      openingHours: 'Mon to Fri, 9 to 5',
      currency: 'EUR',
      timeZone: 'UTC',
      until: RECEIVED,
    };
    expect(customerView.parse({ ...view, ...around })).toEqual({ ...view, ...around });
    return view;
  };

  it('of a machine that has just come: its own words, and that it waits', () => {
    expect(seen(new Story())).toEqual({
      label: 'Teal zigzag',
      family: 'drop-in',
      words: 'It skips.',
      state: 'waiting',
      takenInAt: RECEIVED,
      changedAt: RECEIVED,
      unrepaired: null,
      promised: null,
      asked: null,
      bill: null,
      done: [],
    });
  });

  it('of one that was only talked about', () => {
    expect(seen(new Story('drop-in', ['skip'], 'call'))?.state).toBe('away');
  });

  it('of one in work: the day, the question to them, the part that is awaited', () => {
    const story = new Story().must('day-promised', { day: toDay('2026-03-06') });
    story.must('clock-started', {});
    expect(seen(story)).toMatchObject({ state: 'at-the-bench', promised: toDay('2026-03-06') });
    story.must('price-asked', { amount: 5000, words: 'A new case' });
    expect(seen(story)).toMatchObject({
      state: 'ask-you',
      asked: { amount: 5000, words: 'A new case' },
    });
    story.must('price-answered', { agreed: true, how: 'telephone', words: '' });
    expect(seen(story)).toMatchObject({ state: 'at-the-bench', asked: null });
    story.must('part-awaited', { part: 'Case', expected: null });
    expect(seen(story)?.state).toBe('part-awaited');
  });

  it('of one that is done: what was put right, by name, and what it came to', () => {
    const story = repaired().closes();
    story.must('bill-made', { labourMinutes: 30, rates: RATES, currency: 'EUR' });
    expect(seen(story)).toMatchObject({
      state: 'ready',
      unrepaired: null,
      bill: { total: 3000, currency: 'EUR' },
      done: [modelFor(story).actions.get('needle-set')?.title],
    });
    story.must('machine-collected', {});
    expect(seen(story)?.state).toBe('collected');
  });

  it('of one that goes back as it came', () => {
    const story = new Story()
      .must('price-asked', { amount: 9000, words: 'A new hook' })
      .must('price-answered', { agreed: false, how: 'telephone', words: '' })
      .must('ticket-closed', { unrepaired: true });
    expect(seen(story)).toMatchObject({ state: 'unrepaired', unrepaired: 'refused', done: [] });
  });

  it('is nothing before it is taken in', () => {
    expect(viewForCustomer(newTicket(testId()), modelFor(new Story()))).toBeUndefined();
  });
});

describe('a line on the Rack', () => {
  const line = (story: Story) => {
    const summary = summaryOf(story.ticket, modelFor(story));
    // As it is stored: checked by its own schema, which must leave all of it.
    expect(ticketSummary.parse(summary)).toEqual(summary);
    return summary;
  };

  it('of a machine that has just come', () => {
    const story = new Story();
    const { beliefs, risk } = assess(story.ticket, modelFor(story));
    expect(line(story)).toEqual({
      ticket: story.ticket.id,
      seq: 2,
      tag: 27,
      call: null,
      shelf: 'A',
      label: 'Teal zigzag',
      colour: null,
      family: 'drop-in',
      status: 'open',
      words: 'It skips.',
      takenInAt: RECEIVED,
      changedAt: RECEIVED,
      // The question at the counter is no work at the bench.
      lastBy: null,
      seen: 1,
      done: 0,
      owed: [],
      contested: 0,
      likely: {
        cause: beliefs[0]?.cause,
        name: modelFor(story).causes.get(beliefs[0]?.cause ?? '')?.name,
        chance: beliefs[0]?.blame,
      },
      risk,
      handOver: null,
      late: 0,
      standing: 'taken-in',
      machine: null,
      comebackOf: null,
      comebacks: 0,
      left: expect.objectContaining({ mean: expect.any(Number) as number }) as object,
      promised: null,
      awaited: null,
      pin: null,
      answer: null,
      atTheClock: [],
      readyAt: null,
      collectedAt: null,
      instead: null,
      toldAt: null,
      contact: null,
      asked: null,
      freedBy: null,
      unrepaired: null,
      total: null,
      due: null,
    });
  });

  it('knows the machine’s row, and which ticket it came back from', () => {
    const [machine, comebackOf] = [testId(), testId()];
    const story = new Story();
    story.ticket = newTicket(testId());
    story.events.length = 0;
    const take = { family: 'drop-in', label: 'X', tag: 3, shelf: 'B', words: '', customer: null };
    story.must('intake-taken', { ...take, machine, comebackOf });
    expect(line(story)).toMatchObject({ machine, comebackOf, shelf: 'B', tag: 3 });
  });

  it('of a call has no tag, and how it ended', () => {
    for (const outcome of ['bring-in', 'stop', 'solved'] as const) {
      const story = new Story('drop-in', ['nest'], 'call').sees('rethread-sew', ['rethread-cures']);
      expect(line(story)).toMatchObject({ tag: null, call: null, standing: 'away' });
      story.must('call-ended', { outcome });
      expect(line(story)).toMatchObject({ tag: null, call: outcome });
    }
  });

  it('counts what was seen and done, and who was last at the bench', () => {
    const tavi = actor();
    const story = new Story()
      .sees('context', ['after-needle'], 'only these')
      .must('could-not-tell', { check: 'winder' }, tavi)
      .must('observation-noted', { words: 'Oily.' })
      .must('price-asked', { amount: 1, words: 'x' }, tavi);
    // Asking the price is neither.
    expect(line(story)).toMatchObject({ seen: 4, done: 0, lastBy: story.odren.person });
    story.does('power-off-confirmed', tavi).must('machine-opened', { state: 'foot-off' }, tavi);
    story.must('machine-closed', {});
    expect(line(story)).toMatchObject({ done: 3, lastBy: story.odren.person });
  });

  it('of one that is ready: since when, since when its customer knows, and what it came to', () => {
    const story = repaired().closes();
    expect(line(story)).toMatchObject({ status: 'closed', readyAt: RECEIVED, toldAt: null });
    story.must('bill-made', { labourMinutes: 30, rates: RATES, currency: 'EUR' });
    story.must('customer-told', { how: 'message', words: '' });
    expect(line(story)).toMatchObject({ toldAt: '2026-03-02T10:00:00.000Z', total: 3000 });
    story.must('came-back', { ticket: testId() }).must('machine-collected', {});
    expect(line(story)).toMatchObject({ status: 'collected', comebacks: 1, standing: 'collected' });
  });

  it('is nothing before it is taken in', () => {
    expect(summaryOf(newTicket(testId()), modelFor(new Story()))).toBeUndefined();
  });
});

describe('where a machine stands', () => {
  it('is at the bench with the first look, whatever was asked at the counter', () => {
    const story = new Story().sees('context', ['after-needle'], 'only these');
    expect(stageOf(story.ticket)).toBe('taken-in');
    expect(stageOf(story.sees('winder').ticket)).toBe('on-the-bench');
    expect(stageOf(new Story().does('power-off-confirmed').ticket)).toBe('on-the-bench');
  });

  it('does not wait for a part that has come', () => {
    const story = new Story().must('part-awaited', { part: 'Case', expected: null });
    story.must('part-came', { awaited: story.lastId });
    expect(stageOf(story.ticket)).toBe('taken-in');
  });
});

describe('what somebody must know who takes it over', () => {
  it('is what was reported, looked at, done and is owed, each once', () => {
    const story = new Story('drop-in', ['skip', 'needle-strike'])
      .sees('context', ['after-needle'], 'only these')
      .sees('needle-facing', ['needle-wrong-way'])
      .does('power-off-confirmed')
      .does('needle-set')
      .does('needle-set');
    const assessment = assess(story.ticket, modelFor(story));
    const owed = assessment.duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty);
    expect(owed.length).toBeLessThan(assessment.duties.length + 1);
    expect(owed).toContain('strike-sweep');
    expect(resumeOf(story.ticket, assessment)).toEqual({
      reported: ['skip', 'needle-strike'],
      denied: [],
      looks: 1,
      likeliest: assessment.beliefs[0],
      // Unplugging puts nothing right.
      done: ['needle-set'],
      byCustomer: [],
      owed,
    });
  });
});

describe('what came late', () => {
  const EARLIER = '2026-03-02T09:00:00.000Z';
  const late = (story: Story) => lateEntries(story.ticket).map(({ type }) => type);

  it('was seen before the closing and arrived after it, as long as it is closed', () => {
    const story = repaired().closes();
    expect(late(story)).toEqual([]);
    story.try('could-not-tell', { check: 'winder' }, undefined, undefined, EARLIER);
    story.try('observation-noted', { words: 'Oily.' }, undefined, undefined, EARLIER);
    story.try(
      'findings-recorded',
      { check: 'winder', answers: { 'winder-on': 'no' } },
      undefined,
      undefined,
      EARLIER,
    );
    // Word to the customer is not late, it comes when it comes.
    story.must('customer-told', { how: 'message', words: '' });
    expect(late(story)).toEqual(['could-not-tell', 'observation-noted', 'findings-recorded']);
    story.must('ticket-reopened', { reason: 'It skips.' });
    expect(late(story)).toEqual([]);
  });
});
