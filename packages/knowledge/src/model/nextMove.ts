import { type CauseBelief, LEAST_TRIED } from '@nodo/core';
import type { ActionSource, PlanPolicy } from '../schema/schema.ts';
import { type FamilyEvidence, isInProof } from './evidence.ts';
import type { FamilyCheck, FamilyModel } from './familyModel.ts';
import { CLOSED, checkMinutes, firstOnTheWay, isPartOff, type MachineNow } from './machineNow.ts';
import {
  isMended,
  isWorthItFirst,
  type Planned,
  type PlannedAction,
  SURE_ENOUGH,
} from './planner.ts';
import { symptomDebts } from './settle.ts';
import { COMEBACK_MINUTES, SEARCH_ON, waitsForLook, wasDone } from './stakes.ts';

/** What the planner would do. */
export type Move =
  | {
      readonly kind: 'check';
      readonly check: string;
      /** It saves more minutes than it costs, or the sweep has come to it. */
      readonly because: 'worth' | 'sweep';
    }
  /** Put this right; the cause is the likeliest to blame of those that the action treats. */
  | { readonly kind: 'action'; readonly action: string; readonly cause: string }
  /** Everything named was put right and it still shows: search on for what no table names. */
  | { readonly kind: 'search-on' }
  /** Nothing more to look for: what is owed is next, the proof among it. */
  | { readonly kind: 'settle' };

/**
 * What can be put off: a check, the repair of a cause, or an action that is proposed on suspicion. Such an
 * action waits until one of its causes was seen.
 */
export type PutOff =
  | { readonly check: string }
  | { readonly cause: string }
  | { readonly action: string };

/** What is known for choosing a move. */
export interface Progress extends MachineNow {
  readonly plan: PlanPolicy;
  readonly evidence: FamilyEvidence;
  readonly beliefs: readonly CauseBelief[];
  readonly risk: number;
  /** Put off by whoever works there. */
  readonly isPutOff: (what: PutOff) => boolean;
  /** Causes that were seen and neither treated nor set aside since. */
  readonly seen: ReadonlySet<string>;
  /** Actions and checks that a gate does not let through now. */
  readonly barred?: (step: string) => boolean;
}

/**
 * What comes next by the plan alone. A fault that is nearly sure is put right; then the look or trial that
 * saves most per minute; else the first action of the order. After a repair: what is worth looking at
 * while the machine is open, and an action so short that it shares the proof; then the proof.
 */
export function nextMove(model: FamilyModel, planned: Planned, progress: Progress): Move {
  const move = moveOf(model, planned, progress);
  const check = move.kind === 'check' ? model.checks.get(move.check) : undefined;
  // The sweep has its own order.
  if (move.kind !== 'check' || move.because === 'sweep' || !check) return move;
  const first = firstOnTheWay(model, check, progress).id;
  const isOffered = planned.checks.some((offered) => offered.check === first);
  return isOffered && !progress.isPutOff({ check: first }) ? { ...move, check: first } : move;
}

function moveOf(model: FamilyModel, planned: Planned, progress: Progress): Move {
  const { plan, evidence, risk, isPutOff, barred } = progress;
  const inProof = isInProof(model, evidence);
  const offered = planned.checks.filter(({ check }) => !isPutOff({ check }));
  const [sweep] = offered;
  if (plan === 'full-sweep' && sweep && !inProof) {
    return { kind: 'check', check: sweep.check, because: 'sweep' };
  }
  const sure = sureCause(progress);
  const remedy = sure && remedyFor(model, sure, barred);
  if (sure && remedy) return { kind: 'action', action: remedy, cause: sure };
  if (risk <= model.riskLimit) return { kind: 'settle' };
  const best = plan === 'full-sweep' ? undefined : offered.find(isWorthItFirst);
  if (inProof && !isProven(model, evidence, risk)) return inProofMove(model, planned, progress);
  const first = firstAction(model, planned, progress);
  // Told by a look of its own that is shorter still, the first action does not wait for another.
  const isShorter = best !== undefined && (first?.lookMinutes ?? Infinity) < best.minutes;
  if (best && !isShorter) return { kind: 'check', check: best.check, because: 'worth' };
  if (inProof && !planned.isWorthGoingOn) return { kind: 'settle' };
  return first?.move ?? { kind: 'settle' };
}

/** Sewn in silence as long as is ever proposed. */
function isProven(model: FamilyModel, evidence: FamilyEvidence, risk: number): boolean {
  return symptomDebts(model, evidence, risk).every(({ settled }) => settled !== undefined);
}

/**
 * A repair waits for its proof. Before the machine is closed and sewn: what is nearly free while it is
 * open, and an action so short that it shares the proof.
 */
function inProofMove(model: FamilyModel, planned: Planned, progress: Progress): Move {
  const { plan, isPutOff } = progress;
  const [look] = planned.whileOpen.filter((check) => !isPutOff({ check }));
  if (look !== undefined && plan === 'per-minute') {
    return { kind: 'check', check: look, because: 'worth' };
  }
  const first = firstAction(model, planned, progress);
  if (!first || plan === 'one-at-a-time') return { kind: 'settle' };
  const its = first.move.kind === 'check' ? model.checks.get(first.move.check) : undefined;
  if (its && isMended(its, progress.evidence)) return { kind: 'settle' };
  return sharesProof(model, planned, first, progress) ? first.move : { kind: 'settle' };
}

/** The cause to put right without looking further: seen, or nearly sure; to blame before not. */
function sureCause({ beliefs, isPutOff, seen }: Progress): string | undefined {
  return beliefs
    .filter(({ cause, is }) => is >= SURE_ENOUGH || (seen.has(cause) && is >= SEEN_COUNTS))
    .filter(({ cause }) => !isPutOff({ cause }))
    .toSorted((a, b) => b.blame - a.blame)[0]?.cause;
}

