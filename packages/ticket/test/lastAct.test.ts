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
import { Story } from './story.ts';

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
    expect(lastAct(story.ticket, story.odren.person).map(({ type }) => type)).toEqual([
      'ticket-closed',
    ]);
    story.must('machine-collected', {});
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
