import { describe, expect, it } from 'vitest';
import { actor } from '../../kernel/test/ids.ts';
import { handOverOf, summaryOf } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

describe('a hand-over', () => {
  const tavi = actor();
  const note = 'Needle is out and in the dish.';

  it('waits for whom it is for, on the Rack too', () => {
    const story = new Story().must('handed-over', { to: tavi.person, note });
    const waiting = { to: tavi.person, by: story.odren.person, note };
    expect(handOverOf(story.ticket)).toEqual(waiting);
    expect(summaryOf(story.ticket, modelFor(story))?.handOver).toEqual(waiting);
    // An entry of somebody else does not take it up.
    story.must('observation-noted', { words: 'x' }, actor());
    expect(handOverOf(story.ticket)).toEqual(waiting);
    story.must('observation-noted', { words: 'x' }, tavi);
    expect(handOverOf(story.ticket)).toBeUndefined();
  });

  it('to whoever comes is taken up by anybody but its maker', () => {
    const story = new Story().must('handed-over', { to: null, note });
    story.must('observation-noted', { words: 'x' });
    expect(handOverOf(story.ticket)?.note).toBe(note);
    story.must('observation-noted', { words: 'x' }, tavi);
    expect(handOverOf(story.ticket)).toBeUndefined();
  });

  it('gives way to the next one, and goes when it is taken back', () => {
    const story = new Story().must('handed-over', { to: tavi.person, note });
    story.must('handed-over', { to: null, note: 'Anybody.' });
    expect(handOverOf(story.ticket)?.note).toBe('Anybody.');
    story.must('entry-corrected', { corrects: story.lastId });
    expect(handOverOf(story.ticket)?.note).toBe(note);
  });
});
