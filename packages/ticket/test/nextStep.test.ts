import { checkMinutes } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import {
  assess,
  defer,
  IN_WORDS,
  NOTHING_DEFERRED,
  nextStep,
  planTicket,
  summaryOf,
} from '../src/index.ts';
import { modelFor, Story } from './story.ts';

function next(story: Story, deferred: readonly string[] = []) {
  const model = modelFor(story);
  const assessment = assess(story.ticket, model);
  return nextStep(story.ticket, model, assessment, planTicket(story.ticket, model, assessment), {
    ...NOTHING_DEFERRED,
    checks: new Set(deferred),
  });
}
const proposals = (story: Story) => {
  const model = modelFor(story);
  return planTicket(story.ticket, model, assess(story.ticket, model)).checks.map(
    ({ check }) => check,
  );
};

describe('what comes next', () => {
  it('nest and loops underneath: is the presser down, then dial, path, discs or pull', () => {
    const story = new Story('drop-in', ['nest', 'loops-under']);
    expect(next(story)).toEqual({ kind: 'check', check: 'presser-lever', because: 'worth' });
    const second = next(story.sees('presser-lever'));
    expect(['dial-setting', 'path-look', 'disc-cloth', 'pull-foot-down']).toContain(
      second.kind === 'check' ? second.check : second.kind,
    );
  });

  it('puts right what was seen, by the shortest action that treats it', () => {
    const story = new Story('drop-in', ['loops-under']).sees('path-look', ['outside-discs']);
    expect(next(story)).toEqual({
      kind: 'repair',
      cause: 'outside-tension-discs',
      action: 'rethreaded',
    });
  });

  it('goes on to the debts once a comeback is unlikely, the symptom among them, then to the closing', () => {
    const story = new Story('drop-in', ['no-feed'])
      .sees('feed-lever', ['feed-down'])
      .does('feed-raised');
    const proof = next(story);
    expect(proof).toMatchObject({ kind: 'prove', symptoms: ['no-feed'] });
    story.proves(proof.kind === 'prove' ? proof.minutes : 0);
    const asked: string[] = [];
    for (let step = next(story); step.kind === 'check'; step = next(story)) {
      asked.push(step.check);
      story.sees(step.check);
    }
    // No zigzag before foot and plate are known to let it through.
    expect(asked.indexOf('foot-match')).toBeLessThan(asked.indexOf('standard-zigzag'));
    expect(asked.sort()).toEqual(['foot-match', 'standard-straight', 'standard-zigzag']);
    expect(next(story)).toEqual({ kind: 'close-ticket' });
  });

  it('proves a repair before it searches on, and searches on when the proof fails', () => {
    const story = new Story('drop-in', ['loops-under'])
      .sees('path-look', ['outside-discs'])
      .does('rethreaded');
    expect(assess(story.ticket, modelFor(story)).risk).toBeLessThan(0.4);
    expect(next(story)).toMatchObject({ kind: 'prove' });
    expect(next(story.sees('standard-straight', ['straight-bad'])).kind).not.toBe('prove');
  });

  it('sews nothing before what holds it up: pieces, then the wheel by hand, then a new needle', () => {
    const story = new Story('drop-in', ['needle-break']);
    expect(next(story)).toMatchObject({ kind: 'action', duty: 'fragments' });
    story.must('pieces-laid', { at: 1, whole: 38.5, pieces: [20.5, 18], struck: null });
    story.does('fragments-accounted');
    const before: string[] = [];
    for (let step = next(story); step.kind === 'check'; step = next(story)) {
      expect(step.because).toBe('before-power');
      before.push(step.check);
      story.sees(step.check);
    }
    expect(before.sort()).toEqual(['foot-match', 'wheel-feel']);
    expect(next(story)).toMatchObject({ kind: 'action', actions: ['needle-replaced'] });
  });

  it('asks what it does, where the complaint was told in words alone, before it closes', () => {
    const story = new Story('drop-in', []);
    expect(assess(story.ticket, modelFor(story)).debts).toEqual([
      { kind: 'words', symptom: IN_WORDS, silentMinutes: 0, settled: undefined },
    ]);
    expect(story.try('ticket-closed', {})).toMatchObject({
      code: 'symptoms-owed',
      data: { owed: [IN_WORDS] },
    });
  });

  it('asks for the machine to be closed before the knot', () => {
    const story = new Story('drop-in', ['no-feed'])
      .sees('feed-lever', ['feed-down'])
      .does('feed-raised');
    story.sees('standard-zigzag').sees('standard-straight').proves().opens('needle-out');
    expect(next(story)).toEqual({ kind: 'close-machine' });
  });

  it('offers the actions where a debt is paid by one alone', () => {
    const story = new Story('drop-in', ['dark']).sees('power-look').does('electrical-not-needed');
    story.sees('standard-zigzag').sees('standard-straight').does('oiled');
    expect(next(story)).toEqual({ kind: 'action', actions: ['scrap-clean'], duty: 'run-in' });
  });

  it('passes over what was put off on this screen', () => {
    const story = new Story('drop-in', ['nest', 'loops-under']);
    expect(next(story, ['pull-foot-down'])).not.toMatchObject({ check: 'pull-foot-down' });
  });
});

