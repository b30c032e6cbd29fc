import {
  type CheckCandidate,
  type CheckProposal,
  machineMinutes,
  type Requirement,
  rankChecks,
} from '@nodo/core';
import type { FamilyCheck, FamilyModel } from '@nodo/knowledge';
import { parseCheckCondition } from '@nodo/knowledge';
import type { Assessment } from './assess.ts';
import { INTERVIEWS } from './interviews.ts';
import { checkStanding } from './standing.ts';
import { stateEpoch, type Ticket } from './ticket.ts';

/** What the bench puts in the middle. */
export type NextStep =
  | { readonly kind: 'check'; readonly check: string; readonly because: 'information' | 'duty' }
  | { readonly kind: 'repair'; readonly cause: string }
  | { readonly kind: 'action'; readonly actions: readonly string[]; readonly duty: string }
  | { readonly kind: 'waive'; readonly duty: string }
  | { readonly kind: 'close-machine' }
  | { readonly kind: 'close-ticket' };

/** A cause this sure is put right before anything else is looked at. Ours, no source. */
const SURE_ENOUGH = 0.9;
/** Below this comeback risk the search is over and the proof begins. Ours, no source. */
const LOW_RISK = 0.1;
/** A check that tells less than this is not worth a hand. Ours, no source. */
const LEAST_BITS = 0.02;

/** The checks that may be proposed now, with what they cost on the machine as it stands. */
function checkCandidates(ticket: Ticket, model: FamilyModel): readonly CheckCandidate[] {
  const now = stateEpoch(ticket, ticket.epoch);
  const untold = new Set(
    ticket.untold
      .filter(({ epoch }) => stateEpoch(ticket, epoch) === now)
      .map(({ check }) => check),
  );
  return [...model.checks.values()]
    .filter(
      ({ id, requires }) =>
        !INTERVIEWS.has(id) &&
        !untold.has(id) &&
        !checkStanding(ticket, model, id).done &&
        (requires ?? []).every((text) => {
          const { id: needed, normal } = parseCheckCondition(text) as Requirement & {
            kind: 'check';
          };
          const standing = checkStanding(ticket, model, needed);
          return normal ? standing.normal : standing.done;
        }),
    )
    .map((check) => ({
      id: check.id,
      findings: check.findings.map(({ id }) => id),
      minutes: checkMinutes(ticket, model, check),
    }));
}

/** Minutes a check costs on the machine as it stands, opening and closing included. */
export function checkMinutes(ticket: Ticket, model: FamilyModel, check: FamilyCheck) {
  return machineMinutes(model.access, ticket.open, {
    minutes: check.minutes,
    access: check.access,
    sews: check.needs === 'sews',
  });
}

/** All candidates by information per minute, best first. Heavy: belongs in a worker. */
export function proposeChecks(
  ticket: Ticket,
  model: FamilyModel,
  { evidence }: Pick<Assessment, 'evidence'>,
): readonly CheckProposal[] {
  return rankChecks(
    model.network,
    evidence,
    checkCandidates(ticket, model),
    stateEpoch(ticket, ticket.epoch),
  );
}

/**
 * What comes next: put right what is nearly sure; else, while a comeback is likely and no
 * repair waits for its proof, the best check; then the debts; then the knot.
 * @param deferred checks that a person put off on this screen.
 */
export function nextStep(
  ticket: Ticket,
  model: FamilyModel,
  assessment: Assessment,
  proposals: readonly CheckProposal[],
  deferred: ReadonlySet<string> = new Set(),
): NextStep {
  const likeliest = assessment.beliefs[0];
  if (likeliest && likeliest.is >= SURE_ENOUGH) return { kind: 'repair', cause: likeliest.cause };

  const best = proposals.find(({ check, bits }) => bits >= LEAST_BITS && !deferred.has(check));
  if (assessment.risk > LOW_RISK && !isInProof(ticket)) {
    if (best) return { kind: 'check', check: best.check, because: 'information' };
    if (likeliest) return { kind: 'repair', cause: likeliest.cause };
  }
  return nextDuty(ticket, model, assessment, deferred) ?? closing(ticket);
}

/** A repair was made and nothing wrong was seen since: it is proven before the search goes on. */
function isInProof({ deeds, answers }: Ticket): boolean {
  const repaired = deeds.findLast(({ repair }) => repair)?.seq ?? 0;
  const wrong = answers.findLast(({ present }) => present)?.seq ?? 0;
  return repaired > wrong;
}

function closing(ticket: Ticket): NextStep {
  return ticket.open.size > 0 ? { kind: 'close-machine' } : { kind: 'close-ticket' };
}

/** The cheapest thing that brings an owed duty nearer, given what stands open. */
function nextDuty(
  ticket: Ticket,
  model: FamilyModel,
  { duties }: Assessment,
  deferred: ReadonlySet<string>,
): NextStep | undefined {
  const owed = duties.filter(({ state }) => state === 'owed');
  const checks = owed
    .flatMap(({ missing }) => [...missing.all, ...missing.any])
    .flatMap((requirement) =>
      requirement.kind === 'check' && !deferred.has(requirement.id)
        ? (model.checks.get(requirement.id) ?? [])
        : [],
    )
    .sort((a, b) => checkMinutes(ticket, model, a) - checkMinutes(ticket, model, b));
  for (const { duty, missing } of owed) {
    const actions = [...missing.all, ...missing.any].filter(({ kind }) => kind === 'action');
    const only = [...missing.all, ...missing.any].length === actions.length;
    if (actions.length > 0 && (only || checks.length === 0)) {
      return { kind: 'action', actions: actions.map(({ id }) => id), duty };
    }
  }
  const [check] = checks;
  if (check) return { kind: 'check', check: check.id, because: 'duty' };
  const [first] = owed;
  return first && { kind: 'waive', duty: first.duty };
}
