import { toDay } from '@nodo/kernel';
import { describe, expect, it } from 'vitest';
import { summaryOf } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

const line = (story: Story) => summaryOf(story.ticket, modelFor(story));
const TRIED = { about: 'price', outcome: 'no-answer', again: toDay('2026-03-03') } as const;

describe('a call to the customer', () => {
  it('stands on the line of the Rack as it was last, before and after closing', () => {
    const story = new Story('drop-in', ['skip']);
    expect(line(story)?.contact).toBeNull();
    story.must('contact-tried', TRIED);
    expect(line(story)?.contact).toMatchObject(TRIED);
    const closed = new Story('drop-in', []).closes();
    closed.must('contact-tried', { about: 'ready', outcome: 'message-left', again: null });
    expect(line(closed)?.contact).toMatchObject({ about: 'ready', outcome: 'message-left' });
  });

  it('is taken back like any other entry, until the customer has the machine', () => {
    const story = new Story('drop-in', []).closes();
    story.must('contact-tried', { about: 'ready', outcome: 'reached', again: null });
    const call = story.lastId;
    story.must('customer-told', { how: 'telephone', words: '' });
    story.must('entry-corrected', { corrects: story.lastId });
    expect(line(story)?.toldAt).toBeNull();
    story.must('entry-corrected', { corrects: call });
    expect(line(story)?.contact).toBeNull();
    story.must('machine-collected', {});
    expect(story.try('contact-tried', TRIED)?.code).toBe('already-collected');
  });

  it('is for a machine that is here: a call that announces one has its own', () => {
    const story = new Story('drop-in', ['skip'], 'call');
    expect(story.try('contact-tried', TRIED)?.code).toBe('not-in-the-shop');
  });
});

describe('what work waited for', () => {
  it('is named once it is there, until somebody goes on', () => {
    const story = new Story('drop-in', ['skip']);
    story.must('price-asked', { amount: 7400, words: 'a new hook' });
    expect(line(story)).toMatchObject({ asked: 7400, freedBy: null });
    story.must('part-awaited', { part: 'Hook', expected: null });
    story.must('price-answered', { agreed: true, how: 'telephone', words: '' });
    // The part is still on its way.
    expect(line(story)).toMatchObject({ asked: null, freedBy: null });
    story.must('part-came', { awaited: story.ticket.life.awaits[0]?.id ?? '' });
    expect(line(story)?.freedBy).toBe('part');
    story.sees('needle-facing', []);
    expect(line(story)?.freedBy).toBeNull();
  });
});
