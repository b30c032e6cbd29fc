import { toDay } from '@nodo/kernel';
import { describe, expect, it } from 'vitest';
import { actor, testId } from '../../kernel/test/ids.ts';
import { dueOf, overpaidOf, paidBy, summaryOf, viewForCustomer } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

const RATES = { hour: 6000, taxPerMille: 190, taxIncluded: true };
const line = (story: Story) => summaryOf(story.ticket, modelFor(story));
const priced = (labourMinutes: number, leastFee = 0) => ({
  labourMinutes,
  rates: { ...RATES, leastFee },
  currency: 'EUR',
});
const closed = () => new Story('drop-in', []).closes();

describe('paying', () => {
  it('is for what is closed, before and after the customer has it', () => {
    const open = new Story('drop-in', []);
    expect(open.try('payment-taken', { how: 'cash', amount: 100 })?.code).toBe('ticket-open');
    const story = closed().must('bill-made', priced(30));
    expect(dueOf(story.ticket.life)).toBe(3000);
    story.must('payment-taken', { how: 'cash', amount: 1000 });
    expect([dueOf(story.ticket.life), paidBy(story.ticket.life)]).toEqual([2000, 'not-yet']);
    story.must('machine-collected', {}).must('payment-taken', { how: 'card', amount: 2000 });
    expect([dueOf(story.ticket.life), paidBy(story.ticket.life)]).toEqual([0, 'card']);
  });

  it('can be taken back until the customer has it', () => {
    const story = closed().must('bill-made', priced(30));
    story.must('payment-taken', { how: 'cash', amount: 3000 });
    story.must('entry-corrected', { corrects: story.lastId });
    expect(paidBy(story.ticket.life)).toBe('not-yet');
  });

  it('is corrected afterwards: a lower price, and what was paid above it goes back', () => {
    const story = closed().must('bill-made', priced(30));
    story.must('payment-taken', { how: 'card', amount: 3000 }).must('machine-collected', {});
    expect(overpaidOf(story.ticket.life)).toBe(0);
    const discount = { amount: 500, reason: 'Came twice for it.' };
    story.must('bill-made', { ...priced(30), discount });
    expect(overpaidOf(story.ticket.life)).toBe(500);
    expect(story.try('payment-returned', { how: 'cash', amount: 3001 })?.code).toBe(
      'more-than-paid',
    );
    story.must('payment-returned', { how: 'cash', amount: 500 });
    const { life } = story.ticket;
    expect([overpaidOf(life), dueOf(life), paidBy(life)]).toEqual([0, 0, 'card']);
  });

  it('stands as long as money went back that only it covers', () => {
    const story = closed().must('bill-made', priced(30));
    story.must('payment-taken', { how: 'card', amount: 3000 });
    const payment = story.lastId;
    story.must('payment-returned', { how: 'cash', amount: 500 });
    const returned = story.lastId;
    const undo = (corrects: string) => story.try('entry-corrected', { corrects })?.code;
    expect(undo(payment)).toBe('given-back-since');
    expect(undo(returned)).toBeUndefined();
    expect(undo(payment)).toBeUndefined();
    expect(paidBy(story.ticket.life)).toBe('not-yet');
  });

  it('as older sheets said it in words counts as before', () => {
    const sheet = { found: '', done: '', helps: '', paid: 'transfer' } as const;
    const story = closed().must('bill-made', priced(30)).must('closing-noted', sheet);
    expect([dueOf(story.ticket.life), paidBy(story.ticket.life)]).toEqual([0, 'transfer']);
  });
});

describe('a hand-out', () => {
  it('keeps what was given back and why no bill went with it', () => {
    const story = closed();
    story.must('machine-collected', { givenBack: ['case'], withoutBill: 'A gift of the house.' });
    expect(story.ticket.life).toMatchObject({
      givenBack: ['case'],
      withoutBill: 'A gift of the house.',
    });
  });
});

