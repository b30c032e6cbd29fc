import { toDay } from '@nodo/kernel';
import { SHIPPED } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import { actor, testId } from '../../kernel/test/ids.ts';
import {
  assess,
  type CommandPayload,
  foldTicket,
  minutesWorked,
  stageOf,
  summaryOf,
  ticketEvent,
  viewForCustomer,
  workLeftOn,
} from '../src/index.ts';
import { modelFor, Story } from './story.ts';

const RATES = { hour: 6000, taxPerMille: 200, taxIncluded: true };
const bill = (labourMinutes: number): CommandPayload<'bill-made'> => ({
  labourMinutes,
  rates: RATES,
  currency: 'EUR',
});
const line = (story: Story) => summaryOf(story.ticket, modelFor(story));

/** A machine looked at, repaired and proven, in the fewest entries. */
function repaired(): Story {
  const story = new Story('drop-in', ['skip'])
    .sees('needle-facing', ['needle-wrong-way'])
    .does('needle-set');
  return proven(story);
}

function proven(story: Story): Story {
  for (const check of ['needle-seat', 'needle-facing']) story.sees(check);
  return story.does('hand-turned').sees('standard-straight').sees('standard-zigzag');
}

describe('where a ticket stands', () => {
  it('from taking in to fetching', () => {
    const story = new Story();
    const stands = () => stageOf(story.ticket);
    expect(stands()).toBe('taken-in');
    story.must('clock-started', {});
    expect(stands()).toBe('on-the-bench');
    story.must('price-asked', { amount: 5000, words: 'A new case' });
    expect(stands()).toBe('ask-customer');
    story.must('price-answered', { agreed: true, how: 'telephone', words: '' });
    story.must('part-awaited', { part: 'Case', expected: toDay('2026-03-09') });
    expect(stands()).toBe('part-awaited');
    expect(line(story)?.awaited).toEqual({ part: 'Case', expected: toDay('2026-03-09') });
    story.must('part-came', { awaited: story.lastId });
    expect(stands()).toBe('on-the-bench');
    const done = repaired().closes();
    expect(stageOf(done.ticket)).toBe('ready');
    done.must('customer-told', { how: 'message', words: '' }).must('machine-collected', {});
    expect(stageOf(done.ticket)).toBe('collected');
    expect(stageOf(new Story('drop-in', ['skip'], 'call').ticket)).toBe('away');
  });

  it('counts a comeback on the ticket that it comes back from', () => {
    const story = repaired();
    const again = testId();
    expect(story.try('came-back', { ticket: again })?.code).toBe('ticket-open');
    story.closes().must('machine-collected', {}).must('came-back', { ticket: again });
    expect(story.try('came-back', { ticket: again })?.code).toBe('already-so');
    expect(line(story)?.comebacks).toBe(1);
  });
});

describe('the price', () => {
  it('is never above what the customer agreed to', () => {
    const story = new Story().must('limit-agreed', { limit: 4000 });
    story.must('part-fitted', { words: 'Needle', count: 2, each: 150 });
    // 37 min at 60.00 = 37.00, with the parts 40.00: just within.
    expect(story.try('bill-made', bill(38))).toMatchObject({
      code: 'over-the-limit',
      data: { total: 4100, agreed: 4000 },
    });
    story.must('bill-made', bill(37));
    expect(line(story)?.total).toBe(4000);
    story.must('price-asked', { amount: 9000, words: 'A new case' });
    story.must('price-answered', { agreed: true, how: 'telephone', words: 'Go on' });
    story.must('bill-made', bill(80));
    expect(story.ticket.life.bill).toMatchObject({
      labour: 8000,
      parts: 300,
      tax: 1383,
      total: 8300,
    });
  });

  it('nothing may be spent where nothing may be spent without asking', () => {
    const story = new Story().must('limit-agreed', { limit: null });
    expect(story.try('bill-made', bill(1))?.code).toBe('over-the-limit');
    expect(new Story().try('bill-made', bill(500))).toBeUndefined();
  });

  it('refused: the machine goes back as it is, but not with pieces of a needle in it', () => {
    const story = new Story('drop-in', ['needle-break']);
    expect(story.try('price-answered', { agreed: false, how: 'counter', words: '' })?.code).toBe(
      'nothing-asked',
    );
    expect(story.try('ticket-closed', { unrepaired: true })?.code).toBe('not-declined');
    story.must('price-asked', { amount: 12_000, words: 'Hook' });
    story.must('price-answered', { agreed: false, how: 'telephone', words: 'Too dear' });
    expect(story.try('bill-made', bill(1))?.code).toBe('over-the-limit');
    expect(story.try('ticket-closed', {})?.code).toBe('duties-owed');
    expect(story.try('ticket-closed', { unrepaired: true })).toMatchObject({
      code: 'duties-owed',
      data: { owed: ['fragments'] },
    });
    const whole = { at: 1, whole: 38.5, pieces: [20, 18.5], struck: null };
    story.must('pieces-laid', whole).does('fragments-accounted');
    story.must('ticket-closed', { unrepaired: true });
    expect(line(story)).toMatchObject({ standing: 'ready', unrepaired: 'refused' });
    expect(story.ticket.closing?.snapshot.waived).toContain('strike-sweep');
    expect(viewForCustomer(story.ticket, modelFor(story))).toMatchObject({ unrepaired: 'refused' });
  });
});

