import { describe, expect, it } from 'vitest';
import { assess, IN_WORDS } from '../src/index.ts';
import { modelFor, Story } from './story.ts';

/** Every check of these looked at, nothing found. */
function looked(story: Story, ...checks: readonly string[]): Story {
  for (const check of checks) story.sees(check);
  return story;
}

const owedOn = (story: Story) =>
  assess(story.ticket, modelFor(story)).debts.flatMap(({ symptom, settled }) =>
    settled === undefined ? [symptom] : [],
  );

describe('a machine is not closed unrepaired because looks were normal', () => {
  it.each([
    ['motor runs, needle stands, clutch and winder normal', 'motor-only', ['clutch', 'winder']],
    ['hums, two normal looks', 'hums', ['wheel-feel', 'winder']],
    ['bobbin thread breaks, two normal looks', 'bobbin-break', ['bobbin-wind', 'bobbin-rim']],
  ] as const)('%s', (_, complaint, checks) => {
    const story = looked(new Story('drop-in', [complaint]), ...checks);
    // What hums may burn: who decided on the mains is owed besides.
    const refused =
      complaint === 'hums'
        ? { code: 'duties-owed', data: { owed: ['electrical'] } }
        : { code: 'symptoms-owed', data: { owed: [complaint] } };
    expect(story.try('ticket-closed', {})).toMatchObject(refused);
    const { debts } = assess(story.ticket, modelFor(story));
    expect(debts).toEqual([expect.objectContaining({ symptom: complaint, settled: undefined })]);
    const { risk } = assess(story.ticket, modelFor(story));
    expect(risk).toBeGreaterThan(0.9);
  });

  it('no trim, knives clear', () => {
    const story = new Story('round-shank', ['no-trim']).opens('plate-off').sees('knives').shuts();
    story.does('hand-turned');
    expect(owedOn(story)).toEqual(['no-trim']);
    expect(story.try('ticket-closed', {})?.code).toBe('symptoms-owed');
  });

  it('“does not sew right”, nothing ticked', () => {
    const story = new Story('drop-in', []);
    expect(story.try('ticket-closed', {})).toMatchObject({ data: { owed: [IN_WORDS] } });
    // Asked, and none of it: a service. There is nothing that could come back.
    story.sees('complaint');
    expect(owedOn(story)).toEqual([]);
  });

  it('a fault was seen and never treated', () => {
    const story = new Story('drop-in', ['skip']).sees('needle-facing', ['needle-wrong-way']);
    story.proves();
    expect(owedOn(story)).toEqual(['needle-backward']);
    expect(story.try('ticket-closed', {})?.code).toBe('symptoms-owed');
    story.must('symptom-settled', {
      symptom: 'needle-backward',
      how: 'put-aside',
      reason: 'It was the old needle, thrown away',
    });
    expect(owedOn(story)).toEqual([]);
  });

  it('everything was marked as treated and nothing sewn', () => {
    const story = new Story('drop-in', ['skip']);
    for (const action of ['needle-replaced', 'rethreaded', 'thread-replaced', 'hook-cleaned']) {
      story.does(action);
    }
    expect(owedOn(story)).toEqual(['skip']);
  });
});

describe('a symptom is settled', () => {
  it('by sewing it away after the last repair, until it shows again', () => {
    const story = new Story('drop-in', ['skip']).sees('needle-facing', ['needle-wrong-way']);
    story.does('needle-replaced').proves();
    const debt = () => assess(story.ticket, modelFor(story)).debts[0];
    expect(debt()).toMatchObject({ settled: 'sewn-away', silentMinutes: 15 });
    story.must('findings-recorded', {
      check: 'found-sew',
      answers: { skip: 'yes' },
      sewnMinutes: 1,
    });
    expect(debt()).toMatchObject({ settled: undefined });
    // Another repair begins anew.
    story.does('hook-cleaned');
    expect(debt()).toMatchObject({ settled: undefined, silentMinutes: 0 });
  });

  it('as not brought out, where it was sewn as found and did not show', () => {
    const story = new Story('drop-in', ['skip']).must('how-often-told', {
      symptom: 'skip',
      often: 'hours',
    });
    story.proves();
    const { debts, risk } = assess(story.ticket, modelFor(story));
    expect(debts).toMatchObject([{ settled: 'not-brought-out' }]);
    // A quarter of an hour says little of what shows once in hours, and the risk says so.
    expect(risk).toBeGreaterThan(0.5);
    story.must('ticket-closed', {});
    expect(story.ticket.closing?.snapshot.settled).toEqual({ skip: 'not-brought-out' });
  });

  it('by a person with a reason, and only what is owed', () => {
    const story = new Story('drop-in', ['skip']);
    const settle = {
      symptom: 'skip',
      how: 'explained',
      reason: 'Showed how to hold hooped work',
    } as const;
    expect(story.try('symptom-settled', { ...settle, symptom: 'nest' })?.code).toBe(
      'symptom-not-owed',
    );
    story.must('symptom-settled', settle);
    expect(owedOn(story)).toEqual([]);
    expect(story.try('symptom-settled', settle)?.code).toBe('symptom-not-owed');
    story.must('ticket-closed', {});
  });
});

describe('how often it shows', () => {
  it('comes with the complaint or later, and decides what silence is worth', () => {
    const story = new Story('drop-in', []);
    story.must('findings-recorded', {
      check: 'complaint',
      answers: { skip: 'yes' },
      often: { skip: 'always' },
    });
    expect(story.ticket.often).toEqual({ skip: 'always' });
    story.does('needle-replaced').proves(1);
    const riskNow = () => assess(story.ticket, modelFor(story)).risk;
    const always = riskNow();
    story.must('how-often-told', { symptom: 'skip', often: 'hours' });
    expect(riskNow()).toBeGreaterThan(always + 0.3);
    expect(story.try('how-often-told', { symptom: 'knit', often: 'hours' })?.code).toBe(
      'not-on-this-machine',
    );
  });
});
