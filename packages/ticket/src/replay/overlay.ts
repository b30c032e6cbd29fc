import type { Actor } from '@nodo/kernel';
import type { KnowledgeVersion } from '@nodo/knowledge';
import type { TicketCommand, TicketEvent } from '../events/index.ts';
import { applyTicketEvent } from './apply.ts';
import { decide } from './decide.ts';
import { isSameProjection, projectTicket, type TicketProjection } from './projection.ts';

export interface OverlaidTicket extends TicketProjection {
  /** What the server confirmed. */
  readonly confirmed: TicketProjection;
  /** Ids of events that wait to be sent. */
  readonly waiting: ReadonlySet<string>;
}

/** An entry that waits to be sent, and whose it is. */
export interface PendingCommand {
  readonly command: TicketCommand;
  readonly actor: Actor;
}

/**
 * What is shown: pending commands applied over the confirmed events by the server's own rules. The
 * very same ticket as before when the server only confirmed what was shown already, so that
 * nothing has to be computed or rendered again.
 * @param before the previous result, reused where it can be.
 */
function overlayPending(
  before: OverlaidTicket | undefined,
  id: string,
  events: readonly TicketEvent[],
  entered: readonly PendingCommand[],
  version: KnowledgeVersion,
): OverlaidTicket {
  const confirmed = projectTicket(before?.confirmed, id, events);
  const known = new Set(events.map((event) => event.id));
  const waiting = new Set<string>();
  let shown = confirmed;
  for (const { command, actor } of entered) {
    if (known.has(command.id)) continue;
    const verdict = decide(shown.ticket, command, actor, version);
    if (!verdict.ok) continue;
    const event = { ...verdict.event, receivedAt: command.observedAt } as TicketEvent;
    shown = { ticket: applyTicketEvent(shown.ticket, event), events: [...shown.events, event] };
    waiting.add(event.id);
  }
  const { ticket } =
    before && before.ticket.id === id && isSameProjection(before, shown) ? before : shown;
  return { ticket, events: shown.events, confirmed, waiting };
}

/** Lays again and again, each time from where it left off. */
export function pendingOverlay(): (...given: OverlayArguments) => OverlaidTicket {
  let last: OverlaidTicket | undefined;
  return (...given) => {
    last = overlayPending(last, ...given);
    return last;
  };
}

type OverlayArguments =
  Parameters<typeof overlayPending> extends [unknown, ...infer Rest] ? Rest : never;
