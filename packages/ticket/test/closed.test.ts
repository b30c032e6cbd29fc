import { describe, expect, it } from 'vitest';
import { assess, foldTicket, lateEntries, summaryOf, type TicketEvent } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

/** A feed lever found down, raised, proven and closed. */
function closed(): Story {
  return new Story('drop-in', ['no-feed'])
    .sees('feed-lever', ['feed-down'])
    .does('feed-raised')
    .sees('standard-zigzag')
    .sees('standard-straight')
    .closes();
}

describe('a closed ticket', () => {
  it('tells what was known when it was closed, not what the tables say today', () => {
    const story = closed();
    // As if it had been closed with tables that thought otherwise.
    const events = story.events.map((event): TicketEvent => {
      if (event.type !== 'ticket-closed') return event;
      const causes = [
        { cause: 'feed-lowered', was: 0.9, is: 0.2 },
        { cause: 'needle-dull', was: 0.3, is: 0.3 },
      ];
      return { ...event, body: { snapshot: { ...event.body.snapshot, risk: 0.42, causes } } };
    });
    const ticket = foldTicket(story.ticket.id, events);
    const { beliefs, risk } = assess(ticket, modelFor(story));
    expect(risk).toBe(0.42);
    expect(beliefs.map(({ cause }) => cause)).toEqual(['needle-dull', 'feed-lowered']);
  });

  it('is reckoned anew once it is reopened', () => {
    const story = closed();
    const kept = story.ticket.closing?.snapshot.causes.length ?? 0;
    story.must('ticket-reopened', { reason: 'It came back.' });
    expect(assess(story.ticket, modelFor(story)).beliefs.length).toBeGreaterThan(kept);
  });
});

describe('what arrives after the knot was tied', () => {
  const note = { words: 'The cord is frayed.' };
  const arrives = (story: Story, observedAt: string) =>
    story.try('observation-noted', note, story.odren, story.ticket.epoch, observedAt);

  it('is taken as late when it was seen before, and leaves the closing as it was', () => {
    const story = closed();
    const { closing } = story.ticket;
    expect(arrives(story, '2026-03-02T09:59:00.000Z')).toBeUndefined();
    expect(story.ticket).toMatchObject({ status: 'closed', closing });
    expect(lateEntries(story.ticket).map(({ body }) => body)).toEqual([note]);
    expect(summaryOf(story.ticket, modelFor(story))?.late).toBe(1);
  });

  it('is refused when it was seen later, and so is work that arrives late', () => {
    const story = closed();
    expect(arrives(story, '2026-03-02T10:00:00.000Z')?.code).toBe('ticket-closed');
    const { epoch } = story.ticket;
    const early = '2026-03-02T09:59:00.000Z';
    const done = story.try('action-done', { action: 'feed-raised' }, story.odren, epoch, early);
    expect(done?.code).toBe('ticket-closed');
  });

  it('is late no more once the ticket was reopened', () => {
    const story = closed();
    arrives(story, '2026-03-02T09:59:00.000Z');
    story.must('ticket-reopened', { reason: 'Look at the cord.' });
    expect(lateEntries(story.ticket)).toEqual([]);
    expect(summaryOf(story.ticket, modelFor(story))?.late).toBe(0);
  });
});
