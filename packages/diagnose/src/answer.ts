import { comebackRisk, posterior } from '@nodo/core';
import {
  barredBy,
  checkMinutes,
  dutiesOfStory,
  evidenceOf,
  gatesOfStory,
  handBeforeSewing,
  isWorthIt,
  type Planned,
  planNext,
  SEARCH_ON,
  SEWN_AS_FOUND,
  type Story,
  seenCauses,
  symptomDebts,
  type WhatNow,
  waysOfStory,
  whatNow,
  withinReach,
} from '@nodo/knowledge';
import type { Question } from './question.ts';

/** What is printed, as it stands there. */
export interface Answer {
  readonly causes: readonly {
    readonly cause: string;
    readonly probability: number;
    readonly blame: number;
  }[];
  readonly next: readonly {
    readonly check: string;
    readonly minutes: number;
    readonly gain: number;
  }[];
  readonly do: {
    readonly kind: 'check' | 'action' | 'close';
    readonly id: string;
    readonly minutes: number;
  };
  readonly proofMinutes: number | null;
  readonly duties: readonly string[];
  readonly risk: number;
  readonly milliseconds: number;
}

const DIGITS = 6;
const rounded = (value: number): number => Number(value.toFixed(DIGITS));

/** @param clock milliseconds from any beginning. */
export function answer(question: Question, clock: () => number): Answer {
  const started = clock();
  const { model, story, often, plan, place } = question;
  const { kept } = withinReach(story.answers, model);
  const complaints = [...model.findings.values()].filter(({ symptom }) => symptom);
  const frequencies = often ? Object.fromEntries(complaints.map(({ id }) => [id, often])) : {};
  const evidence = evidenceOf(model, kept, story.treatments, frequencies);
  const { beliefs } = posterior(model.network, evidence);
  const risk = comebackRisk(model.network, evidence);
  const duties = dutiesOfStory(story, plan);
  const ways = waysOfStory(story, barredBy(model, duties));
  // What stands open is put together, and turned by hand, before anything is sewn.
  const hand = handBeforeSewing(model, story.open);
  const sews = [...model.checks.values()].filter(({ needs }) => needs === 'sews');
  const afterHand = new Set(hand ? sews.map(({ id }) => `check:${id}`) : []);
  const planned = planNext(model, {
    ...ways,
    evidence,
    place,
    plan,
    untold: new Set(),
    barred: (step) => ways.barred(step) || afterHand.has(step),
  });
  const offered =
    plan === 'full-sweep' ? planned.checks : planned.checks.filter((check) => isWorthIt(check));
  const owed = symptomDebts(model, evidence, risk).filter(({ settled }) => settled === undefined);
  const step = whatNow(model, {
    planned,
    duties,
    ways,
    progress: { plan, evidence, beliefs, risk, isPutOff: () => false, seen: seenCauses(story) },
    owed: owed.map(({ symptom }) => ({ symptom, canBeSewn: true })),
  });
  return {
    causes: beliefs
      .map(({ cause, is, blame }) => ({ cause, probability: rounded(is), blame: rounded(blame) }))
      .sort((a, b) => b.probability - a.probability),
    next: offered.map(({ check, minutes, gain }) => ({
      check,
      minutes: rounded(minutes),
      gain: rounded(gain),
    })),
    do: toDo(story, planned, withGates(story, step)),
    proofMinutes: planned.proof?.minutes ?? null,
    duties: duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty),
    risk: rounded(risk),
    milliseconds: rounded(clock() - started),
  };
}

/** As the command puts it: a proof is sewing it as found, what only a person can settle is a closing. */
function toDo({ model, open }: Story, planned: Planned, step: WhatNow): Answer['do'] {
  const check = (id: string, least = 0): Answer['do'] => {
    const own = model.checks.get(id);
    const minutes = own ? checkMinutes(model, open, own) : 0;
    const longer = Math.max(0, least - (own?.minutes ?? 0));
    return { kind: 'check', id, minutes: rounded(minutes + longer) };
  };
  const action = (id: string): Answer['do'] => {
    const minutes =
      planned.actions.find((one) => one.action === id)?.minutes ?? model.actions.get(id)?.minutes;
    return { kind: 'action', id, minutes: rounded(minutes ?? 0) };
  };
  switch (step.kind) {
    case 'check':
    case 'close-machine':
      return check(step.check);
    case 'sew':
      return check(SEWN_AS_FOUND, step.minutes);
    case 'action':
      return action(step.action);
    case 'duty-action':
      return action(step.actions[0] ?? '');
    case 'search-on':
      return action(SEARCH_ON);
    case 'settle':
      return { kind: 'close', id: step.symptom, minutes: 0 };
    case 'waive':
      return { kind: 'close', id: step.duty, minutes: 0 };
    case 'close':
      return { kind: 'close', id: 'ticket', minutes: 0 };
  }
}

/** A gate of the action comes before it. */
function withGates(story: Story, step: WhatNow): WhatNow {
  const action =
    step.kind === 'action'
      ? step.action
      : step.kind === 'duty-action'
        ? step.actions[0]
        : undefined;
  const [gate] = action === undefined ? [] : gatesOfStory(story, action);
  if (!gate) return step;
  return gate.kind === 'check'
    ? { kind: 'check', check: gate.id, because: 'before-power' }
    : withGates(story, { kind: 'duty-action', actions: [gate.id], duty: '' });
}
