import { type CauseBelief, type CheckProposal, type DutyStatus, minutes } from '@nodo/core';
import type { CallProposal, Planned } from '@nodo/knowledge';
import { describe, expect, it } from 'vitest';
import {
  type Assessment,
  assess,
  checkOutcome,
  checkStatus,
  defer,
  gatesUnmet,
  NOTHING_DEFERRED,
  nextPhoneStep,
  nextStep,
  POWER_OFF,
} from '../src/index.ts';
import { believed, dutyIn, modelFor, Story } from './story.ts';

const END = (outcome: 'solved' | 'bring-in' | 'stop') => ({ kind: 'end', outcome });

describe('a step on the telephone, from what is known and what is proposed', () => {
  const ask = (check: string, gain: number, cost = 1): CallProposal => ({
    kind: 'ask',
    check,
    id: check,
    chance: undefined,
    minutes: minutes(cost),
    gain: minutes(gain),
  });
  const advise = (cause: string, gain: number): CallProposal => ({
    kind: 'advise',
    cause,
    id: cause,
    chance: 0.5,
    minutes: minutes(1),
    gain: minutes(gain),
  });
  const call = (complaint = ['skip']) => new Story('drop-in', complaint, 'call');
  const next = (
    story: Story,
    {
      beliefs = [],
      duties = [],
      proposals = [],
      deferred = NOTHING_DEFERRED,
    }: {
      beliefs?: readonly CauseBelief[];
      duties?: readonly DutyStatus[];
      proposals?: readonly CallProposal[];
      deferred?: typeof NOTHING_DEFERRED;
    } = {},
  ) => nextPhoneStep(story.ticket, modelFor(story), { beliefs, duties }, proposals, deferred);

  it('is the first that is worth its minutes', () => {
    const proposals = [ask('needle-facing', 0.5), ask('winder', 1), advise('needle-backward', 3)];
    // What brings just what it takes is not worth it.
    expect(next(call(), { proposals })).toEqual({ kind: 'advise', cause: 'needle-backward' });
    expect(next(call(), { proposals: [ask('winder', 3), ...proposals] })).toEqual({
      kind: 'ask',
      check: 'winder',
    });
    expect(next(call(), { proposals: [ask('winder', 0.5)] })).toEqual(END('bring-in'));
  });

  it('passes over what was put off, each kind by its own name', () => {
    const proposals = [ask('winder', 3), advise('needle-backward', 2)];
    const noWinder = defer(NOTHING_DEFERRED, { check: 'winder' });
    expect(next(call(), { proposals, deferred: noWinder })).toEqual({
      kind: 'advise',
      cause: 'needle-backward',
    });
    const neither = defer(noWinder, { cause: 'needle-backward' });
    expect(next(call(), { proposals, deferred: neither })).toEqual(END('bring-in'));
    expect([...neither.checks, ...neither.causes]).toEqual(['winder', 'needle-backward']);
  });

  it('gives the same advice once', () => {
    const story = call()
      .must('customer-did', { cause: 'needle-backward' })
      .must('customer-did', { cause: 'takeup-missed' })
      .must('findings-recorded', { check: 'complaint', answers: { skip: 'yes' } });
    const proposals = [advise('needle-backward', 5), advise('takeup-missed', 4)];
    expect(next(story, { proposals })).toEqual(END('bring-in'));
    expect(next(story, { proposals: [...proposals, ask('winder', 2)] })).toEqual({
      kind: 'ask',
      check: 'winder',
    });
  });

  it('puts right what is nearly sure where a customer can, and brings it in where not', () => {
    const proposals = [ask('winder', 3)];
    const sure = (cause: string, is = 7 / 8) =>
      next(call(), { proposals, beliefs: [believed(cause, is)] });
    expect(sure('needle-backward')).toEqual({ kind: 'advise', cause: 'needle-backward' });
    expect(sure('needle-backward', 0.87)).toEqual({ kind: 'ask', check: 'winder' });
    expect(sure('hook-timing-off')).toEqual(END('bring-in'));
    expect(sure('no-such-cause')).toEqual(END('bring-in'));
  });

  it('asks again after a change until each complaint was answered', () => {
    const story = call(['skip', 'loops-under']).must('customer-did', { cause: 'needle-backward' });
    const again = { kind: 'ask-again', complaints: ['skip', 'loops-under'] };
    expect(next(story)).toEqual(again);
    story.must('findings-recorded', { check: 'complaint', answers: { skip: 'no' } });
    expect(next(story)).toEqual(again);
    story.must('findings-recorded', { check: 'complaint', answers: { 'loops-under': 'no' } });
    expect(next(story)).toEqual(END('solved'));
  });

  it('is solved only when none of the complaints is left, and nothing bars it', () => {
    const story = call(['skip', 'loops-under']).must('customer-did', { cause: 'needle-backward' });
    story.must('findings-recorded', {
      check: 'complaint',
      answers: { skip: 'no', 'loops-under': 'yes' },
    });
    const proposals = [ask('winder', 3)];
    expect(next(story, { proposals })).toEqual({ kind: 'ask', check: 'winder' });
    // Before any change, silence says nothing: it was asked, not sewn.
    const calm = call([]).must('findings-recorded', {
      check: 'complaint',
      answers: { skip: 'no' },
    });
    expect(next(calm, { proposals })).toEqual({ kind: 'ask', check: 'winder' });
    // Changed, but nothing was ever complained of.
    const none = call([]).must('customer-did', { cause: 'needle-backward' });
    expect(next(none, { proposals })).toEqual({ kind: 'ask', check: 'winder' });
    const cured = call(['nest']).sees('rethread-sew', ['rethread-cures']);
    expect(next(cured)).toEqual(END('solved'));
    expect(next(cured, { duties: [dutyIn('owed', 'strike-sweep')] })).toEqual(END('bring-in'));
    // What the telephone leaves to the bench bars nothing, nor does what is paid.
    expect(
      next(cured, { duties: [dutyIn('owed', 'nest-cleared'), dutyIn('cleared', 'strike-sweep')] }),
    ).toEqual(END('solved'));
  });

  it('brings in what is barred, and after a dozen questions', () => {
    const proposals = [ask('winder', 3)];
    expect(next(call(), { proposals, duties: [dutyIn('owed', 'strike-sweep')] })).toEqual(
      END('bring-in'),
    );
    const story = call();
    const model = modelFor(story);
    const askable = [...model.checks.values()].filter(
      ({ id, access, findings }) =>
        access === 'closed' && findings.length > 0 && !['complaint', 'context'].includes(id),
    );
    story.must('customer-did', { cause: 'needle-backward' });
    story.must('findings-recorded', { check: 'complaint', answers: { skip: 'yes' } });
    story.must('could-not-tell', { check: askable[0]?.id ?? '' });
    for (const { id } of askable.slice(1, 10)) story.must('could-not-tell', { check: id });
    // Eleven so far: one advice and ten that could not be told.
    expect(next(story, { proposals })).toEqual({ kind: 'ask', check: 'winder' });
    story.must('findings-recorded', { check: 'context', answers: { 'after-needle': 'yes' } });
    expect(next(story, { proposals })).toEqual({ kind: 'ask', check: 'winder' });
    story.must('could-not-tell', { check: askable[10]?.id ?? '' });
    expect(next(story, { proposals })).toEqual(END('bring-in'));
  });
});

