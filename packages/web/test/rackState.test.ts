import { type Day, toDay } from '@nodo/kernel';
import { NEW_SHOP_PROFILE } from '@nodo/shop';
import type { RackEntry } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { callAgain, callsToMake } from '../src/features/rack/calls.ts';
import { reasonsOf, sectionsOf } from '../src/features/rack/reasons.ts';
import { dueState, fitsFilter } from '../src/features/rack/state.ts';

const TODAY = toDay('2026-03-09');
const SHOP = { ...NEW_SHOP_PROFILE, stuckDays: 3, uncollectedDays: 30 };
const ODREN = '00000000-0000-4000-8000-000000000001';

/** A machine in work that somebody looked at this morning. */
const line = (change: Partial<RackEntry> = {}): RackEntry =>
  ({
    ticket: '00000000-0000-4000-8000-000000000027',
    status: 'open',
    standing: 'on-the-bench',
    tag: 27,
    shelf: 'A',
    label: 'Teal zigzag',
    customerName: 'Mrs Ilvane',
    promised: null,
    awaited: null,
    changedAt: '2026-03-09T08:00:00.000Z',
    readyAt: null,
    toldAt: null,
    lastBy: ODREN,
    comebackOf: null,
    comebacks: 0,
    freedBy: null,
    owed: [],
    handOver: null,
    late: 0,
    contested: 0,
    seen: 3,
    done: 1,
    ...change,
  }) as RackEntry;

const due = (change: Partial<RackEntry>) => dueState(line(change), SHOP, TODAY);

describe('what the calendar says of a machine', () => {
  it('is overdue from the day after the promised one on, as long as it is not ready', () => {
    expect(due({ promised: toDay('2026-03-08') }).overdue).toBe(true);
    expect(due({ promised: TODAY })).toMatchObject({ overdue: false, dueToday: true });
    expect(due({ promised: null }).overdue).toBe(false);
    expect(due({ promised: toDay('2026-03-01'), status: 'closed' }).overdue).toBe(false);
    // Announced by telephone: it is not in the shop.
    expect(due({ promised: toDay('2026-03-01'), tag: null }).overdue).toBe(false);
  });

  it('is stuck when nobody made an entry for as long as the shop puts up with', () => {
    expect(due({ changedAt: '2026-03-06T08:00:00.000Z' }).stuck).toBe(true);
    expect(due({ changedAt: '2026-03-07T08:00:00.000Z' }).stuck).toBe(false);
    // Not begun is no standstill.
    expect(due({ changedAt: '2026-03-01T08:00:00.000Z', lastBy: null }).stuck).toBe(false);
  });

  it('is not stuck while it waits for a part that is not late', () => {
    const since = { changedAt: '2026-03-01T08:00:00.000Z' };
    const waits = (expected: Day | null) =>
      due({ ...since, awaited: { part: 'Bobbin case', expected } }).stuck;
    expect(waits(toDay('2026-03-10'))).toBe(false);
    expect(waits(toDay('2026-03-08'))).toBe(true);
    expect(waits(null)).toBe(false);
  });

  it('counts the shop’s own days, wherever the device is, and over a change of clocks', () => {
    const stuckIn = (timeZone: string, changedAt: string, today: string) =>
      dueState(line({ changedAt }), { ...SHOP, timeZone }, toDay(today)).stuck;
    // Evening of the 6th in London: the 7th in Auckland, still the 6th in Honolulu.
    const entry = '2026-03-06T20:00:00.000Z';
    expect(stuckIn('Pacific/Auckland', entry, '2026-03-09')).toBe(false);
    expect(stuckIn('Pacific/Honolulu', entry, '2026-03-09')).toBe(true);
    // Three days on, one of them an hour short (Berlin, 29 March 2026).
    const late = '2026-03-27T22:30:00.000Z';
    expect(stuckIn('Europe/Berlin', late, '2026-03-29')).toBe(false);
    expect(stuckIn('Europe/Berlin', late, '2026-03-30')).toBe(true);
  });

  it('is uncollected when its customer has known for longer than the shop wants to keep it', () => {
    const told = (toldAt: string | null) =>
      due({ status: 'closed', readyAt: '2026-01-02T08:00:00.000Z', toldAt }).uncollected;
    expect(told('2026-02-07T08:00:00.000Z')).toBe(true);
    expect(told('2026-02-08T08:00:00.000Z')).toBe(false);
    // Nobody told them.
    expect(told(null)).toBe(false);
  });
});

