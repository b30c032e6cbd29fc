import { seeded } from '@nodo/core';
import { type FamilyModel, modelOf, type PlanPolicy } from '@nodo/knowledge';
import { type Walk, walk } from '../../packages/knowledge/test/walk.ts';
import { spreadOf } from '../../scripts/lib/spread.mjs';
import { drawMachine, generatorOf } from './truth.ts';

/** What the product proposes, and everything in the order of the full sweep. */
export const WAYS = ['per-minute', 'full-sweep'] as const satisfies readonly PlanPolicy[];

export interface Job {
  readonly family: string;
  /** Strengths of the truth moved against those of the first version. */
  readonly moved: boolean;
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
  /** The tenth of told risks with the greatest gap to what came back. */
  readonly worstTenth: { readonly from: number; readonly cases: number; readonly gap: number };
  /** Sewn before the hand, after a strike, a jam or a broken needle: must be none. */
  readonly sewnBeforeHand: number;
}

const SEED = 20_251;
const LONGEST_MINUTES = 60;

/** One way of searching on one family's machines: the same machines for every way. */
export function compare({ family, moved, way, machines }: Job): Result {
  const model = modelOf(family);
  if (!model) throw new Error(`no such family: ${family}`);
  const generator = generatorOf(family, moved);
  const draw = seeded(SEED);
  const walks = Array.from({ length: machines }, (_, at) => {
    const { truth, told } = drawMachine(generator, draw);
    return walk(model, truth, {
      told,
      plan: way,
      seed: at + 1,
      mostMinutes: LONGEST_MINUTES,
      toTheProof: true,
    });
  });
  const minutes = walks.map((one) => Math.min(LONGEST_MINUTES, one.minutes));
  const at = spreadOf(minutes, 1);
  const closed = walks.filter(({ isSettled }) => isSettled);
  const told = closed.reduce((sum, { risk }) => sum + risk, 0);
  const variance = closed.reduce((sum, { risk }) => sum + risk * (1 - risk), 0);
  return {
    family,
    moved,
    way,
    machines,
    medianMinutes: at(0.5),
    meanMinutes: rounded(minutes.reduce((sum, each) => sum + each, 0) / machines, 1),
    p90Minutes: at(0.9),
    settled: rounded(closed.length / machines, 3),
    comebacks: rounded(closed.filter(({ isCured }) => !isCured).length / closed.length, 4),
    comebacksTold: rounded(told / closed.length, 4),
    twoErrors: rounded((2 * Math.sqrt(variance)) / closed.length, 4),
    worstTenth: worstTenth(closed),
    sewnBeforeHand: walks.filter((one) => isSewnBeforeHand(one, model)).length,
  };
}

function worstTenth(closed: readonly Walk[]): Result['worstTenth'] {
  const tenths = Array.from({ length: 10 }, (_, tenth) => {
    const here = closed.filter(({ risk }) => Math.min(9, Math.floor(risk * 10)) === tenth);
    const off = here.reduce((sum, { risk, isCured }) => sum + risk - (isCured ? 0 : 1), 0);
    return {
      from: tenth / 10,
      cases: here.length,
      gap: rounded(here.length > 0 ? Math.abs(off) / here.length : 0, 3),
    };
  });
  const [worst] = tenths.filter(({ cases }) => cases >= ENOUGH_CASES).sort((a, b) => b.gap - a.gap);
  return worst ?? { from: 0, cases: 0, gap: 0 };
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