describe('a step at the bench, from what is known and what is proposed', () => {
  const proposal = (check: string, gain: number, cost = 1): CheckProposal =>
    ({
      check,
      gain: minutes(gain),
      minutes: minutes(cost),
      later: minutes(0),
    }) as unknown as CheckProposal;
  const repair = (action: string) => ({
    action,
    minutes: minutes(5),
    needed: 1,
    silences: 0.5,
    reopening: 0,
    lookMinutes: undefined,
  });
  const nothing: Planned = {
    checks: [],
    actions: [],
    whileOpen: [],
    lowersRisk: undefined,
    isWorthGoingOn: false,
    proof: { minutes: 5, risk: 0.04 },
    proofMinutes: minutes(2),
  };
  const story = new Story('drop-in', ['skip']);
  const model = modelFor(story);
  const assessment: Assessment = {
    ...assess(story.ticket, model),
    beliefs: [believed('needle-backward', 0.4), believed('takeup-missed', 0.2)],
    duties: [],
    debts: [],
    risk: 0.5,
  };
  const next = (
    change: Partial<Assessment>,
    planned: Partial<Planned> = {},
    deferred = NOTHING_DEFERRED,
    on = story,
  ) =>
    nextStep(on.ticket, model, { ...assessment, ...change }, { ...nothing, ...planned }, deferred);

  it('is the first check worth its minutes while a comeback is likely, then the first repair', () => {
    const checks = [proposal('winder', 1), proposal('needle-facing', 2)];
    const actions = [repair('needle-replaced'), repair('rethreaded')];
    expect(next({}, { checks, actions })).toEqual({
      kind: 'check',
      check: 'needle-facing',
      because: 'worth',
    });
    expect(next({}, { checks: [proposal('winder', 1)], actions })).toEqual({
      kind: 'repair',
      cause: 'needle-backward',
      action: 'needle-replaced',
    });
    const later = defer(NOTHING_DEFERRED, { cause: 'needle-backward' });
    expect(next({}, { actions }, later)).toEqual({
      kind: 'repair',
      cause: 'takeup-missed',
      action: 'rethreaded',
    });
    // An action that is put off takes all its causes with it, until one of them was seen.
    const checksFirst = defer(NOTHING_DEFERRED, { action: 'needle-replaced' });
    expect(next({}, { actions }, checksFirst)).toEqual({
      kind: 'repair',
      cause: 'takeup-missed',
      action: 'rethreaded',
    });
    // Its own look comes in its place.
    const look = { checks: [proposal('needle-facing', 0.1)], actions };
    expect(next({}, look, checksFirst)).toMatchObject({ kind: 'check', check: 'needle-facing' });
    // The shop's limit is low enough: the search is over.
    expect(next({ risk: 0.05 }, { checks, actions })).toEqual({ kind: 'close-ticket' });
    expect(next({})).toEqual({ kind: 'close-ticket' });
  });

  it('is the repair of a cause that is nearly sure, though something else is worth looking at', () => {
    const checks = [proposal('needle-facing', 2)];
    const sure = (is: number) => next({ beliefs: [believed('needle-backward', is)] }, { checks });
    expect(sure(7 / 8)).toMatchObject({ kind: 'repair', cause: 'needle-backward' });
    expect(sure(0.87)).toMatchObject({ kind: 'check' });
  });

  it('is the cheapest check that a duty misses, an action where only one is missing, else a waiver', () => {
    const missing = (...all: DutyStatus['missing']['all']) =>
      dutyIn('owed', 'strike-sweep', { all, any: [] });
    const check = (id: string) => ({ kind: 'check', id, normal: false }) as const;
    const action = (id: string) => ({ kind: 'action', id }) as const;
    const low = { risk: 0 };
    const dear =
      [...model.checks.values()]
        .filter(({ requires = [] }) => requires.length === 0)
        .toSorted((a, b) => b.minutes - a.minutes)[0]?.id ?? '';
    expect(next({ ...low, duties: [missing(check(dear), check('needle-facing'))] })).toEqual({
      kind: 'check',
      check: 'needle-facing',
      because: 'duty',
    });
    expect(next({ ...low, duties: [missing(action('scrap-clean'))] })).toEqual({
      kind: 'action',
      actions: ['scrap-clean'],
      duty: 'strike-sweep',
    });
    // Beside a check the action waits; where that was put off, it does not.
    const both = [missing(check('needle-facing'), action('scrap-clean'))];
    expect(next({ ...low, duties: both })).toMatchObject({ kind: 'check' });
    const off = defer(NOTHING_DEFERRED, { check: 'needle-facing' });
    expect(next({ ...low, duties: both }, {}, off)).toMatchObject({ kind: 'action' });
    expect(next({ ...low, duties: [missing({ kind: 'finding', id: 'lint' })] })).toEqual({
      kind: 'waive',
      duty: 'strike-sweep',
    });
    expect(next({ ...low, duties: [missing(check('no-such-check'))] })).toEqual({
      kind: 'waive',
      duty: 'strike-sweep',
    });
    expect(next({ ...low, duties: [dutyIn('cleared', 'strike-sweep')] })).toEqual({
      kind: 'close-ticket',
    });
  });
});

