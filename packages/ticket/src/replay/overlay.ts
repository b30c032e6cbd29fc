import type { Actor } from '@nodo/kernel';
import type { Edition } from '@nodo/knowledge';
import type { Draft, TicketEvent } from '../events/index.ts';
import { applyTicketEvent } from './apply.ts';
import { decide } from './decide.ts';
import { type Told, tellOn, tellsSame } from './projection.ts';

export interface Laid extends Told {
  /** What the server confirmed. */
  readonly confirmed: Told;
  /** Ids of events that wait to be sent. */
  readonly waiting: ReadonlySet<string>;
}

/** An entry that waits to be sent, and whose it is. */
export interface Entered {
  readonly draft: Draft;
  readonly actor: Actor;
}

/**
 * What is shown: waiting drafts laid over the confirmed events by the server's own rules. The
 * very same ticket as before when the server only confirmed what was shown already, so that
 * nothing has to be reckoned or painted anew.
 * @param before what was laid last, to go on from.
 */
function lay(
  before: Laid | undefined,
  id: string,
  events: readonly TicketEvent[],
  entered: readonly Entered[],
  edition: Edition,
): Laid {
  const confirmed = tellOn(before?.confirmed, id, events);
  const known = new Set(events.map((event) => event.id));
  const waiting = new Set<string>();
  let shown = confirmed;
  for (const { draft, actor } of entered) {
    if (known.has(draft.id)) continue;
    const verdict = decide(shown.ticket, draft, actor, edition);
    if (!verdict.ok) continue;
    const event = { ...verdict.event, receivedAt: draft.observedAt } as TicketEvent;
    shown = { ticket: applyTicketEvent(shown.ticket, event), events: [...shown.events, event] };
    waiting.add(event.id);
  }
  const { ticket } = before && before.ticket.id === id && tellsSame(before, shown) ? before : shown;
  return { ticket, events: shown.events, confirmed, waiting };
}

/** Lays again and again, each time from where it left off. */
export function layer(): (...given: LayArguments) => Laid {
  let last: Laid | undefined;
  return (...given) => {
    last = lay(last, ...given);
    return last;
  };
}

type LayArguments = Parameters<typeof lay> extends [unknown, ...infer Rest] ? Rest : never;
