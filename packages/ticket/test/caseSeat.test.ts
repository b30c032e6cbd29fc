import { describe, expect, it } from 'vitest';
import { caseSeat, checkStatus } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

const seatOf = (story: Story) => caseSeat(story.ticket, modelFor(story));
const standingOf = (story: Story, check: string) =>
  checkStatus(story.ticket, modelFor(story), check);

describe('the seat of the case', () => {
  it('of a drop-in case is looked at with the plate off, and proven with the plate on', () => {
    const story = new Story('drop-in');
    expect(seatOf(story)).toBe('not-yet');
    story.opens('plate-off').sees('hook-lint').sees('case-seat', ['seat-off']);
    expect(seatOf(story)).toBe('off');
    story.does('case-seated');
    expect(seatOf(story)).toBe('again');
    story.sees('case-seat');
    expect(seatOf(story)).toBe('looked');
    story.shuts();
    expect(seatOf(story)).toBe('prove-now');
    story.sees('case-seat');
    expect(seatOf(story)).toBe('proven');
  });

  it('is to be proven anew when the closing was not taken back, and stands when it was', () => {
    const story = new Story('drop-in').opens('plate-off').sees('case-seat');
    story.must('machine-closed', {});
    const closing = story.lastId;
    expect(seatOf(story)).toBe('prove-now');
    story.must('entry-corrected', { corrects: closing });
    expect(seatOf(story)).toBe('looked');
  });

  it('of an upright case is proven by the look', () => {
    expect(seatOf(new Story('front-loading').opens('door').sees('case-seat'))).toBe('proven');
  });
});

describe('how a look stands', () => {
  it('is overtaken by what can have changed it, and by nothing else', () => {
    const story = new Story('drop-in').sees('bobbin-wind', ['bobbin-soft']).sees('bobbin-turn');
    expect(standingOf(story, 'bobbin-wind')).toBe('found');
    expect(standingOf(story, 'bobbin-turn')).toBe('sound');
    expect(standingOf(story, 'bobbin-rim')).toBe('not-yet');
    story.does('bobbin-replaced');
    expect(standingOf(story, 'bobbin-wind')).toBe('again');
    expect(standingOf(story, 'bobbin-turn')).toBe('sound');
  });
});