describe('what of the Rack is shown', () => {
  const ALL = { who: '', stands: '', shelf: '' };
  const QUIET = { overdue: false, dueToday: false, stuck: false, uncollected: false };
  const shows = (filter: Partial<typeof ALL>, state = QUIET, change: Partial<RackEntry> = {}) =>
    fitsFilter(line(change), { ...ALL, ...filter }, state, new Map());

  it('is chosen by shelf, by who works on it, and by how it stands', () => {
    expect([shows({ shelf: 'A' }), shows({ shelf: 'B' })]).toEqual([true, false]);
    expect([shows({ who: ODREN }), shows({ who: 'somebody else' })]).toEqual([true, false]);
    expect(shows({ stands: 'overdue' })).toBe(false);
    expect(shows({ stands: 'overdue' }, { ...QUIET, overdue: true })).toBe(true);
    expect(shows({ stands: 'comeback' }, QUIET, { comebackOf: ODREN })).toBe(true);
    // It came back from this one; this one is not it.
    expect(shows({ stands: 'comeback' }, QUIET, { comebacks: 1 })).toBe(false);
    expect([shows({ stands: 'on-the-bench' }), shows({ stands: 'ready' })]).toEqual([true, false]);
  });
});

describe('what needs attention', () => {
  const QUIET = { overdue: false, dueToday: false, stuck: false, uncollected: false };

  it('is a machine with all its reasons, the most urgent first', () => {
    const both = line({ standing: 'ask-customer' });
    expect(reasonsOf(both, { ...QUIET, stuck: true, overdue: true })).toEqual([
      'overdue',
      'ask',
      'stuck',
    ]);
    expect(reasonsOf(line(), QUIET)).toEqual([]);
  });

  it('stands once, all trouble in one list, the most urgent first, then the longest in the shop', () => {
    const of = (ticket: string, takenInAt: string, change: Partial<RackEntry> = {}) =>
      line({ ticket, takenInAt, ...change });
    const rack = [
      of('young', '2026-03-08T08:00:00.000Z', { contested: 1 }),
      of('old', '2026-03-01T08:00:00.000Z', { contested: 1, owed: ['strike-sweep'] }),
      of('overdue', '2026-03-07T08:00:00.000Z'),
      of('ready', '2026-03-01T08:00:00.000Z', { status: 'closed' }),
      of('in good hands', '2026-03-01T08:00:00.000Z'),
    ];
    const states = new Map(
      rack.map(({ ticket }) => [ticket, { ...QUIET, overdue: ticket === 'overdue' }]),
    );
    expect(
      sectionsOf(rack, states).map(({ section, entries }) => [
        section,
        entries.map((one) => [one.line.ticket, one.reason, one.also]),
      ]),
    ).toEqual([
      [
        'trouble',
        [
          ['overdue', 'overdue', []],
          ['old', 'differing', ['owing']],
          ['young', 'differing', []],
        ],
      ],
      ['ready', [['ready', 'ready', []]]],
    ]);
  });
});

