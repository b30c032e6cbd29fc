import { comebackRisk, type DutyStatus, MOST_PROOF_MINUTES, posterior } from '@nodo/core';
import {
  barredBy,
  checkMinutes,
  type DutyWays,
  dutiesOfStory,
  evidenceOf,
  type FamilyCheck,
  gatesOfStory,
  handBeforeSewing,
  isWorthIt,
  type Move,
  nextBeforePower,
  nextDuty,
  nextLook,
  nextMove,
  type Planned,
  planNext,
  SEARCH_ON,
  SEWN_AS_FOUND,
  type Story,
  type SymptomDebt,
  seenCauses,
  symptomDebts,
  waysOfStory,
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
  const told = often ? Object.fromEntries(complaints.map(({ id }) => [id, often])) : {};
  const evidence = evidenceOf(model, kept, story.treatments, told);
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
  const move = nextMove(model, planned, {
    ...ways,
    plan,
    evidence,
    beliefs,
    risk,
    isPutOff: () => false,
    seen: seenCauses(story),
  });
  const debts = symptomDebts(model, evidence, risk);
  return {
    causes: beliefs
      .map(({ cause, is, blame }) => ({ cause, probability: rounded(is), blame: rounded(blame) }))
      .sort((a, b) => b.probability - a.probability),
    next: offered.map(({ check, minutes, gain }) => ({
      check,
      minutes: rounded(minutes),
      gain: rounded(gain),
    })),
    do: toDo(story, planned, move, { duties, debts, ways, hand }),
    proofMinutes: planned.proof?.minutes ?? null,
    duties: duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty),
    risk: rounded(risk),
    milliseconds: rounded(clock() - started),
  };
}

/** What the bench would propose: the plan's move, else what is owed, else the proof, else closing. */
function toDo(
  story: Story,
  planned: Planned,
  move: Move,
  left: {
    readonly duties: readonly DutyStatus[];
    readonly debts: readonly SymptomDebt[];
    readonly ways: DutyWays;
    /** What comes by hand before anything is sewn. */
    readonly hand: FamilyCheck | undefined;
  },
): Answer['do'] {
  const { model, open } = story;
  const { duties, debts, ways, hand } = left;
  const check = (id: string, extra = 0): Answer['do'] => {
    const own = model.checks.get(id);
    if (own?.needs === 'sews' && hand) return check(hand.id);
    const minutes = own ? checkMinutes(model, open, own) : 0;
    return { kind: 'check', id, minutes: rounded(minutes + extra) };
  };
  const action = (id: string): Answer['do'] => {
    const [gate] = gatesOfStory(story, id);
    if (gate) return gate.kind === 'check' ? check(gate.id) : action(gate.id);
    const minutes =
      planned.actions.find((one) => one.action === id)?.minutes ?? model.actions.get(id)?.minutes;
    return { kind: 'action', id, minutes: rounded(minutes ?? 0) };
  };
  const first = nextBeforePower(model, duties, ways);
  if (first?.kind === 'check') return check(first.check);
  if (first?.kind === 'action') return action(first.actions[0] ?? '');
  if (move.kind === 'check') return check(move.check);
  if (move.kind === 'action') return action(move.action);
  if (move.kind === 'search-on') return action(SEARCH_ON);
  const looked = nextLook(model, duties, ways);
  if (looked?.kind === 'check' || looked?.kind === 'close-machine') return check(looked.check);
  if (looked?.kind === 'action') return action(looked.actions[0] ?? '');
  const isOwed = debts.some(({ settled }) => settled === undefined);
  if (isOwed && !ways.barred(`check:${SEWN_AS_FOUND}`)) {
    const own = model.checks.get(SEWN_AS_FOUND)?.minutes ?? 0;
    const minutes = planned.proof?.minutes ?? MOST_PROOF_MINUTES;
    return check(SEWN_AS_FOUND, Math.max(0, minutes - own));
  }
  const duty = nextDuty(model, duties, ways);
  if (duty?.kind === 'check' || duty?.kind === 'close-machine') return check(duty.check);
  if (duty?.kind === 'action') return action(duty.actions[0] ?? '');
  return { kind: 'close', id: duty?.duty ?? 'ticket', minutes: 0 };
}
