import {
  comebackRisk,
  drawStates,
  type Evidence,
  openingChain,
  PosteriorEngine,
  posterior,
  type Reading,
} from '@nodo/core';
import {
  evidenceOf,
  type FamilyModel,
  INTERVIEWS,
  reportedComplaints,
  type Situation,
  SURE_ENOUGH,
  withinReach,
} from '@nodo/knowledge';
import { presentIn } from '../../packages/core/test/information.ts';
import { answersOf, interviewOf, MOST_FAULTS, type Truth } from './truth.ts';

/** How a machine was looked through. */
export interface Walk {
  readonly minutes: number;
  /** P(present) of every cause at the end. */
  readonly beliefs: ReadonlyMap<string, number>;
  /** The same for who knows that a drawn machine has one to {@link MOST_FAULTS} faults. */
  readonly beliefsWithinBounds: ReadonlyMap<string, number>;
}

/** The next check, or undefined when nothing more is worth looking at. */
export type Choose = (model: FamilyModel, situation: Situation) => string | undefined;

/** A search is given up after an hour. */
const LONGEST = 60;
/** Below this comeback risk the search is over. */
const LOW_RISK = 0.1;

/**
 * Looks through one machine without seeing the truth. Ends when something was found and the
 * comeback risk is low, when nothing is worth a look any more, or after an hour. Nothing is
 * repaired on the way, so that the risk stays high while a cause of the complaint is there.
 */
export function walk(truth: Truth, model: FamilyModel, choose: Choose): Walk {
  let answers = interviewOf(truth, model);
  let open: ReadonlySet<string> = new Set();
  let minutes = 0;
  const done = new Map<string, { readonly done: true; readonly normal: boolean }>();
  for (;;) {
    const { evidence, beliefs, settled } = judge(model, answers);
    const id =
      settled || minutes >= LONGEST
        ? undefined
        : choose(model, {
            evidence,
            open,
            place: 'bench',
            plan: 'per-minute',
            standing: (check) => done.get(check) ?? { done: false, normal: false },
            untold: new Set(),
          });
    const check = id === undefined ? undefined : model.checks.get(id);
    if (!check) {
      const beliefsWithinBounds = withinBounds(model, evidence);
      return { minutes: minutes + closingMinutes(model, open), beliefs, beliefsWithinBounds };
    }
    // The clock of the bench: opening when it is opened, closing when it is closed.
    const toOpen = openingChain(model.access, open, check.access);
    minutes += check.minutes + toOpen.reduce((sum, { openMinutes }) => sum + openMinutes, 0);
    open = new Set([...open, ...toOpen.map(({ id: state }) => state)]);
    if (check.needs === 'sews') {
      minutes += closingMinutes(model, open);
      open = new Set();
    }
    const seen = answersOf(truth, model, check.id);
    done.set(check.id, { done: true, normal: seen.every(({ present }) => !present) });
    answers = [...answers, ...seen];
  }
}

const DRAWS = 20_000;

/**
 * Machines without a fault and with more than {@link MOST_FAULTS} are thrown away when the truth is
 * drawn; the model does not know that. What it would tell if it did, from draws of its own states.
 */
function withinBounds(model: FamilyModel, evidence: Evidence): ReadonlyMap<string, number> {
  const states = drawStates(new PosteriorEngine(model.network, evidence), DRAWS);
  const present = new Float64Array(model.network.causes.length);
  let all = 0;
  states.chances.forEach((chance, state) => {
    const causes = presentIn(states, state);
    if (causes.length === 0 || causes.length > MOST_FAULTS) return;
    all += chance;
    for (const cause of causes) present[cause] = (present[cause] ?? 0) + chance;
  });
  return new Map(model.network.causes.map(({ id }, cause) => [id, (present[cause] ?? 0) / all]));
}

function closingMinutes({ access }: FamilyModel, open: ReadonlySet<string>): number {
  return access.reduce((sum, { id, closeMinutes }) => sum + (open.has(id) ? closeMinutes : 0), 0);
}

/** What could be known of a machine at all: every check done. */
export function everythingKnown(truth: Truth, model: FamilyModel): ReadonlyMap<string, number> {
  const all = [...model.checks.keys()].filter((id) => !INTERVIEWS.has(id));
  return judge(model, [
    ...interviewOf(truth, model),
    ...all.flatMap((check) => answersOf(truth, model, check)),
  ]).beliefs;
}

function judge(model: FamilyModel, answers: readonly Reading[]) {
  const evidence = evidenceOf(model, withinReach(answers, model).kept, []);
  const { beliefs } = posterior(model.network, evidence);
  const risk = comebackRisk(model.network, evidence, reportedComplaints(model, answers));
  return {
    evidence,
    beliefs: new Map(beliefs.map(({ cause, is }) => [cause, is])),
    settled: risk <= LOW_RISK && beliefs.some(({ is }) => is >= SURE_ENOUGH),
  };
}