describe('what the customer was told', () => {
  it('stands on the Rack and on their own page: the day promised, and when they were told it is ready', () => {
    const story = new Story();
    const shown = () => viewForCustomer(story.ticket, modelFor(story))?.promised;
    expect([shown(), line(story)?.promised]).toEqual([null, null]);
    story.must('day-promised', { day: toDay('2026-03-09') });
    story.must('day-promised', { day: toDay('2026-03-11') });
    expect([shown(), line(story)?.promised]).toEqual([toDay('2026-03-11'), toDay('2026-03-11')]);
    const done = repaired().closes();
    expect(line(done)).toMatchObject({ toldAt: null });
    const told = { how: 'telephone', words: '' } as const;
    expect(
      done.try('customer-told', told, undefined, 1, '2026-03-10T15:00:00.000Z'),
    ).toBeUndefined();
    expect(line(done)).toMatchObject({ toldAt: '2026-03-10T15:00:00.000Z', standing: 'ready' });
  });
});

describe('the clock', () => {
  const at = (clock: string) => `2026-03-02T${clock}:00.000Z`;

  it('counts each person for themselves, interrupted and resumed', () => {
    const story = new Story();
    const tavi = actor();
    story.try('clock-started', {}, story.odren, 0, at('10:00'));
    story.try('clock-started', {}, tavi, 0, at('10:10'));
    expect(story.try('clock-started', {}, tavi, 0, at('10:11'))?.code).toBe('already-so');
    story.try('clock-stopped', { why: 'interrupted' }, story.odren, 0, at('10:25'));
    expect(line(story)?.atTheClock).toEqual([tavi.person]);
    expect(story.try('clock-stopped', { why: 'for-now' }, story.odren, 0, at('10:26'))?.code).toBe(
      'already-so',
    );
    story.try('clock-started', {}, story.odren, 0, at('11:00'));
    story.try('clock-stopped', { why: 'for-now' }, story.odren, 0, at('11:20'));
    story.must('labour-booked', { minutes: 7, words: 'Test at the counter' });
    // 25 + 20 by the one, 7 without the clock; the other's runs still: 60 until ten past eleven.
    expect(minutesWorked(story.ticket.life)).toBe(52);
    expect(minutesWorked(story.ticket.life, at('11:10'))).toBe(112);
  });

  it('stops when the knot is tied, and a clock set back undoes no work', () => {
    const story = repaired();
    story.try('clock-started', {}, story.odren, 1, at('09:00'));
    story.proves();
    story.try('ticket-closed', {}, story.odren, 1, at('09:30'));
    expect(minutesWorked(story.ticket.life)).toBe(30);
    const other = new Story();
    other.try('clock-started', {}, other.odren, 0, at('09:00'));
    other.try('clock-stopped', { why: 'for-now' }, other.odren, 0, at('08:00'));
    expect(minutesWorked(other.ticket.life)).toBe(0);
  });

  it('is not for the counter', () => {
    expect(new Story().try('clock-started', {}, actor('counter'))?.code).toBe('role-may-not');
  });
});

describe('the machine', () => {
  it('is judged by its own traits, from the moment on that they are known', () => {
    const story = new Story('drop-in');
    expect(modelFor(story).checks.has('bobbin-metal')).toBe(
      SHIPPED.modelOf('drop-in')?.checks.has('bobbin-metal'),
    );
    const traits = ['bobbin', 'drop-in', 'zigzag', 'plastic-case', 'magnet-case'];
    story.must('machine-known', { machine: testId(), family: 'drop-in', traits, label: 'Mint' });
    const own = modelFor(story);
    const magnet = SHIPPED.modelOf('drop-in-magnet');
    expect([...own.causes.keys()]).toEqual([...(magnet?.causes.keys() ?? [])]);
    expect(own.family.id).toBe('drop-in');
    expect(line(story)).toMatchObject({ label: 'Mint', family: 'drop-in' });
  });

  it('keeps what came over the counter and how it was found', () => {
    const story = new Story('drop-in', [], 'call');
    story.must('machine-arrived', {
      tag: 5,
      shelf: 'B',
      accessories: ['Foot control', 'Case'],
      condition: 'Scratch on the arm',
    });
    expect(story.ticket.life).toMatchObject({
      accessories: ['Foot control', 'Case'],
      condition: 'Scratch on the arm',
    });
    const setUp = { needle: '80, dull', thread: '', bobbin: 'metal', dial: '4', screw: '' };
    story.must('set-up-noted', setUp).must('measured', {
      quantity: 'bobbin-tension',
      value: 34,
      when: 'found',
    });
    expect(story.ticket.life.setUp).toEqual(setUp);
    expect(story.ticket.life.measures).toMatchObject([{ quantity: 'bobbin-tension', value: 34 }]);
  });
});

describe('minutes left', () => {
  it('fall with what is found, and are nothing once it is closed', () => {
    const left = (story: Story) =>
      workLeftOn(story.ticket, modelFor(story), assess(story.ticket, modelFor(story)));
    const fresh = new Story('drop-in', ['skip']);
    const found = new Story('drop-in', ['skip']).sees('needle-facing', ['needle-wrong-way']);
    expect(left(found).mean).toBeLessThan(left(fresh).mean);
    expect(left(found).spread).toBeLessThan(left(fresh).spread);
    const closed = repaired().closes();
    expect(line(closed)?.left).toEqual({ mean: 0, spread: 0 });
  });
});

it('an event of before machines had rows is told as ever', () => {
  const told = new Story();
  const sent = told.events.map((event) => ticketEvent.parse(JSON.parse(JSON.stringify(event))));
  expect(foldTicket(told.ticket.id, sent)).toEqual(told.ticket);
  expect(told.ticket.life.machine).toBeUndefined();
});
