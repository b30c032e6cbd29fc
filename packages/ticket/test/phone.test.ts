import { modelOf, PHONE_WORDS, planCall } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import {
  assess,
  type CommandPayload,
  defer,
  NOTHING_DEFERRED,
  nextPhoneStep,
  type PhoneStep,
  planPhoneCall,
  reportedOn,
} from '../src/index.ts';
import { modelFor, Story } from './story.ts';

/** A call about a machine that is not in the shop. */
function call(complaint: readonly string[], family = 'drop-in'): Story {
  return new Story(family, complaint, 'call');
}

function next(story: Story, deferred = NOTHING_DEFERRED): PhoneStep {
  const model = modelFor(story);
  const assessment = assess(story.ticket, model);
  return nextPhoneStep(
    story.ticket,
    model,
    assessment,
    planPhoneCall(story.ticket, model, assessment),
    deferred,
  );
}

/** What is said to a customer whose machine has this one fault, until the call ends. */
function talk(story: Story, fault: string) {
  const model = modelFor(story);
  const { sure = [], usual = [] } = model.causes.get(fault)?.shows ?? {};
  const shows = new Set([...sure, ...usual]);
  let cured = false;
  for (let questions = 0; questions < 20; questions += 1) {
    const step = next(story);
    switch (step.kind) {
      case 'end':
        return { outcome: step.outcome, questions };
      case 'advise':
        story.must('customer-did', { cause: step.cause });
        cured ||= step.cause === fault;
        break;
      case 'ask-again':
        story.must('findings-recorded', {
          check: 'complaint',
          answers: Object.fromEntries(step.complaints.map((id) => [id, cured ? 'no' : 'yes'])),
        });
        break;
      case 'ask': {
        const findings = model.checks.get(step.check)?.findings ?? [];
        const sewn = model.sewing.get(step.check);
        // Sewn, the fault shows what was reported, unless it is exchanged.
        const isShown = !sewn?.exchanged.has(fault);
        const yes = findings
          .map(({ id }) => id)
          .filter((id) => {
            const symptom = sewn?.observes.get(id);
            if (symptom === undefined) return shows.has(id);
            if (sewn?.isTrial) return !isShown;
            return (
              isShown && (symptom === 'reported' || reportedOn(story.ticket).includes(symptom))
            );
          });
        story.sees(step.check, yes);
        break;
      }
    }
  }
  throw new Error('the call never ends');
}