describe('what a step waits for', () => {
  const unmet = (story: Story, step: Parameters<typeof gatesUnmet>[2]) =>
    gatesUnmet(story.ticket, modelFor(story), step);
  const seat = 'check:needle-seat=normal';
  const straight = 'check:needle-straight=normal';
  const noted = 'action:marks-noted';
  const off = 'action:power-off-confirmed';

  it('is named until it holds: a look that found nothing, an action, the power', () => {
    const story = new Story();
    expect(unmet(story, 'check:timing')).toEqual([seat, straight]);
    story.sees('needle-clamp').sees('needle-seat');
    expect(unmet(story, 'check:timing')).toEqual([straight]);
    story.must('could-not-tell', { check: 'needle-straight' });
    expect(unmet(story, 'check:timing')).toEqual([straight]);
    expect(unmet(story, 'action:timing-set')).toEqual([off, noted]);
    story.does('marks-noted');
    expect(unmet(story, 'action:timing-set')).toEqual([off]);
    expect(unmet(story, 'access:plate-off')).toEqual([off]);
    story.does('power-off-confirmed');
    expect(unmet(story, 'access:plate-off')).toEqual([]);
    expect(unmet(story, 'check:winder')).toEqual([]);
  });

  it('is asked again each time of an action that is gated by another', () => {
    const gated = [...modelFor(new Story()).duties.values()].find(({ gate }) =>
      gate?.includes('action:screw-logged'),
    );
    const step = gated?.raisedBy.find((token) => token.startsWith('action:'));
    if (!step) throw new Error('no such step');
    const story = new Story();
    expect(unmet(story, step)).toEqual([`action:${POWER_OFF}`, 'action:screw-logged']);
    story.does(POWER_OFF).does('screw-logged');
    expect(unmet(story, step)).toEqual([]);
    story.does(step.slice('action:'.length));
    expect(unmet(story, step)).toEqual(['action:screw-logged']);
  });
});

