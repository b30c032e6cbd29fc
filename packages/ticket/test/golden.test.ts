import { SHIPPED } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import {
  EVENT_TYPES,
  foldTicket,
  modelOfTicket,
  summaryOf,
  type TicketEvent,
  ticketEvent,
} from '../src/index.ts';
import eventsV1 from './golden/events-v1.json';
import eventsV2 from './golden/events-v2.json';
import eventsV3 from './golden/events-v3.json';
import eventsV4 from './golden/events-v4.json';
import eventsV5 from './golden/events-v5.json';
import eventsV6 from './golden/events-v6.json';
import eventsV7 from './golden/events-v7.json';
import eventsV8 from './golden/events-v8.json';
import eventsV9 from './golden/events-v9.json';
import eventsV10 from './golden/events-v10.json';
import eventsV11 from './golden/events-v11.json';
import eventsV12 from './golden/events-v12.json';
import eventsV13 from './golden/events-v13.json';
import eventsV14 from './golden/events-v14.json';
import eventsV15 from './golden/events-v15.json';
import eventsV16 from './golden/events-v16.json';

interface Golden {
  readonly ticket: string;
  readonly events: readonly unknown[];
  /** What the events came to when they were written; without chances, which the tables may move. */
  readonly expected: object;
}

/** A landed file is never changed; a new version of an event brings a file of its own. */
const GOLDEN: Readonly<Record<string, Golden>> = {
  'events-v1': eventsV1,
  'events-v2': eventsV2,
  'events-v3': eventsV3,
  'events-v4': eventsV4,
  'events-v5': eventsV5,
  'events-v6': eventsV6,
  'events-v7': eventsV7,
  'events-v8': eventsV8,
  'events-v9': eventsV9,
  'events-v10': eventsV10,
  'events-v11': eventsV11,
  'events-v12': eventsV12,
  'events-v13': eventsV13,
  'events-v14': eventsV14,
  'events-v15': eventsV15,
  'events-v16': eventsV16,
};

/** Duties that came into the tables after the files were written. */
const OWED_SINCE: ReadonlySet<string> = new Set(['hand-before-power']);

function comesTo(ticket: string, events: readonly TicketEvent[]): object {
  const told = foldTicket(ticket, events);
  const model = modelOfTicket(told, SHIPPED);
  const summary = model && summaryOf(told, model);
  return {
    status: told.status,
    seq: told.seq,
    epoch: told.epoch,
    voidEpochs: told.voidEpochs,
    plan: told.plan,
    power: told.power,
    open: [...told.open],
    corrected: [...told.corrected],
    answers: told.answers.map(
      ({ finding, present, epoch }) => `${epoch} ${finding} ${String(present)}`,
    ),
    deeds: told.performedActions.map(
      ({ action, startsEpoch }) => `${startsEpoch ?? '-'} ${action}`,
    ),
    waivers: told.waivers.map(({ duty }) => duty),
    // What later tables owe besides was not owed then.
    owed: summary?.owed.filter((duty) => !OWED_SINCE.has(duty)).sort(),
    seen: summary?.seen,
    done: summary?.done,
  };
}

describe('golden files: what was once stored is told the same for ever', () => {
  it.each(Object.entries(GOLDEN))('%s', (_, { ticket, events, expected }) => {
    const sent = events.map((event) => ticketEvent.parse(event));
    expect(sent).toEqual(events);
    const owed = 'owed' in expected ? [...(expected.owed as readonly string[])].sort() : [];
    expect(comesTo(ticket, sent)).toEqual({ ...expected, owed });
  });

  it.each([
    ['events-v7: money, time, waiting and promises', eventsV7],
    ['events-v8: needles, pieces, work and limits', eventsV8],
    ['events-v9: marks and what became of them', eventsV9],
    ['events-v13: pins, orders with their price, fee, payment and hand-out', eventsV13],
    ['events-v14: a price lowered after the hand-out, and what was given back', eventsV14],
    ['events-v15: tries of the tension, and pulls by the dial', eventsV15],
    ['events-v16: sewn samples that were measured', eventsV16],
  ])('%s', (_, { ticket, events, life: expected }) => {
    const sent = events.map((event) => ticketEvent.parse(event));
    const { life } = foldTicket(ticket, sent);
    expect(JSON.parse(JSON.stringify(life))).toMatchObject(expected);
  });

  it('events-v10: how often symptoms show, and how they were settled', () => {
    const { ticket, events, often, settled } = eventsV10;
    const told = foldTicket(
      ticket,
      events.map((event) => ticketEvent.parse(event)),
    );
    expect(told.often).toEqual(often);
    expect(told.settledSymptoms.map(({ symptom, how }) => `${symptom} ${how}`)).toEqual(settled);
  });

  it('events-v11: why something could not be told, the closing sheet, the lowest fee', () => {
    const { ticket, events, unanswerable, closingSheet, toLeastFee } = eventsV11;
    const told = foldTicket(
      ticket,
      events.map((event) => ticketEvent.parse(event)),
    );
    expect(told.unanswerable).toMatchObject(unanswerable);
    expect(told.life.closingSheet).toEqual(closingSheet);
    expect(told.life.bill?.toLeastFee).toBe(toLeastFee);
  });

  it('events-v13: why it went back unrepaired', () => {
    const { ticket, events, unrepaired } = eventsV13;
    const told = foldTicket(
      ticket,
      events.map((event) => ticketEvent.parse(event)),
    );
    expect(told.closing?.unrepaired).toBe(unrepaired);
  });

  it('have every kind of event among them', () => {
    const kinds = Object.values(GOLDEN).flatMap(({ events }) =>
      events.map((event) => ticketEvent.parse(event).type),
    );
    expect([...new Set(kinds)].sort()).toEqual([...EVENT_TYPES].sort());
  });
});
