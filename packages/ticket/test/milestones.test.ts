import { toDay } from '@nodo/kernel';
import { describe, expect, it } from 'vitest';
import { milestonesOf, stageOf } from '../src/index.ts';
import { Story } from './story.ts';

const reached = (story: Story) =>
  milestonesOf(story.ticket).map(({ id, at }) => `${id}${at === undefined ? ' ahead' : ''}`);

describe('the way of a ticket', () => {
  it('of a machine that has just come lies ahead but for that', () => {
    expect(reached(new Story('drop-in', ['skip']))).toEqual([
      'taken-in',
      'begun ahead',
      'ready ahead',
      'informed ahead',
      'collected ahead',
    ]);
  });

  it('has price and part on it where they came up, reached with the answer and the part', () => {
    const story = new Story('drop-in', ['skip'])
      .must('price-asked', { amount: 7400, words: 'Hook' })
      .must('part-awaited', { part: 'Hook', expected: toDay('2026-03-09') });
    const ordered = story.lastId;
    expect(reached(story).slice(2, 4)).toEqual(['price ahead', 'part ahead']);
    story.must('price-answered', { agreed: true, how: 'telephone', words: '' });
    story.must('part-came', { awaited: ordered });
    expect(reached(story).slice(2, 4)).toEqual(['price', 'part']);
  });

  it('of a machine that was spoken of by telephone begins when it comes in, not with the call', () => {
    const story = new Story('drop-in', ['skip'], 'call')
      .sees('path-look', [])
      .must('call-ended', { outcome: 'bring-in' })
      .must('machine-arrived', { tag: 31, shelf: 'A' });
    const arrived = story.ticket.entries.at(-1)?.observedAt;
    expect(reached(story).slice(0, 2)).toEqual(['taken-in', 'begun ahead']);
    expect(milestonesOf(story.ticket)[0]?.at).toBe(arrived);
    expect(stageOf(story.ticket)).toBe('taken-in');
    story.sees('winder');
    expect(reached(story)[1]).toBe('begun');
    expect(stageOf(story.ticket)).toBe('on-the-bench');
  });

  it('is gone once the customer has it back', () => {
    const story = new Story('drop-in', ['loops-under'])
      .sees('path-look', ['outside-discs'])
      .does('rethreaded');
    expect(reached(story).slice(0, 2)).toEqual(['taken-in', 'begun']);
    const closed = new Story('drop-in', []).closes();
    closed.must('customer-told', { how: 'telephone', words: '' }).must('machine-collected', {});
    expect(reached(closed).slice(-3)).toEqual(['ready', 'informed', 'collected']);
  });
});
