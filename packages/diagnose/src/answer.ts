import { assessDuties, comebackRisk, type DutyFact, posterior } from '@nodo/core';
import {
  evidenceOf,
  type FamilyModel,
  isWorthIt,
  planNext,
  reportedComplaints,
  withinReach,
} from '@nodo/knowledge';
import type { Question } from './question.ts';

/** What is printed, as it stands there. */
export interface Answer {
  readonly causes: readonly { readonly cause: string; readonly probability: number }[];
  readonly next: readonly {
    readonly check: string;
    readonly minutes: number;
    readonly gain: number;
  }[];
  readonly duties: readonly string[];
  readonly risk: number;
  readonly milliseconds: number;
}

const DIGITS = 6;
const rounded = (value: number): number => Number(value.toFixed(DIGITS));

/** @param clock milliseconds from any beginning. */
export function answer(question: Question, clock: () => number): Answer {
  const started = clock();
  const { model, open, plan, place } = question;
  const answers = [...question.findings].map(([finding, present]) => ({
    finding,
    epoch: 0,
    present,
  }));
  const { kept } = withinReach(answers, model);
  const evidence = evidenceOf(model, kept, []);
  const { beliefs } = posterior(model.network, evidence);
  const planned = planNext(model, {
    evidence,
    open,
    place,
    plan,
    standing: (check) => standing(question, check),
    untold: new Set(),
  });
  const offered =
    plan === 'full-sweep' ? planned.checks : planned.checks.filter((check) => isWorthIt(check));
  return {
    causes: beliefs
      .map(({ cause, is }) => ({ cause, probability: rounded(is) }))
      .sort((a, b) => b.probability - a.probability),
    next: offered.map(({ check, minutes, gain }) => ({
      check,
      minutes: rounded(minutes),
      gain: rounded(gain),
    })),
    duties: assessDuties(model.dutyRules(plan), facts(question))
      .filter(({ state }) => state === 'owed')
      .map(({ duty }) => duty),
    risk: rounded(comebackRisk(model.network, evidence, reportedComplaints(model, answers))),
    milliseconds: rounded(clock() - started),
  };
}

/** Done when every finding of the check was answered, normal when none was seen. */
function standing({ model, findings }: Question, check: string) {
  const asked = (model.checks.get(check)?.findings ?? []).map(({ id }) => findings.get(id));
  const done = asked.length > 0 && asked.every((seen) => seen !== undefined);
  return { done, normal: done && !asked.includes(true) };
}

/** Everything as if it had been found in one look. */
function facts(question: Question): readonly DutyFact[] {
  const { model, findings, open } = question;
  const now = { at: 1, epoch: 0 };
  return [
    ...[...findings].flatMap(([id, present]): DutyFact[] =>
      present ? [{ kind: 'finding', id, ...now }] : [],
    ),
    ...doneChecks(model, question).map(
      ({ id, normal }): DutyFact => ({ kind: 'check', id, normal, ...now }),
    ),
    ...[...open].map((id): DutyFact => ({ kind: 'access', id, ...now })),
  ];
}

function doneChecks(model: FamilyModel, question: Question) {
  return [...model.checks.keys()].flatMap((id) => {
    const { done, normal } = standing(question, id);
    return done ? [{ id, normal }] : [];
  });
}