describe('a needle change', () => {
  it('waits for the plug: a foot on the pedal drives the needle through a finger', () => {
    const story = new Story('drop-in', ['skip']);
    expect(story.try('action-done', { action: 'needle-replaced' })).toMatchObject({
      code: 'gate-unmet',
      data: { unmet: [`action:${POWER_OFF}`] },
    });
    story.must('action-done', { action: POWER_OFF });
    expect(story.try('action-done', { action: 'needle-replaced' })).toBeUndefined();
    expect(story.try('action-done', { action: 'needle-set' })).toBeUndefined();
  });
});

describe('how a check stands', () => {
  const stands = (story: Story, check = 'needle-facing') =>
    checkStatus(story.ticket, modelFor(story), check);

  it('goes from not yet over what was found to again', () => {
    const story = new Story('drop-in', ['skip']);
    expect(stands(story)).toBe('not-yet');
    expect(stands(story.sees('needle-facing', ['needle-wrong-way']))).toBe('found');
    expect(stands(story.does('needle-set'))).toBe('again');
    expect(stands(story.sees('needle-facing'))).toBe('sound');
    // What treats nothing that it can show leaves it as it was.
    expect(stands(story.does('oiled'))).toBe('sound');
  });

  it('is done when all of its findings were answered, and only then', () => {
    const story = new Story('drop-in', ['skip']);
    const model = modelFor(story);
    const several = [...model.checks.values()].find(
      ({ findings, oneOf, id }) => findings.length > 2 && !oneOf && id !== 'complaint',
    );
    const [one, ...others] = several?.findings.map(({ id }) => id) ?? [];
    const answer = (ids: readonly string[], said: 'yes' | 'no') =>
      story.must('findings-recorded', {
        check: several?.id ?? '',
        answers: Object.fromEntries(ids.map((id) => [id, said])),
      });
    const outcome = () => checkOutcome(story.ticket, model, several?.id ?? '');
    answer([one ?? ''], 'no');
    expect(outcome()).toEqual({ done: false, normal: false });
    answer(others, 'no');
    expect(outcome()).toEqual({ done: true, normal: true });
    answer([one ?? ''], 'yes');
    expect(outcome()).toEqual({ done: true, normal: false });
    expect(checkOutcome(story.ticket, model, 'flight')).toEqual({ done: false, normal: false });
  });
});