describe('a machine that is never collected', () => {
  it('goes another way with its reason, once its customer knew', () => {
    const story = closed();
    const instead = { way: 'scrapped', reason: 'Two letters, signed terms at intake.' } as const;
    expect(story.try('machine-collected', { instead })?.code).toBe('not-informed');
    story.must('customer-told', { how: 'message', words: '' });
    story.must('machine-collected', { instead });
    expect(line(story)).toMatchObject({ status: 'collected', instead: 'scrapped' });
  });
});

describe('a machine that goes back unrepaired', () => {
  it('says why, to the shop and to the customer; refused is only what was asked', () => {
    const story = new Story('drop-in', ['skip']);
    expect(story.try('ticket-closed', { unrepaired: true, why: 'refused' })?.code).toBe(
      'not-declined',
    );
    story.must('ticket-closed', { unrepaired: true, why: 'no-part' });
    expect(line(story)?.unrepaired).toBe('no-part');
    expect(viewForCustomer(story.ticket, modelFor(story))).toMatchObject({
      state: 'unrepaired',
      unrepaired: 'no-part',
    });
  });

  it('still costs the look where that was agreed, and nothing above it', () => {
    const story = new Story('drop-in', ['skip'])
      .must('inspection-agreed', { fee: 2500 })
      .must('price-asked', { amount: 12_000, words: 'Hook' })
      .must('price-answered', { agreed: false, how: 'telephone', words: '' })
      .must('ticket-closed', { unrepaired: true });
    expect(story.try('bill-made', priced(60))?.code).toBe('over-the-limit');
    story.must('bill-made', priced(0, 2500));
    expect(story.ticket.life.bill?.total).toBe(2500);
  });
});

describe('a part', () => {
  it('that was ordered goes in by its own order, and counts as come', () => {
    const story = new Story('drop-in', ['skip']);
    const order = { part: 'Hook', expected: toDay('2026-03-09'), each: 4200 };
    story.must('part-awaited', order);
    const awaited = story.lastId;
    expect(story.ticket.life.awaits[0]).toMatchObject({ ...order, came: false, fitted: false });
    story.must('part-fitted', { words: 'Hook', count: 1, each: 4200, awaited });
    expect(story.ticket.life.awaits[0]).toMatchObject({ came: true, fitted: true });
    expect(line(story)?.awaited).toBeNull();
    story.must('entry-corrected', { corrects: story.lastId });
    expect(line(story)?.awaited).toMatchObject({ part: 'Hook' });
  });
});

describe('the answer to a price', () => {
  it('stands on the line of the Rack with its amount, way and hour', () => {
    const story = new Story('drop-in', ['skip']).must('price-asked', {
      amount: 7400,
      words: 'Hook',
    });
    expect(line(story)?.answer).toBeNull();
    story.must('price-answered', { agreed: true, how: 'telephone', words: '' });
    expect(line(story)?.answer).toEqual({
      agreed: true,
      amount: 7400,
      how: 'telephone',
      at: '2026-03-02T10:00:00.000Z',
    });
  });
});

describe('a bench decided by hand', () => {
  const [lead, tavi] = [actor('lead'), actor()];

  it('is a lead’s to say, and a lead’s to leave to the plan again', () => {
    const story = new Story('drop-in', ['skip']);
    const pin = { to: tavi.person, after: testId() };
    expect(story.try('job-pinned', pin, tavi)?.code).toBe('role-may-not');
    story.must('job-pinned', pin, lead);
    expect(line(story)?.pin).toMatchObject({ person: tavi.person, after: pin.after });
    story.must('job-pinned', { to: null }, lead);
    expect(line(story)?.pin).toBeNull();
  });

  it('is that of whoever got it handed over, for good; to anyone it is nobody’s', () => {
    const story = new Story('drop-in', ['skip']);
    story.must('handed-over', { to: tavi.person, note: 'Yours.' });
    story.must('observation-noted', { words: 'Begun.' }, tavi);
    expect(line(story)).toMatchObject({ handOver: null, pin: { person: tavi.person } });
    story.must('handed-over', { to: null, note: 'Anyone.' }, tavi);
    expect(line(story)?.pin).toBeNull();
  });
});