describe('on the telephone', () => {
  it.each([
    ['outside-tension-discs', ['nest', 'loops-under']],
    ['outside-tension-discs', ['loops-under']],
    ['takeup-missed', ['nest']],
    ['takeup-missed', ['jam', 'nest']],
    ['guide-missed', ['loops-under']],
    ['needle-backward', ['skip']],
  ])('%s is found from %j alone in at most six questions', (fault, complaint) => {
    const model = modelOf('drop-in');
    expect(model?.causes.has(fault), fault).toBe(true);
    const { outcome, questions } = talk(call(complaint), fault);
    if (!complaint.includes('jam')) expect(outcome).toBe('solved');
    expect(questions).toBeLessThanOrEqual(6);
  });

  it('brings in what a customer cannot put right', () => {
    const story = call(['skip']).sees('needle-facing').sees('needle-seat');
    expect(talk(story, 'hook-timing-off').outcome).toBe('bring-in');
  });

  it('brings in what has struck, however well it sews again', () => {
    expect(next(call(['needle-strike', 'skip']))).toEqual({ kind: 'end', outcome: 'bring-in' });
  });

  it('stops at what must not be touched', () => {
    const story = call(['held']);
    story.sees('wheel-feel', ['wheel-locked']);
    expect(next(story)).toEqual({ kind: 'end', outcome: 'stop' });
  });

  it('asks again after a change, and goes on when it is still there', () => {
    const story = call(['skip']).sees('needle-facing', ['needle-wrong-way']);
    expect(next(story)).toEqual({ kind: 'advise', cause: 'needle-backward' });
    story.must('customer-did', { cause: 'needle-backward' });
    expect(next(story)).toEqual({ kind: 'ask-again', complaints: ['skip'] });
    story.must('findings-recorded', { check: 'complaint', answers: { skip: 'yes' } });
    expect(['ask', 'advise']).toContain(next(story).kind);
  });

  it('passes over what was put off', () => {
    const story = call(['skip']).sees('needle-facing', ['needle-wrong-way']);
    const deferred = defer(NOTHING_DEFERRED, { cause: 'needle-backward' });
    expect(next(story, deferred)).not.toMatchObject({ cause: 'needle-backward' });
  });

  it('asks nothing that opens the machine, and has words for everything that it can ask', () => {
    for (const family of ['drop-in', 'drop-in-magnet', 'front-loading']) {
      const model = modelOf(family);
      if (!model) throw new Error('no model');
      const asked = planCall(model, {
        evidence: { readings: [], treatments: [], sewings: [], often: {} },
        standing: () => ({ done: false, normal: false }),
        untold: new Set(),
      }).flatMap((proposal) => (proposal.kind === 'ask' ? [proposal.check] : []));
      expect(asked.length).toBeGreaterThan(20);
      expect(asked.filter((check) => !PHONE_WORDS[check])).toEqual([]);
      expect(asked.every((check) => model.checks.get(check)?.access === 'closed')).toBe(true);
    }
  });

  it('has words for no check that there is not', () => {
    const known = new Set(
      ['drop-in', 'front-loading', 'drop-in-magnet'].flatMap((family) => [
        ...(modelOf(family)?.checks.keys() ?? []),
      ]),
    );
    expect(Object.keys(PHONE_WORDS).filter((check) => !known.has(check))).toEqual([]);
  });
});

describe('a call', () => {
  it('that is solved closes the ticket with what was known, by a trial too', () => {
    const story = call(['nest']).sees('rethread-sew', ['rethread-cures']);
    story.must('call-ended', { outcome: 'solved' });
    expect(story.ticket).toMatchObject({ status: 'closed', call: 'solved' });
    const { risk, beliefs } = assess(story.ticket, modelFor(story));
    // A minute and a half of sewing shows half of what shows in every seam.
    expect(risk).toBeLessThan(0.6);
    expect(beliefs.find(({ cause }) => cause === 'outside-tension-discs')?.is).toBeLessThan(0.06);
  });

  it('about a strike is never solved', () => {
    const story = call(['needle-strike']);
    expect(story.try('call-ended', { outcome: 'solved' })?.code).toBe('duties-owed');
    story.must('call-ended', { outcome: 'bring-in' });
    expect(story.ticket).toMatchObject({ status: 'open', call: 'bring-in' });
  });

  it('keeps hands off a machine that is not there', () => {
    const story = call(['skip']);
    expect(story.try('action-done', { action: 'needle-replaced' })?.code).toBe('not-in-the-shop');
    expect(story.try('ticket-closed', {})?.code).toBe('not-in-the-shop');
  });

  it('becomes a ticket of the shop with all that was said', () => {
    const story = call(['skip']).sees('needle-facing', ['needle-wrong-way']);
    story.must('call-ended', { outcome: 'bring-in' });
    story.must('machine-arrived', { tag: 41, shelf: 'B' });
    expect(story.ticket.intake).toMatchObject({ tag: 41, shelf: 'B' });
    expect(story.ticket.answers.some(({ finding }) => finding === 'needle-wrong-way')).toBe(true);
    story.does('needle-set');
    const again: CommandPayload<'customer-did'> = { cause: 'needle-backward' };
    expect(story.try('customer-did', again)?.code).toBe('in-the-shop');
    expect(story.try('machine-arrived', { tag: 42, shelf: 'B' })?.code).toBe('in-the-shop');
  });

  it('takes back what the customer did not do after all', () => {
    const story = call(['skip']).must('customer-did', { cause: 'needle-backward' });
    story.must('entry-corrected', { corrects: story.lastId });
    expect(story.ticket.customerTreatments).toEqual([]);
    expect(story.ticket.voidEpochs).toEqual([1]);
  });
});
