import { describe, expect, it } from 'vitest';
import { actor } from '../../kernel/test/ids.ts';
import {
  applyTicketEvent,
  changesPlan,
  EVENT_TYPES,
  foldTicket,
  lastAct,
  type Ticket,
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
import { Story } from './story.ts';

const RATES = { hour: 6000, taxPerMille: 190, taxIncluded: true };
const PRICE = { labourMinutes: 30, rates: RATES, currency: 'EUR' };
const LATER = '2026-03-02T10:05:00.000Z';

function idsOf(events: readonly TicketEvent[]): readonly string[] {
  return events.map(({ id }) => id);
}

describe('the last act', () => {
  it('is all that one tap wrote, the latest first', () => {
    const story = new Story();
    expect(story.try('action-done', { action: 'power-off-confirmed' }, undefined, 0, LATER)).toBe(
      undefined,
    );
    const first = story.lastId;
    expect(story.try('machine-opened', { state: 'plate-off' }, undefined, 0, LATER)).toBe(
      undefined,
    );
    expect(idsOf(lastAct(story.ticket, story.odren.person))).toEqual([story.lastId, first]);
  });

  it('is one’s own, also when a colleague entered something after it', () => {
    const story = new Story();
    const tavi = actor();
    story.try('action-done', { action: 'power-off-confirmed' }, undefined, 0, LATER);
    const own = story.lastId;
    story.must('observation-noted', { words: 'Belt is warm.' }, tavi);
    expect(idsOf(lastAct(story.ticket, story.odren.person))).toEqual([own]);
    expect(idsOf(lastAct(story.ticket, tavi.person))).toEqual([story.lastId]);
  });

  it('is the one before, once it was undone', () => {
    const story = new Story();
    story.try('action-done', { action: 'power-off-confirmed' }, undefined, 0, LATER);
    const before = lastAct(story.ticket, story.odren.person);
    const [undone] = before;
    story.must('entry-corrected', { corrects: undone?.id ?? '' });
    const after = lastAct(story.ticket, story.odren.person);
    expect(after).not.toEqual(before);
    expect(after.map(({ type }) => type)).not.toContain('action-done');
  });

  it('can be the closing, and the handing out, until something follows', () => {
    const story = new Story('drop-in', []).closes();
    // Closed again at an instant of its own.
    story.must('entry-corrected', { corrects: story.lastId });
    const at = (hour: number) => `2026-03-03T${hour}:00:00.000Z`;
    story.try('ticket-closed', {}, undefined, 0, at(10));
    expect(lastAct(story.ticket, story.odren.person).map(({ type }) => type)).toEqual([
      'ticket-closed',
    ]);
    story.try('machine-collected', {}, undefined, 0, at(11));
    const handedOut = story.lastId;
    expect(idsOf(lastAct(story.ticket, story.odren.person))).toEqual([handedOut]);
    expect(lastAct(story.ticket, actor().person)).toEqual([]);
    story.must('entry-corrected', { corrects: handedOut });
    expect(story.ticket.status).toBe('closed');
    story.must('entry-corrected', {
      corrects: lastAct(story.ticket, story.odren.person)[0]?.id ?? '',
    });
    expect(story.ticket.status).toBe('open');
    expect(story.ticket.closing).toBeUndefined();
  });

  it('takes along what the hand-out wrote: signature and payment, and nothing that was paid before', () => {
    const story = new Story('drop-in', []).closes().must('bill-made', PRICE);
    story.must('payment-taken', { how: 'card', amount: 1000 });
    const photo = 'a'.repeat(64);
    const { person } = story.odren;
    story.try('signed', { what: 'collected', photo }, undefined, 0, LATER);
    story.try('payment-taken', { how: 'cash', amount: 2000 }, undefined, 0, LATER);
    expect(story.try('machine-collected', {}, undefined, 0, LATER)).toBeUndefined();
    const act = lastAct(story.ticket, person);
    expect(act.map(({ type }) => type)).toEqual(['machine-collected', 'payment-taken', 'signed']);
    for (const { id } of act) story.must('entry-corrected', { corrects: id });
    const { status, life } = story.ticket;
    expect(status).toBe('closed');
    expect(life.signed).toEqual([]);
    expect(life.payments.map(({ amount }) => amount)).toEqual([1000]);
  });

  it('can be a payment once the customer has it, by whoever took it', () => {
    const story = new Story('drop-in', []).closes().must('bill-made', PRICE);
    story.must('machine-collected', {});
    story.try('payment-taken', { how: 'card', amount: 3000 }, undefined, 0, LATER);
    const paid = story.lastId;
    expect(story.try('entry-corrected', { corrects: paid }, actor())?.code).toBe(
      'already-collected',
    );
    expect(idsOf(lastAct(story.ticket, story.odren.person))).toEqual([paid]);
    story.must('entry-corrected', { corrects: paid });
    expect(story.ticket.life.payments).toEqual([]);
  });

  it('leaves what the customer signed at intake as it is', () => {
    const story = new Story('drop-in', []);
    story.must('signed', { what: 'intake', photo: 'b'.repeat(64) });
    expect(story.try('entry-corrected', { corrects: story.lastId })?.code).toBe(
      'nothing-to-correct',
    );
  });

  it('of somebody else is not undone: neither a closing, nor one that something follows', () => {
    const story = new Story('drop-in', []).closes();
    const closing = story.lastId;
    expect(story.try('entry-corrected', { corrects: closing }, actor())?.code).toBe(
      'ticket-closed',
    );
    story.must('customer-told', { how: 'telephone', words: '' });
    expect(lastAct(story.ticket, story.odren.person)).toEqual([]);
    expect(story.try('entry-corrected', { corrects: closing })?.code).toBe('ticket-closed');
  });
});

describe('what changes the plan', () => {
  const GOLDEN = [
    eventsV1,
    eventsV2,
    eventsV3,
    eventsV4,
    eventsV5,
    eventsV6,
    eventsV7,
    eventsV8,
    eventsV9,
    eventsV10,
    eventsV11,
    eventsV12,
    eventsV13,
    eventsV14,
    eventsV15,
    eventsV16,
  ];

  /** All of a ticket that inference and planning read. */
  function planned({ life: _life, seq: _seq, entries: _entries, intake, ...rest }: Ticket): object {
    const { shelf: _shelf, ...kept } = intake ?? { shelf: '' };
    return { ...rest, intake: kept };
  }

  it('is every entry but those that leave all of it as it is', () => {
    const seen = new Set<string>();
    for (const golden of GOLDEN) {
      const events = golden.events.map((event) => ticketEvent.parse(event));
      events.forEach((event, index) => {
        if (changesPlan(event)) return;
        const before = foldTicket(golden.ticket, events.slice(0, index));
        const after = applyTicketEvent(before, event);
        expect(planned(after), event.type).toEqual(planned(before));
        seen.add(event.type);
      });
    }
    const unchanging = EVENT_TYPES.filter((type) => !changesPlan({ type }));
    expect(unchanging.length).toBeGreaterThan(20);
    expect(unchanging.filter((type) => !seen.has(type))).toEqual([]);
  });
});