/** A fault that was seen counts as there, unless much speaks against it. Ours, no source. */
const SEEN_COUNTS = 0.5;

/** The shortest action that treats a cause; undefined when a gate bars them all, or none is known. */
function remedyFor(
  model: FamilyModel,
  cause: string,
  barred: Progress['barred'],
): string | undefined {
  return [...model.actions.values()]
    .filter(({ id, treats }) => treats.includes(cause) && !barred?.(`action:${id}`))
    .toSorted((a, b) => a.minutes - b.minutes)[0]?.id;
}

interface FirstAction {
  readonly planned: PlannedAction;
  /** Of the look that stands in its place. */
  readonly lookMinutes?: number;
  readonly move: Move;
}

/**
 * The first action of the order that may be taken now. One that is never done on suspicion has its look
 * proposed in its place, and is passed over once that look found nothing.
 */
function firstAction(
  model: FamilyModel,
  { actions, checks }: Pick<Planned, 'actions' | 'checks'>,
  progress: Progress,
): FirstAction | undefined {
  const { beliefs, evidence, isPutOff, seen, open, standing, barred } = progress;
  const offered = new Map(
    checks.flatMap(({ check, minutes }) =>
      isPutOff({ check }) ? [] : [[check, minutes] as const],
    ),
  );
  const looks = model.decisive;
  const searchesOn = actions.some(({ action }) => action === SEARCH_ON);
  const checkMove = (check: string): Move => ({ kind: 'check', check, because: 'worth' });
  // A look that asks for a part which is off, if it is all that is left.
  let afterClosing: string | undefined;
  for (const planned of actions) {
    if (planned.action === SEARCH_ON) {
      const move = afterClosing === undefined ? SEARCH : checkMove(afterClosing);
      return { planned, move };
    }
    if (searchesOn && planned.silences < LEAST_TRIED * planned.needed) continue;
    const action = model.actions.get(planned.action);
    const causes = beliefs
      .filter(({ cause }) => action?.treats.includes(cause) && !isPutOff({ cause }))
      .toSorted((a, b) => b.blame - a.blame);
    const waits =
      action && (isPutOff({ action: action.id }) || waitsForLook(action, looks, progress));
    const found = waits
      ? causes.find(({ cause, is }) => seen.has(cause) || is >= SURE_ENOUGH)
      : causes[0];
    const look = found && lookInstead(action, found.cause, looks);
    const lookMinutes = look === undefined ? undefined : offered.get(look);
    if (look && lookMinutes !== undefined) return { planned, lookMinutes, move: checkMove(look) };
    if (found) {
      return { planned, move: { kind: 'action', action: planned.action, cause: found.cause } };
    }
    for (const { cause } of causes) {
      const decisive = looks.get(cause);
      const first = decisive && firstOnTheWay(model, decisive, progress);
      if (!first || isPutOff({ check: first.id })) continue;
      const its = offered.get(first.id);
      if (its !== undefined) {
        const isShort = action && !action.afterFinding && !wasDone(action.treats, evidence);
        return { planned, ...(isShort && { lookMinutes: its }), move: checkMove(first.id) };
      }
      const canCome = isPartOff(first, open) && !standing(first.id).done;
      if (canCome && !barred?.(`check:${first.id}`)) afterClosing ??= first.id;
    }
  }
  return undefined;
}

const SEARCH: Move = { kind: 'search-on' };

/** Where looking takes no longer than doing, and does it for one cause alone, it is looked at. */
function lookInstead(
  action: ActionSource | undefined,
  cause: string,
  looks: ReadonlyMap<string, FamilyCheck>,
): string | undefined {
  const look = looks.get(cause);
  const isOne = action?.treats.length === 1;
  return look && isOne && look.minutes <= action.minutes ? look.id : undefined;
}

/**
 * Whether it is done, or looked at, before the proof. Then it costs its minutes in any case; after the proof
 * only where the symptom showed, but then what was closed is opened again, the proof was sewn in vain, and a
 * proof that missed the fault is a comeback.
 */
function sharesProof(
  model: FamilyModel,
  { proof, proofMinutes, checks }: Planned,
  { move, planned }: FirstAction,
  { risk }: Progress,
): boolean {
  const costs = minutesNowAndLater(model, move, planned, checks);
  if (!proof || !costs) return false;
  const [now, later] = costs;
  const { needed, silences } = planned;
  const missed = Math.min(1, proof.risk / risk);
  // A look finds after the proof what it finds now: of it only the failing proof is spared.
  const spared = move.kind === 'action' ? COMEBACK_MINUTES : 0;
  const saved = silences * ((1 - missed) * proofMinutes + missed * spared);
  return now - needed * (1 - missed) * later < saved;
}

/** Minutes of a move on the machine as it stands, and once it was closed; undefined for what is neither. */
function minutesNowAndLater(
  model: FamilyModel,
  move: Move,
  { minutes: cost, reopening }: PlannedAction,
  checks: Planned['checks'],
): readonly [number, number] | undefined {
  if (move.kind === 'action') {
    const now = cost + (model.owedAfter.get(move.action) ?? 0);
    return [now, now + reopening];
  }
  const look = move.kind === 'check' ? model.checks.get(move.check) : undefined;
  const now = checks.find(({ check }) => check === look?.id)?.minutes;
  if (!look || look.needs === 'sews' || now === undefined) return undefined;
  return [now, checkMinutes(model, CLOSED, look)];
}
