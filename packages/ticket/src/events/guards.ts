import { CoreError } from '@nodo/core';
import { isBefore, type RefusalCode, refuse } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import type { Ticket } from '../state/ticket.ts';
import { accept, type DecideContext, type Decision, reject } from './define.ts';

type Decide<Command, Body, Extra> = (
  ticket: Ticket,
  command: Command,
  context: DecideContext & Extra,
) => Decision<Body>;

/**
 * For what is only recorded while the machine is in work: refuses before and afterwards, and
 * from an epoch that has not been reached; else decides, with the family's model at hand.
 */
export function atWork<Command, Body>(
  decide: Decide<Command, Body, { readonly model: FamilyModel }>,
): Decide<Command, Body, unknown> {
  return (ticket, command, context) => {
    const { model, epoch } = context;
    if (ticket.status === 'new' || !model) return reject(refuse('not-taken-in'));
    if (ticket.status !== 'open') return reject(refuse('ticket-closed'));
    if (epoch > ticket.epoch) {
      return reject(refuse('epoch-not-reached', 'epoch', { reached: ticket.epoch }));
    }
    return decide(ticket, command, { ...context, model });
  };
}

/**
 * For what was seen: also of what arrives after closing, if it was seen before that. It
 * changes nothing of the closing; it is shown as late.
 */
export function evenLate<Command, Body>(
  decide: Decide<Command, Body, { readonly model: FamilyModel }>,
): Decide<Command, Body, unknown> {
  return (ticket, command, context) => {
    const { status, closing, entries } = ticket;
    const closedAt = closing && entries[closing.seq - 1]?.observedAt;
    const isLate =
      status === 'closed' && closedAt !== undefined && isBefore(context.observedAt, closedAt);
    const seenIn: Ticket = isLate ? { ...ticket, status: 'open' } : ticket;
    return atWork(decide)(seenIn, command, context);
  };
}

/** Accepts the body that `compute` gives; refuses where the core says that the numbers cannot be. */
export function acceptValid<Body>(
  compute: () => Body,
  code: RefusalCode,
  path: string,
): Decision<Body> {
  try {
    return accept(compute());
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return reject(refuse(code, path, { ...error.data }));
  }
}

/** For work on the machine itself: it must be in the shop. */
export function atTheBench<Command, Body>(
  decide: Decide<Command, Body, { readonly model: FamilyModel }>,
): Decide<Command, Body, unknown> {
  return atWork((ticket, command, context) =>
    ticket.intake?.tag === undefined
      ? reject(refuse('not-in-the-shop'))
      : decide(ticket, command, context),
  );
}

/** For what is said on the telephone: the machine is not in the shop. */
export function whileAway<Command, Body>(
  decide: Decide<Command, Body, { readonly model: FamilyModel }>,
): Decide<Command, Body, unknown> {
  return atWork((ticket, command, context) =>
    ticket.intake?.tag === undefined
      ? decide(ticket, command, context)
      : reject(refuse('in-the-shop')),
  );
}

/** For what belongs to a repair that is finished, whether or not the customer has the machine. */
export function sinceClosed<Command, Body>(
  decide: (ticket: Ticket, command: Command) => Decision<Body>,
): Decide<Command, Body, unknown> {
  return (ticket, command) => {
    if (ticket.status === 'new') return reject(refuse('not-taken-in'));
    return ticket.status === 'open' ? reject(refuse('ticket-open')) : decide(ticket, command);
  };
}

/** For what may also be recorded after closing, as long as the machine is in the shop. */
export function sinceItCame<Command, Body>(
  decide: (ticket: Ticket, command: Command) => Decision<Body>,
): Decide<Command, Body, unknown> {
  return (ticket, command) => {
    if (ticket.status === 'new') return reject(refuse('not-taken-in'));
    if (ticket.intake?.tag === undefined) return reject(refuse('not-in-the-shop'));
    if (ticket.status === 'collected') return reject(refuse('already-collected'));
    return decide(ticket, command);
  };
}
