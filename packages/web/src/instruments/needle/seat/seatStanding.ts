import type { ActionId, FamilyModel } from '@nodo/knowledge';
import { assess, checkOutcome, HAND_TURNED, stateEpoch, type Ticket } from '@nodo/ticket';
import { SEAT_CHECK_IDS } from './seatReading.ts';

const SETS: ReadonlySet<string> = new Set<ActionId>([
  'needle-set',
  'needle-replaced',
  'socket-cleared',
]);

/** How far the insertion check is on a ticket. */
export interface SeatStanding {
  /** The needle was set or changed on this ticket: what is seen now is as set. */
  readonly isSet: boolean;
  /** What was found wrong in the present state and not put right since. */
  readonly wrong: ReadonlySet<string>;
  /** Looked at in the present state, and nothing wrong. */
  readonly isRight: boolean;
  /** Still owed after setting: turning by hand. */
  readonly owesTurning: boolean;
}

export function seatStanding(ticket: Ticket, model: FamilyModel): SeatStanding {
  const present = stateEpoch(ticket, ticket.epoch);
  const wrong = new Map<string, boolean>();
  for (const { check, finding, present: seen, epoch } of ticket.answers) {
    if (!SEAT_CHECK_IDS.includes(check) || stateEpoch(ticket, epoch) !== present) continue;
    wrong.set(finding, seen);
  }
  const checks = SEAT_CHECK_IDS.filter((check) => model.checks.has(check));
  const duty = assess(ticket, model).duties.find(({ duty: id }) => id === 'seat-again');
  const turned = ticket.performedActions.some(
    ({ action, epoch }) => action === HAND_TURNED && stateEpoch(ticket, epoch) === present,
  );
  return {
    isSet: ticket.performedActions.some(({ action }) => SETS.has(action)),
    wrong: new Set([...wrong].flatMap(([finding, seen]) => (seen ? [finding] : []))),
    isRight: checks.every((check) => checkOutcome(ticket, model, check).normal),
    owesTurning: duty?.state === 'owed' && !turned,
  };
}
