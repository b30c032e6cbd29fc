import { CoreError } from '@nodo/core';
import type { Actor } from '@nodo/kernel';
import type { TableChange } from '@nodo/knowledge';
import type { TableEvent } from './events.ts';

/** Who did it, and when the server learned of it. */
export interface Attribution {
  readonly by: Actor;
  readonly at: string;
}

export interface Proposal extends Attribution {
  /** Id of the event that proposed it. */
  readonly id: string;
  readonly change: TableChange;
  readonly reason: string;
  readonly state: 'open' | 'accepted' | 'withdrawn';
  readonly accepted: Attribution | undefined;
  readonly withdrawn: (Attribution & { readonly reason: string }) | undefined;
}

/** The changes of one shop as their events tell them. */
export interface ChangeRequests {
  /** Place of the last event; 0 before the first. */
  readonly seq: number;
  readonly proposals: readonly Proposal[];
  /** Ids of the proposals in force, in the order in which they were accepted. */
  readonly inForce: readonly string[];
}

const NO_REQUESTS: ChangeRequests = { seq: 0, proposals: [], inForce: [] };

/**
 * Folds change requests from their events, which must be complete and in order.
 * @throws CoreFault `event-out-of-order`
 */
export function foldChangeRequests(events: readonly TableEvent[]): ChangeRequests {
  return events.reduce(applyTableEvent, NO_REQUESTS);
}

/**
 * The change requests after one more event.
 * @throws CoreFault `event-out-of-order` unless the event is the next.
 */
export function applyTableEvent(requests: ChangeRequests, event: TableEvent): ChangeRequests {
  if (event.seq !== requests.seq + 1) {
    throw new CoreError('event-out-of-order', { has: requests.seq, got: event.seq });
  }
  return {
    seq: event.seq,
    proposals: proposalsAfter(requests.proposals, event),
    inForce: inForceAfter(requests, event),
  };
}

function inForceAfter({ inForce }: ChangeRequests, event: TableEvent): readonly string[] {
  switch (event.type) {
    case 'change-proposed':
      return inForce;
    case 'change-accepted':
      return [...inForce, event.body.proposal];
    case 'change-withdrawn':
      return inForce.filter((id) => id !== event.body.proposal);
  }
}

/** The changes that the shop judges with, in the order in which they were accepted. */
export function changesInForce({ proposals, inForce }: ChangeRequests): readonly TableChange[] {
  return inForce.flatMap((id) => proposals.find((proposal) => proposal.id === id)?.change ?? []);
}

function proposalsAfter(proposals: readonly Proposal[], event: TableEvent): readonly Proposal[] {
  const hand: Attribution = { by: event.actor, at: event.receivedAt };
  if (event.type === 'change-proposed') {
    const { change, reason } = event.body;
    const nothing = { accepted: undefined, withdrawn: undefined };
    return [...proposals, { id: event.id, change, reason, state: 'open', ...hand, ...nothing }];
  }
  const decided: Partial<Proposal> =
    event.type === 'change-accepted'
      ? { state: 'accepted', accepted: hand }
      : { state: 'withdrawn', withdrawn: { ...hand, reason: event.body.reason } };
  return proposals.map((proposal) =>
    proposal.id === event.body.proposal ? { ...proposal, ...decided } : proposal,
  );
}
