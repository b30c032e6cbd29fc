import { toDay } from '@nodo/kernel';
import { describe, expect, it } from 'vitest';
import { milestonesOf } from '../src/index.ts';
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
