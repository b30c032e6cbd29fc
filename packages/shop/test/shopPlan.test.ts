import { dayAfter, daysBetween, toDay, weekdayOf } from '@nodo/kernel';
import { summaryOf, type TicketSummary } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { testId } from '../../kernel/test/ids.ts';
import { modelFor, Story } from '../../ticket/test/story.ts';
import {
  absenceOn,
  NEW_SHOP_PROFILE,
  offersFor,
  orderOf,
  planShop,
  type ShopProfile,
  USUAL_TIME,
  type Workshop,
} from '../src/index.ts';
import { benchOf } from '../src/workingTime.ts';

const ODREN = testId();
/** Monday, the second of March 2026, nine o'clock: the whole first shift lies ahead. */
const MONDAY = { day: toDay('2026-03-02'), minute: 540 };

/** The shop's own card with one person's working time. */
const shopWith = (time: Partial<ShopProfile['people'][string]>): ShopProfile => ({
  ...NEW_SHOP_PROFILE,
  people: { [ODREN]: { ...USUAL_TIME, ...time } },
});

/** A machine's line on the Rack: an hour of work, taken in on the Friday before. */
function machine(change: Partial<TicketSummary> = {}): TicketSummary {
  const story = new Story();
  const line = summaryOf(story.ticket, modelFor(story));
  if (!line) throw new Error('no line');
  const takenInAt = '2026-02-27T10:00:00.000Z';
  return { ...line, takenInAt, left: { mean: 60, spread: 10 }, ...change };
}

const shop = (rack: readonly TicketSummary[], card = shopWith({ share: 100 })): Workshop => ({
  rack,
  card,
  people: [ODREN],
  now: MONDAY,
});

describe('days', () => {
  // ISO 8601 puts Monday first; dates whose weekday any calendar tells.
  it.each([
    [toDay('2000-01-01'), 5],
    [toDay('2024-02-29'), 3],
    [toDay('2026-03-02'), 0],
    [toDay('2027-12-31'), 4],
  ])('%s is weekday %i from Monday on', (day, weekday) => {
    expect(weekdayOf(day)).toBe(weekday);
  });

  it('go over months, leap days and the changes of clocks', () => {
    expect(dayAfter(toDay('2024-02-28'), 1)).toBe(toDay('2024-02-29'));
    expect(dayAfter(toDay('2026-12-31'), 1)).toBe(toDay('2027-01-01'));
    expect(dayAfter(toDay('2026-03-28'), 2)).toBe(toDay('2026-03-30'));
    expect(daysBetween(toDay('2026-03-28'), toDay('2026-03-30'))).toBe(2);
    expect(daysBetween(toDay('2026-10-26'), toDay('2026-10-24'))).toBe(-2);
  });
});

describe('working time', () => {
  const DAY = 1440;

  it('is the share of each shift, from its beginning, on the days that are worked', () => {
    const { stretches } = benchOf(shopWith({ share: 50 }), ODREN, MONDAY, 8);
    // Nine to five is 480 minutes; half of it, Monday to Friday, then the next Monday.
    expect(stretches).toEqual(
      [0, 1, 2, 3, 4, 7].map((ahead) => [ahead * DAY + 540, ahead * DAY + 540 + 240]),
    );
  });

  it('leaves out what is past of today', () => {
    const { stretches } = benchOf(shopWith({ share: 100 }), ODREN, { ...MONDAY, minute: 900 }, 1);
    expect(stretches).toEqual([[900, 1020]]);
  });

  it('has none on days off, and says why', () => {
    const off = [{ from: toDay('2026-03-03'), until: toDay('2026-03-04'), words: 'Moving house' }];
    const card = {
      ...shopWith({ off }),
      closed: [{ from: toDay('2026-03-05'), until: toDay('2026-03-05'), words: 'Fair' }],
    };
    const time = card.people[ODREN] ?? USUAL_TIME;
    const days = [
      toDay('2026-03-02'),
      toDay('2026-03-03'),
      toDay('2026-03-05'),
      toDay('2026-03-07'),
    ];
    expect(days.map((day) => absenceOn(card, time, day)?.why)).toEqual([
      undefined,
      'off',
      'shop-closed',
      'not-a-working-day',
    ]);
    expect(benchOf(card, ODREN, MONDAY, 5).stretches).toHaveLength(2);
  });
});

