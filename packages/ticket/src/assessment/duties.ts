import { assessDuties, type DutyFact, type DutyStatus } from '@nodo/core';
import { type FamilyModel, isSeenRunning } from '@nodo/knowledge';
import { stateEpoch, type Ticket } from '../state/ticket.ts';

/** The debts of a ticket: owed, cleared or waived. */
export function dutiesOf(ticket: Ticket, model: FamilyModel): readonly DutyStatus[] {
  return assessDuties(model.dutyRules(ticket.plan), dutyFacts(ticket, model));
}

function dutyFacts(ticket: Ticket, model: FamilyModel): readonly DutyFact[] {
  const when = (item: { readonly seq: number; readonly epoch: number }) => ({
    at: item.seq,
    epoch: stateEpoch(ticket, item.epoch),
  });
  return [
    ...ticket.answers
      .filter(({ present }) => present)
      .map(
        (answer): DutyFact => ({
          kind: 'finding',
          id: answer.finding,
          runs: isSeenRunning(model, answer.finding),
          ...when(answer),
        }),
      ),
    ...ticket.looks.flatMap((look): DutyFact[] => {
      const seen = answeredBy(ticket, look.check, look.epoch, look.seq);
      const { findings = [], needs } = model.checks.get(look.check) ?? {};
      const done = findings.length > 0 && findings.every(({ id }) => seen.has(id));
      const normal = done && ![...seen.values()].includes(true);
      const runs = needs === 'sews';
      return done ? [{ kind: 'check', id: look.check, normal, runs, ...when(look) }] : [];
    }),
    ...ticket.performedActions.map(
      (performed): DutyFact => ({
        kind: 'action',
        id: performed.action,
        repair: performed.repair,
        at: performed.seq,
        // What it leads to belongs to the epoch that it begins.
        epoch: stateEpoch(ticket, performed.startsEpoch ?? performed.epoch),
      }),
    ),
    ...ticket.opened.map((item): DutyFact => ({ kind: 'access', id: item.state, ...when(item) })),
    ...ticket.closedUp.map((item): DutyFact => ({ kind: 'closed', id: item.state, ...when(item) })),
    ...ticket.waivers.map(
      (waiver): DutyFact => ({ kind: 'waived', id: waiver.duty, ...when(waiver) }),
    ),
  ];
}

/** The latest answers to a check's findings in one state of the machine, up to a place. */
function answeredBy(
  ticket: Ticket,
  check: string,
  epoch: number,
  seq: number,
): ReadonlyMap<string, boolean> {
  const state = stateEpoch(ticket, epoch);
  return new Map(
    ticket.answers
      .filter(
        (answer) =>
          answer.check === check && answer.seq <= seq && stateEpoch(ticket, answer.epoch) === state,
      )
      .map(({ finding, present }) => [finding, present]),
  );
}
