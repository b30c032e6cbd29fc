import { comebackRisk, posterior, seeded } from '@nodo/core';
import {
  barredBy,
  beginStory,
  checkMinutes,
  dutiesOfStory,
  evidenceOf,
  type FamilyModel,
  gatesOfStory,
  handBeforeSewing,
  type PlanPolicy,
  planNext,
  SEARCH_ON,
  SEWN_AS_FOUND,
  type Story,
  type StoryStep,
  seenCauses,
  symptomDebts,
  tellStep,
  waysOfStory,
  whatNow,
  withinReach,
} from '../src/index.ts';
import { DrawnMachine, type Truth } from './drawnMachine.ts';

export interface Walk {
  readonly story: Story;
  readonly steps: readonly { readonly id: string; readonly minutes: number }[];
  readonly minutes: number;
  readonly risk: number;
  /** Every reported symptom was sewn away or not brought out. */
  readonly isSettled: boolean;
  readonly isCured: boolean;
}

interface Options {
  readonly told: ReadonlyMap<string, boolean>;
  readonly plan?: PlanPolicy;
  readonly seed?: number;
  readonly mostMinutes?: number;
  /** Ends when every symptom is settled, whatever else is owed. */
  readonly toTheProof?: boolean;
  /** What is done next; what the bench proposes when left out. */
  readonly next?: typeof whatNow;
  /** Stops as soon as this holds. */
  readonly until?: (story: Story, truth: Truth) => boolean;
  readonly draws?: number;
}

/** The cause was seen for what it is, or something treated it. */
export function foundOrTreated(...causes: readonly string[]): NonNullable<Options['until']> {
  return ({ model, answers, treatments }) =>
    causes.every(
      (cause) =>
        treatments.some((treatment) => treatment.causes.includes(cause)) ||
        answers.some(
          ({ finding, present }) => present && model.findings.get(finding)?.defines === cause,
        ),
    );
}

/** Walks a machine through the bench by what the planner proposes, answered by the truth. */
export function walk(model: FamilyModel, truth: Truth, options: Options): Walk {
  const {
    told,
    plan = 'per-minute',
    seed = 1,
    mostMinutes = 120,
    until,
    draws,
    next = whatNow,
  } = options;
  const machine = new DrawnMachine(model, truth, told, seeded(seed));
  let story = tellStep(beginStory(model), { kind: 'found', findings: told });
  const steps: { id: string; minutes: number }[] = [];
  let minutes = 0;
  let risk = 1;
  let isSettled = false;

  const tell = (step: StoryStep, id: string, cost: number): void => {
    story = tellStep(story, step);
    steps.push({ id, minutes: cost });
    minutes += cost;
  };
  const doCheck = (id: string): void => {
    const own = model.checks.get(id);
    const hand = own?.needs === 'sews' ? handBeforeSewing(model, story.open) : undefined;
    if (hand) doCheck(hand.id);
    const cost = own ? checkMinutes(model, story.open, own) : 0;
    tell({ kind: 'found', findings: machine.look(id) }, id, cost);
  };
  const doAction = (id: string, cost: number): void => {
    for (const gate of gatesOfStory(story, id)) {
      if (gate.kind === 'check') doCheck(gate.id);
      else doAction(gate.id, model.actions.get(gate.id)?.minutes ?? 0);
    }
    machine.treat(model.actions.get(id)?.treats ?? []);
    tell({ kind: 'did', action: id }, `do ${id}`, cost);
  };

  /** As it failed; who sees it stops. */
  const sew = (symptoms: readonly string[], length: number): void => {
    const sewing = model.checks.get(SEWN_AS_FOUND) ?? fail();
    const closing = checkMinutes(model, story.open, sewing) - sewing.minutes;
    const times = symptoms.map((symptom) => machine.showsAfter(symptom, length) ?? Infinity);
    const first = Math.min(...times);
    const shown = first <= length ? symptoms.filter((_, at) => times[at] === first) : [];
    const took = Math.max(0.1, Math.min(first, length));
    tell(
      { kind: 'sewn', watched: symptoms, shown, minutes: took },
      `sew ${shown.length > 0 ? `${shown.join()} shows` : symptoms.join()}`,
      closing + took,
    );
  };

  for (let turn = 0; turn < 200 && minutes < mostMinutes; turn += 1) {
    if (until?.(story, truth)) break;
    const evidence = evidenceOf(
      model,
      withinReach(story.answers, model).kept,
      story.treatments,
      truth.often,
    );
    const { beliefs } = posterior(model.network, evidence);
    risk = comebackRisk(model.network, evidence);
    const duties = dutiesOfStory(story, plan);
    const ways = waysOfStory(story, barredBy(model, duties));
    const planned = planNext(model, {
      ...ways,
      evidence,
      place: 'bench',
      plan,
      untold: new Set(),
      ...(draws === undefined ? {} : { draws }),
    });
    const cost = (action: string): number =>
      planned.actions.find((one) => one.action === action)?.minutes ??
      model.actions.get(action)?.minutes ??
      0;
    const owed = symptomDebts(model, evidence, risk).filter(({ settled }) => settled === undefined);
    const step = next(model, {
      planned,
      // To the proof only what holds up power is owed.
      duties: options.toTheProof
        ? duties.filter(({ duty }) => model.duties.get(duty)?.before)
        : duties,
      ways,
      progress: { plan, evidence, beliefs, risk, isPutOff: () => false, seen: seenCauses(story) },
      owed: owed.map(({ symptom }) => ({ symptom, canBeSewn: true })),
    });
    if (step.kind === 'check' || step.kind === 'close-machine') doCheck(step.check);
    else if (step.kind === 'action') doAction(step.action, cost(step.action));
    else if (step.kind === 'duty-action') {
      const [id = ''] = step.actions;
      doAction(id, cost(id));
    } else if (step.kind === 'search-on') {
      // An hour of searching finds what no table names, and puts it right.
      steps.push({ id: SEARCH_ON, minutes: 60 });
      minutes += 60;
      machine.searchOn();
      break;
    } else if (step.kind === 'sew') sew(step.symptoms, step.minutes);
    else {
      isSettled = owed.length === 0;
      break;
    }
  }
  return { story, steps, minutes, risk, isSettled, isCured: machine.isCured() };
}

function fail(): never {
  throw new Error('no sewing as found');
}