describe('the plan of the shop', () => {
  it('says of each machine why it stands where it does', () => {
    const reasons = (change: Partial<TicketSummary>) =>
      planShop(shop([machine(change)]))?.planned.map(({ reason }) => reason);
    expect(reasons({ promised: toDay('2026-03-01') })).toEqual(['overdue']);
    // The day itself is not over yet.
    expect(reasons({ promised: toDay('2026-03-02') })).toEqual(['due-soon']);
    expect(reasons({ promised: toDay('2026-03-03') })).toEqual(['due-soon']);
    expect(reasons({ promised: toDay('2026-03-04') })).toEqual(['promised']);
    expect(reasons({ promised: null })).toEqual(['in-turn']);
    expect(reasons({ promised: null, comebackOf: testId() })).toEqual(['came-back']);
    // Without a promise it should be ready after the shop's usual week.
    expect(reasons({ promised: null, takenInAt: '2026-02-20T10:00:00.000Z' })).toEqual(['overdue']);
  });

  it('counts the usual days from the day in the shop on which it came', () => {
    // A minute to midnight on Sunday in Honolulu, late on Monday evening in Auckland.
    const came = machine({ promised: null, takenInAt: '2026-02-23T09:59:00.000Z' });
    const reasonIn = (timeZone: string) =>
      planShop(shop([came], { ...shopWith({}), timeZone }))?.planned[0]?.reason;
    expect(reasonIn('Pacific/Honolulu')).toBe('overdue');
    expect(reasonIn('Pacific/Auckland')).toBe('due-soon');
  });

  it('takes as many days as the share leaves it', () => {
    // Two working days' worth of minutes, alone in the shop.
    const rack = [machine({ left: { mean: 900, spread: 1 } })];
    const dayAt = (share: number) =>
      planShop(shop(rack, shopWith({ share })))?.planned[0]?.until?.day;
    expect(dayAt(100)).toBe(toDay('2026-03-03'));
    expect(dayAt(50)).toBe(toDay('2026-03-05'));
    expect(planShop(shop(rack, shopWith({ share: 0 })))).toBeUndefined();
  });

  it('offers no day at which nobody works', () => {
    const offers = offersFor(shop([]), { minutes: 60, spread: 5 });
    const held = offers.filter(({ holds }) => holds).map(({ day }) => weekdayOf(day));
    expect(held.length).toBeGreaterThan(15);
    expect(held.every((weekday) => weekday < 5)).toBe(true);
    expect(offers.find(({ holds }) => holds)?.day).toBe(toDay('2026-03-02'));
  });

  it('weighs lateness: a machine that came back thrice, a broken promise twice', () => {
    // As late as each other: due on the Sunday before.
    const costOf = (change: Partial<TicketSummary>) =>
      orderOf(shop([machine({ takenInAt: '2026-02-22T10:00:00.000Z', ...change })]))?.cost ?? 0;
    const usual = costOf({ promised: null });
    expect(usual).toBeGreaterThan(0);
    expect(costOf({ promised: toDay('2026-03-01') }) / usual).toBeCloseTo(2);
    expect(costOf({ promised: null, comebackOf: testId() }) / usual).toBeCloseTo(3);
  });

  it('plans what is open, is in the shop, and whose work is known', () => {
    const planned = (change: Partial<TicketSummary>) =>
      planShop(shop([machine(change)]))?.planned.length;
    expect(planned({})).toBe(1);
    expect(planned({ status: 'closed' })).toBe(0);
    // Nobody has brought it yet: the telephone only.
    expect(planned({ tag: null })).toBe(0);
    expect(planned({ left: null })).toBe(0);
  });

  it('tells who does it until when, how long it takes, and whether the promise holds', () => {
    const promised = toDay('2026-03-02');
    expect(planShop(shop([machine({ promised })]))?.planned).toMatchObject([
      {
        person: ODREN,
        from: MONDAY,
        until: { day: promised, minute: 600 },
        minutes: 60,
        spread: 10,
        promised,
      },
    ]);
    const chance = (change: Partial<TicketSummary>) =>
      planShop(shop([machine(change)]))?.planned[0]?.chance;
    expect(chance({ promised })).toBeGreaterThan(0.99);
    expect(chance({ promised: toDay('2026-03-01') })).toBeLessThan(0.01);
    expect(chance({ promised: null })).toBeNull();
    // More than ninety days of work.
    expect(
      planShop(shop([machine({ left: { mean: 90_000, spread: 1 } })]))?.planned[0]?.until,
    ).toBe(null);
  });

  it('is of today until the last shift ends, then of the next day that is worked', () => {
    const dayAt = (now: Workshop['now'], card = shopWith({ share: 100 })) =>
      planShop({ ...shop([machine()], card), now });
    expect(dayAt({ ...MONDAY, minute: 1019 })).toMatchObject({
      day: MONDAY.day,
      benches: [{ person: ODREN, shift: [540, 1020] }],
    });
    expect(dayAt({ ...MONDAY, minute: 1020 })?.day).toBe(toDay('2026-03-03'));
    // Friday evening: the next day is Monday.
    expect(dayAt({ day: toDay('2026-03-06'), minute: 1200 })?.day).toBe(toDay('2026-03-09'));
    const off = [{ from: MONDAY.day, until: MONDAY.day, words: 'Moving house' }];
    expect(dayAt(MONDAY, shopWith({ share: 100, off }))?.day).toBe(toDay('2026-03-03'));
  });

  it('goes on over the night where the shift is over', () => {
    const rack = [
      machine({ left: { mean: 400, spread: 1 } }),
      machine({ left: { mean: 100, spread: 1 } }),
    ];
    const planned = planShop(shop(rack))?.planned ?? [];
    const tuesday = toDay('2026-03-03');
    // Nine to five are 480 minutes: 500 of work end twenty minutes into Tuesday.
    expect(planned.at(-1)?.until).toEqual({ day: tuesday, minute: 560 });
    expect(planned[1]?.from).toEqual(planned[0]?.until);
  });

  it('needs somebody at a bench', () => {
    const nobody = { ...shop([machine()]), people: [] };
    expect(planShop(nobody)).toBeUndefined();
    expect(offersFor(nobody, { minutes: 60, spread: 5 })).toEqual([]);
  });

  it('does not count a machine against its own new promise', () => {
    const own = machine({ left: { mean: 300, spread: 1 }, promised: toDay('2026-03-02') });
    const soonest = (ticket?: string) =>
      offersFor(shop([own]), { ticket, minutes: 300, spread: 1 }).find(({ holds }) => holds)?.day;
    expect(soonest(own.ticket)).toBe(toDay('2026-03-02'));
    // For another one, both together are more than the eight hours of Monday.
    expect(soonest()).toBe(toDay('2026-03-03'));
  });

  it('promises no day before a part is there, and none while a price is unanswered', () => {
    const soonest = (change: Partial<TicketSummary>) => {
      const own = machine(change);
      const offers = offersFor(shop([own]), { ticket: own.ticket, minutes: 60, spread: 1 });
      return offers.find(({ holds }) => holds)?.day ?? offers.at(-1)?.waitsFor;
    };
    expect(soonest({})).toBe(toDay('2026-03-02'));
    // It comes in the course of Wednesday: the work is for the day after.
    expect(soonest({ awaited: { part: 'Hook', expected: toDay('2026-03-04') } })).toBe(
      toDay('2026-03-05'),
    );
    expect(soonest({ awaited: { part: 'Hook', expected: null } })).toBe('part');
    expect(soonest({ standing: 'ask-customer' })).toBe('answer');
  });

  it('gives no promise that another machine would pay for', () => {
    // It needs most of Monday and Tuesday, and is promised for Tuesday.
    const other = machine({ left: { mean: 800, spread: 1 }, promised: toDay('2026-03-03') });
    const held = offersFor(shop([other]), { minutes: 300, spread: 1 }).filter(({ holds }) => holds);
    expect(held[0]).toMatchObject({ day: toDay('2026-03-04'), person: ODREN, pushedLate: [] });
  });
});