describe('the three plans', () => {
  it('full sweep: everything in its order before any repair, however sure', () => {
    const story = new Story('drop-in', ['loops-under'])
      .must('plan-chosen', { plan: 'full-sweep' })
      .sees('path-look', ['outside-discs']);
    expect(next(story)).toEqual({ kind: 'check', check: 'found-sew', because: 'sweep' });
    const order: string[] = [];
    for (let steps = 0; steps < 80; steps += 1) {
      const step = next(story);
      if (step.kind !== 'check') break;
      order.push(step.check);
      // What waits for another check to be normal is told normal, so that the sweep can end.
      story.must('could-not-tell', { check: step.check });
    }
    const places = order.map((id) => modelFor(story).checks.get(id)?.sweep ?? 0);
    expect(order.length).toBeGreaterThan(40);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(next(story)).toMatchObject({ kind: 'repair', cause: 'outside-tension-discs' });
  });

  it('one change at a time: a sew-out after each repair before anything else', () => {
    const story = new Story('drop-in', ['loops-under'])
      .must('plan-chosen', { plan: 'one-at-a-time' })
      .sees('needle-facing', ['needle-wrong-way'])
      .sees('path-look', ['outside-discs'])
      .does('needle-set');
    const compare = next(story);
    expect(compare).toMatchObject({ kind: 'check', because: 'duty' });
    expect(compare.kind === 'check' && modelFor(story).checks.get(compare.check)?.needs).toBe(
      'sews',
    );
  });

  it('most likely per minute goes on to the other sure cause at once', () => {
    const story = new Story('drop-in', ['loops-under'])
      .sees('needle-facing', ['needle-wrong-way'])
      .sees('path-look', ['outside-discs'])
      .does('needle-set');
    expect(next(story)).toMatchObject({ kind: 'repair', cause: 'outside-tension-discs' });
  });
});

describe('what is put off', () => {
  it('a cause that is nearly sure gives way to the next step', () => {
    const story = new Story('drop-in', ['loops-under']).sees('path-look', ['outside-discs']);
    const model = modelFor(story);
    const assessment = assess(story.ticket, model);
    const planned = planTicket(story.ticket, model, assessment);
    const deferred = defer(NOTHING_DEFERRED, { cause: 'outside-tension-discs' });
    expect(nextStep(story.ticket, model, assessment, planned, deferred)).not.toMatchObject({
      kind: 'repair',
      cause: 'outside-tension-discs',
    });
  });
});

describe('proposals', () => {
  it('leave out what was answered, what cannot be told, and the counter’s questions', () => {
    const story = new Story('drop-in', ['skip'])
      .sees('needle-facing')
      .must('could-not-tell', { check: 'needle-age' });
    const proposed = proposals(story);
    for (const check of ['needle-facing', 'needle-age', 'complaint', 'context'])
      expect(proposed).not.toContain(check);
  });

  it('bring back what an action may have changed', () => {
    const story = new Story('drop-in', ['skip']).sees('needle-facing').does('needle-replaced');
    expect(proposals(story)).toContain('needle-facing');
  });

  it('bring back in a new epoch what could not be told', () => {
    const story = new Story('drop-in', ['skip'])
      .must('could-not-tell', { check: 'needle-age' })
      .does('rethreaded');
    expect(proposals(story)).toContain('needle-age');
  });

  it('wait for what must be looked at first', () => {
    const story = new Story('drop-in', ['skip']);
    expect(proposals(story)).not.toContain('needle-seat');
    expect(proposals(story.sees('needle-clamp'))).toContain('needle-seat');
  });

  it('cost less while the machine stands open', () => {
    const story = new Story('drop-in', ['needle-strike']);
    const minutes = () => {
      const model = modelFor(story);
      const check = model.checks.get('plate-surface');
      return check ? checkMinutes(model, story.ticket.open, check) : Number.NaN;
    };
    expect(minutes()).toBeCloseTo(0.7 + 0.3 + 0.4 + 0.4 + 0.6 + 1 + 1.5, 12);
    story.opens('plate-off');
    expect(minutes()).toBe(0.7);
  });
});

describe('a ticket’s line on the Rack', () => {
  it('counts stitches, names debts and who was last at the bench', () => {
    const story = new Story('drop-in', ['needle-strike']);
    const line = () => summaryOf(story.ticket, modelFor(story));
    expect(line()).toMatchObject({
      status: 'open',
      seen: 1,
      done: 0,
      lastBy: null,
      owed: ['hand-before-power', 'strike-needle', 'strike-sweep'],
    });
    // Unplugged, then changed.
    story.does('needle-replaced');
    expect(line()).toMatchObject({ done: 2, lastBy: story.odren.person, seq: 4 });
    story.must('entry-corrected', { corrects: story.lastId });
    expect(line()).toMatchObject({ done: 1, lastBy: story.odren.person });
  });
});
