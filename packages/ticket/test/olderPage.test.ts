import { describe, expect, it } from 'vitest';
import { assess } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

/**
 * What a page writes that was loaded before symptoms persisted, was off line, and sends it now: it knows no
 * minutes of sewing, no "how often", no setting aside of a symptom, and closes when the risk is low.
 */
describe('entries of an older page', () => {
  const repaired = () => new Story('drop-in', ['skip']).does('needle-replaced');

  it('a sewing without its minutes counts for as long as the check takes', () => {
    const told = (minutes?: number) => {
      const story = repaired();
      story.must('findings-recorded', {
        check: 'found-sew',
        answers: { 'found-skips': 'no' },
        ...(minutes === undefined ? {} : { sewnMinutes: minutes }),
      });
      return assess(story.ticket, modelFor(story)).risk;
    };
    const usual = modelFor(new Story()).checks.get('found-sew')?.minutes;
    expect(told()).toBe(told(usual));
    expect(told()).toBeGreaterThan(told((usual ?? 0) + 5));
  });

  it('a symptom whose frequency it did not ask is taken to show in every seam', () => {
    const riskOf = (story: Story) => assess(story.sees('found-sew').ticket, modelFor(story)).risk;
    const told = (often: 'seam' | 'hours') =>
      riskOf(repaired().must('how-often-told', { symptom: 'skip', often }));
    expect(riskOf(repaired())).toBeCloseTo(told('seam'), 9);
    expect(riskOf(repaired())).toBeLessThan(told('hours'));
  });

  it('a closing of a machine that nobody repaired or sewed is refused with what is owed, and nothing is lost', () => {
    const story = new Story('drop-in', ['motor-only']).sees('winder').sees('clutch');
    const before = story.ticket;
    expect(story.try('ticket-closed', {})).toMatchObject({
      code: 'symptoms-owed',
      data: { owed: ['motor-only'] },
    });
    expect(story.ticket).toEqual(before);
  });
});
