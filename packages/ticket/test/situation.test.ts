import { toDay } from '@nodo/kernel';
import { describe, expect, it } from 'vitest';
import { situationOf } from '../src/index.ts';
import { Story } from './story.ts';

const now = (story: Story) => situationOf(story.ticket);

describe('how a ticket stands', () => {
  it('names what it waits for: an answer first, then a part', () => {
    const story = new Story('drop-in', ['skip']);
    expect(now(story)).toMatchObject({
      stage: 'taken-in',
      question: undefined,
      awaited: undefined,
    });
    story.must('part-awaited', { part: 'Hook', expected: toDay('2026-03-20') });
    expect(now(story)).toMatchObject({ stage: 'part-awaited', awaited: { part: 'Hook' } });
    story.must('price-asked', { amount: 7400, words: 'a new hook' });
    expect(now(story)).toMatchObject({ stage: 'ask-customer', question: { amount: 7400 } });
    story.must('price-answered', { agreed: true, how: 'telephone', words: '' });
    expect(now(story)).toMatchObject({ stage: 'part-awaited', question: undefined });
    const { awaited } = now(story);
    story.must('part-came', { awaited: awaited?.id ?? '' });
    expect(now(story).awaited).toBeUndefined();
  });

  it('has a conflict where the part comes after the promised day, until it is here', () => {
    const story = new Story('drop-in', ['skip']);
    story.must('day-promised', { day: toDay('2026-03-19') });
    expect(now(story).conflict).toBeUndefined();
    story.must('part-awaited', { part: 'Hook', expected: toDay('2026-03-20') });
    expect(now(story).conflict).toEqual({ promised: '2026-03-19', expected: '2026-03-20' });
    // On the day itself it may still hold.
    story.must('day-promised', { day: toDay('2026-03-20') });
    expect(now(story).conflict).toBeUndefined();
    story.must('day-promised', { day: toDay('2026-03-19') });
    story.must('part-came', { awaited: now(story).awaited?.id ?? '' });
    expect(now(story).conflict).toBeUndefined();
  });

  it('tells ready and informed apart, and what goes back as it came', () => {
    const story = new Story('drop-in', []).closes();
    expect(now(story)).toMatchObject({
      stage: 'ready',
      informedAt: undefined,
      unrepaired: undefined,
    });
    story.must('customer-told', { how: 'telephone', words: '' });
    expect(now(story).informedAt).toBeDefined();
    story.must('machine-collected', {});
    expect(now(story).stage).toBe('collected');
  });
});
