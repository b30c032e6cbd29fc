import { RISK_LIMIT, seeded } from '@nodo/core';
import { type FamilyModel, modelOf } from '@nodo/knowledge';
import { type Walk, walk } from '../../packages/knowledge/test/walk.ts';
import { spreadOf } from '../../scripts/lib/spread.mjs';
import { frozenSweep, sweepUntilProven } from './sweep.ts';
import { drawMachine, type Edition, generatorOf } from './truth.ts';

/** What the product proposes, and two ways of looking at everything in the order of the tables. */
export const WAYS = ['per-minute', 'full-sweep', 'sweep-until-proven'] as const;
const SWEEPS = { 'full-sweep': frozenSweep, 'sweep-until-proven': sweepUntilProven } as const;

export interface Job {
  readonly family: string;
  readonly from: Edition;
  readonly way: (typeof WAYS)[number];
  readonly machines: number;
}

export interface Result extends Job {
  /** Minutes until every symptom was silenced and proven, or an hour. */
  readonly medianMinutes: number;
  readonly meanMinutes: number;
  readonly p90Minutes: number;
  /** Share of machines that were settled within the hour. */
  readonly settled: number;
  /** Of those: how many come back, and how many were told to. */
  readonly comebacks: number;
  readonly comebacksTold: number;
  /** Two standard errors of what was told. */
  readonly twoErrors: number;
  /** Of those that were given back within the limit: how many come back. */
  readonly comebacksWithinLimit: number;
  /** By tenth of the told risk that has enough machines: what came back beside what was told. */
  readonly tenths: readonly Tenth[];
  /** Sewn before the hand, after a strike, a jam or a broken needle: must be none. */
  readonly sewnBeforeHand: number;
}

const SEED = 20_251;
const LONGEST_MINUTES = 60;

/** One way of searching on one family's machines: the same machines for every way. */
export function compare({ family, from, way, machines }: Job): Result {
  const model = modelOf(family);
  if (!model) throw new Error(`no such family: ${family}`);
  const generator = generatorOf(family, from);
  const draw = seeded(SEED);
  const walks = Array.from({ length: machines }, (_, at) => {
    const { truth, told } = drawMachine(generator, draw);
    return walk(model, truth, {
      told,
      plan: way === 'per-minute' ? way : 'full-sweep',
      seed: at + 1,
      mostMinutes: LONGEST_MINUTES,
      toTheProof: true,
      ...(way === 'per-minute' ? {} : { next: SWEEPS[way] }),
    });
  });
  const minutes = walks.map((one) => Math.min(LONGEST_MINUTES, one.minutes));
  const at = spreadOf(minutes, 1);
  const closed = walks.filter(({ isSettled }) => isSettled);
  const told = closed.reduce((sum, { risk }) => sum + risk, 0);
  const variance = closed.reduce((sum, { risk }) => sum + risk * (1 - risk), 0);
  return {
    family,
    from,
    way,
    machines,
    medianMinutes: at(0.5),
    meanMinutes: rounded(minutes.reduce((sum, each) => sum + each, 0) / machines, 1),
    p90Minutes: at(0.9),
    settled: rounded(closed.length / machines, 3),
    comebacks: comebackShare(closed),
    comebacksTold: rounded(told / closed.length, 4),
    twoErrors: rounded((2 * Math.sqrt(variance)) / closed.length, 4),
    comebacksWithinLimit: comebackShare(closed.filter(({ risk }) => risk <= RISK_LIMIT)),
    tenths: tenthsOf(closed),
    sewnBeforeHand: walks.filter((one) => isSewnBeforeHand(one, model)).length,
  };
}

function comebackShare(walks: readonly Walk[]): number {
  return rounded(walks.filter(({ isCured }) => !isCured).length / walks.length, 4);
}

interface Tenth {
  readonly from: number;
  readonly cases: number;
  readonly told: number;
  readonly cameBack: number;
  /** How far they are apart, in standard errors of what was told. */
  readonly errors: number;
}

function tenthsOf(closed: readonly Walk[]): readonly Tenth[] {
  return Array.from({ length: 10 }, (_, tenth) => tenth)
    .map((tenth) => ({
      tenth,
      here: closed.filter(({ risk }) => Math.min(9, Math.floor(risk * 10)) === tenth),
    }))
    .filter(({ here }) => here.length >= ENOUGH_CASES)
    .map(({ tenth, here }): Tenth => {
      const told = here.reduce((sum, { risk }) => sum + risk, 0);
      const back = here.filter(({ isCured }) => !isCured).length;
      const error = Math.sqrt(here.reduce((sum, { risk }) => sum + risk * (1 - risk), 0));
      return {
        from: tenth / 10,
        cases: here.length,
        told: rounded(told / here.length, 3),
        cameBack: rounded(back / here.length, 3),
        errors: rounded((back - told) / error, 1),
      };
    });
}

/** Fewer say nothing of a tenth. */
const ENOUGH_CASES = 20;

const STRUCK: ReadonlySet<string> = new Set([
  'needle-strike',
  'needle-break',
  'jam',
  'after-jam',
  'rattle',
]);

/** Something was sewn before the wheel was turned by hand, on a machine that struck. */
function isSewnBeforeHand({ story, steps }: Walk, model: FamilyModel): boolean {
  const struck = story.answers.some(
    ({ finding, present, entry }) => present && entry === 1 && STRUCK.has(finding),
  );
  if (!struck) return false;
  for (const { id } of steps) {
    if (id === 'wheel-feel' || id === 'hand-turn' || id === 'do hand-turned') return false;
    if (id.startsWith('sew ') || model.checks.get(id)?.needs === 'sews') return true;
  }
  return false;
}

function rounded(value: number, digits: number): number {
  return Number(value.toFixed(digits));
}