describe('whom to ring', () => {
  const QUIET = { overdue: false, dueToday: false, stuck: false, uncollected: false };
  const calls = (
    change: Partial<RackEntry>,
    state: Partial<typeof QUIET> = {},
    today: Day = TODAY,
  ) => {
    const one = line({ toldAt: null, contact: null, ...change });
    const states = new Map([[one.ticket, { ...QUIET, ...state }]]);
    return callsToMake([one], states, today).map(({ about }) => about);
  };
  const part = (expected: string) => ({ part: 'Hook', expected: toDay(expected) });

  it('is who has a price to answer, a promise that does not hold, a part that is late', () => {
    expect(calls({})).toEqual([]);
    expect(calls({ standing: 'ask-customer' })).toEqual(['price']);
    expect(calls({ promised: toDay('2026-03-08') })).toEqual(['promise']);
    expect(calls({ promised: TODAY })).toEqual([]);
    const promised = toDay('2026-03-12');
    expect(calls({ promised, awaited: part('2026-03-13') })).toEqual(['promise']);
    expect(calls({ promised, awaited: part('2026-03-12') })).toEqual([]);
    expect(calls({ awaited: part('2026-03-08') })).toEqual(['part-late']);
  });

  it('says what else the machine wants a person for, once', () => {
    const one = line({ standing: 'ask-customer', contact: null, owed: ['strike-sweep'] });
    const states = new Map([[one.ticket, { ...QUIET, stuck: true }]]);
    expect(callsToMake([one], states, TODAY)[0]?.also).toEqual(['stuck', 'owing']);
  });

  it('never mixes who knows that it is ready with who does not', () => {
    const ready = { status: 'closed', standing: 'ready' } as const;
    expect(calls(ready)).toEqual(['ready']);
    const informed = { ...ready, toldAt: '2026-03-01T10:00:00.000Z' };
    expect(calls(informed)).toEqual([]);
    expect(calls(informed, { uncollected: true })).toEqual(['not-fetched']);
  });

  it('waits for the day that was noted, and ends with what was said', () => {
    const tried = (
      about: 'price' | 'promise',
      outcome: 'no-answer' | 'reached',
      again: Day | null,
    ) => ({ about, outcome, again, at: '2026-03-09T09:00:00.000Z' }) as const;
    const asked = { standing: 'ask-customer' } as const;
    const tomorrow = toDay('2026-03-10');
    const noAnswer = { ...asked, contact: tried('price', 'no-answer', tomorrow) };
    expect(calls(noAnswer)).toEqual([]);
    expect(calls(noAnswer, {}, tomorrow)).toEqual(['price']);
    // They know of the late day; a price is asked until it is answered.
    const late = { promised: toDay('2026-03-08') };
    expect(calls({ ...late, contact: tried('promise', 'reached', null) })).toEqual([]);
    expect(calls({ ...late, contact: tried('price', 'reached', null) })).toEqual(['promise']);
    expect(calls({ ...asked, contact: tried('price', 'reached', null) })).toEqual(['price']);
    expect(callAgain('ready', 'no-answer', TODAY)).toBe('2026-03-10');
    expect(callAgain('ready', 'reached', TODAY)).toBeNull();
    expect(callAgain('not-fetched', 'reached', TODAY)).toBe('2026-03-16');
  });

  it('goes by urgency, then by how long it is here, without calls and people unknown', () => {
    const of = (ticket: string, change: Partial<RackEntry>) =>
      line({ ticket, toldAt: null, contact: null, ...change });
    const rack = [
      of('ready', { status: 'closed', takenInAt: '2026-03-01T08:00:00.000Z' }),
      of('young', { standing: 'ask-customer', takenInAt: '2026-03-05T08:00:00.000Z' }),
      of('old', { standing: 'ask-customer', takenInAt: '2026-03-02T08:00:00.000Z' }),
      of('nobody', { standing: 'ask-customer', customerName: null }),
      of('call', { standing: 'away', tag: null }),
    ];
    expect(callsToMake(rack, new Map(), TODAY).map(({ line: { ticket } }) => ticket)).toEqual([
      'old',
      'young',
      'ready',
    ]);
  });
});
