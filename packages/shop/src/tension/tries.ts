import type { TensionTask, TensionTry } from '@nodo/core';
import type { ActionId, CheckId, FamilyModel } from '@nodo/knowledge';
import { changesOf, type KeptTry, type Ticket } from '@nodo/ticket';
import type { MachineTension } from './machineTension.ts';

/** Turning these is what the tries are about. */
const TURNED: ReadonlySet<string> = new Set<ActionId>(['dial-set', 'case-screw-turned']);
/** Each shows the thread in its path. */
const THREAD_LOOKED_AT: ReadonlySet<string> = new Set<CheckId>(['path-look', 'rethread-sew']);
/** Each shows whether the bobbin thread is held as it should be. */
const BOBBIN_LOOKED_AT: ReadonlySet<string> = new Set<CheckId>([
  'bobbin-path',
  'case-pull',
  'case-drop',
  'case-gauge',
  'case-stand',
  'case-spring',
]);

export type SewnTry = KeptTry & { readonly seq: number };

/** The tries of a needle since something else on the machine was changed: only these lie on one curve. */
export function triesInForce(ticket: Ticket, at = 1): readonly SewnTry[] {
  const turned = new Set(
    ticket.performedActions.filter(({ action }) => TURNED.has(action)).map(({ seq }) => seq),
  );
  const since = changesOf(ticket).findLast(({ seq }) => !turned.has(seq))?.seq;
  return ticket.life.tries.filter((one) => (one.at ?? 1) === at && one.seq > (since ?? 0));
}

/** As the core reads them. */
export function asTries(tries: readonly KeptTry[]): readonly TensionTry[] {
  return tries.map(({ dial, screw, read }) => ({ dial, screw, read }));
}

/** How far the screw of the machine's own case was turned on this ticket. */
export function screwNow({ life }: Ticket): number {
  return (life.screws.own?.turns ?? []).reduce((sum, turn) => sum + turn, 0);
}

/** What the ticket says of threading and bobbin. */
export function lookedAt({
  performedActions,
  looks,
}: Ticket): Pick<TensionTask, 'rethreaded' | 'bobbinSeen'> {
  return {
    rethreaded:
      performedActions.some(({ action }) => action === ('rethreaded' satisfies ActionId)) ||
      looks.some(({ check, complete }) => complete && THREAD_LOOKED_AT.has(check)),
    bobbinSeen: looks.some(({ check }) => BOBBIN_LOOKED_AT.has(check)),
  };
}

/** Whether the bench may turn the screw of this machine's case: its manual decides; unless known, not that of a drop-in. */
export function mayTurnScrew(
  { screw }: MachineTension,
  { family }: Pick<FamilyModel, 'family'>,
): boolean {
  return screw === null ? family.traits.includes('front-loading') : screw === 'may';
}
