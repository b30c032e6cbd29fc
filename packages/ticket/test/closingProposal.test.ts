import { describe, expect, it } from 'vitest';
import { assess, closingProposal } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

/** Backward, put right, proven and closed. */
function mended(): Story {
  const story = new Story('drop-in', ['skip']);
  story.sees('needle-facing', ['needle-wrong-way']);
  return story.does('needle-set');
}

describe('a closing sheet begins with what the ticket says', () => {
  it('found, done, and what helps next time, by the cause that was there', () => {
    const story = mended();
    story.does('power-on').proves();
    for (const { duty, state } of assess(story.ticket, modelFor(story)).duties) {
      const reason = 'This story is about something else.';
      if (state === 'owed') story.must('duty-waived', { duty, reason });
    }
    story.closes();
    const { found, done, helps } = closingProposal(story.ticket, modelFor(story));
    expect(found[0]).toBe('needle-backward');
    expect(done).toEqual(['needle-set']);
    expect(helps[0]).toContain('flat of the needle');
    expect(new Set(helps).size).toBe(helps.length);
  });

  it('the minutes of the clock where one ran, else those of what was checked and done, never none', () => {
    const story = mended();
    const unclocked = closingProposal(story.ticket, modelFor(story));
    expect(unclocked.isByClock).toBe(false);
    // A look of half a minute and a new seat of two: less than ten, more than one.
    expect(unclocked.minutes).toBeGreaterThanOrEqual(1);
    expect(unclocked.minutes).toBeLessThan(10);
    story.must('labour-booked', { minutes: 25, words: 'Cleaned' });
    const clocked = closingProposal(story.ticket, modelFor(story));
    expect([clocked.minutes, clocked.isByClock]).toEqual([25, true]);
  });

  it('counts what was sewn as long as it was sewn', () => {
    const story = mended().does('power-on');
    const before = closingProposal(story.ticket, modelFor(story)).minutes;
    story.proves(15);
    expect(closingProposal(story.ticket, modelFor(story)).minutes).toBe(before + 15);
  });

  it('what was put right on suspicion and is gone is told as what it probably was', () => {
    const story = new Story('drop-in', ['skip']);
    story.does('power-off-confirmed').does('needle-replaced').does('power-on').proves(15);
    for (const { duty, state } of assess(story.ticket, modelFor(story)).duties) {
      const reason = 'This story is about something else.';
      if (state === 'owed') story.must('duty-waived', { duty, reason });
    }
    story.closes();
    const { found, probable = '', done } = closingProposal(story.ticket, modelFor(story));
    expect(found).toEqual([]);
    expect(modelFor(story).actions.get('needle-replaced')?.treats).toContain(probable);
    expect(done).toEqual(['needle-replaced']);
    // What was seen needs no guess beside it.
    const seen = mended().does('power-on').proves();
    expect(closingProposal(seen.ticket, modelFor(seen)).probable).toBeUndefined();
  });

  it('a part that went in waits for its price, until somebody put one on the bill or took it off', () => {
    const story = new Story('drop-in', ['skip'])
      .does('power-off-confirmed')
      .does('needle-replaced');
    const left = () => closingProposal(story.ticket, modelFor(story)).parts;
    expect(left()).toEqual(['Needle']);
    story.must('part-fitted', { words: 'Needle 75/11', count: 1, each: 150 });
    expect(left()).toEqual([]);
    const [part] = story.ticket.life.parts;
    story.must('entry-corrected', { corrects: part?.entry ?? '' });
    expect(left()).toEqual(['Needle']);
    expect(story.ticket.life.parts).toEqual([]);
  });

  it('parts can be added and taken off after closing, until the customer has the machine', () => {
    const story = new Story('drop-in', []).closes();
    const needle = { words: 'Needle', count: 1, each: 150 };
    story.must('part-fitted', needle).must('part-fitted', needle);
    const [first, second] = story.ticket.life.parts;
    story.must('entry-corrected', { corrects: first?.entry ?? '' });
    expect(story.ticket.life.parts.map(({ entry }) => entry)).toEqual([second?.entry]);
    // What was done at the machine stays as it was closed.
    const [intake] = story.ticket.entries;
    expect(story.try('entry-corrected', { corrects: intake?.id ?? '' })?.code).toBe(
      'ticket-closed',
    );
    story.must('machine-collected', {});
    expect(story.try('part-fitted', needle)?.code).toBe('already-collected');
    const late = story.try('entry-corrected', { corrects: second?.entry ?? '' });
    expect(late?.code).toBe('already-collected');
  });

  it('can be written until the customer has the machine', () => {
    const story = new Story('drop-in', []).closes();
    const sheet = { found: 'Lint', done: 'Cleaned', helps: '', paid: 'cash' } as const;
    story.must('closing-noted', sheet).must('closing-noted', { ...sheet, paid: 'card' });
    expect(story.ticket.life.closingSheet?.paid).toBe('card');
    story.must('machine-collected', {});
    expect(story.try('closing-noted', sheet)?.code).toBe('already-collected');
  });
});
