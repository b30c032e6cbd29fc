import type { FamilyModel } from '@nodo/knowledge';
import { INTERVIEWS } from '@nodo/knowledge';
import type { TicketSummary } from '../routes/tickets.ts';
import { assess } from './assess.ts';
import type { RecordedEvent } from './envelope.ts';
import { handOverOf } from './handOver.ts';
import { lateEntries } from './late.ts';
import { atTheClock } from './life.ts';
import { standingOf } from './standingOf.ts';
import type { Ticket } from './ticket.ts';
import { workLeftOn } from './workLeft.ts';

const SEEN: ReadonlySet<string> = new Set([
  'findings-recorded',
  'could-not-tell',
  'observation-noted',
  'photo-kept',
]);
const DONE: ReadonlySet<string> = new Set([
  'action-done',
  'machine-opened',
  'machine-closed',
  'duty-waived',
]);

/** A ticket's line on the Rack. Undefined before the machine is taken in. */
export function summaryOf(ticket: Ticket, model: FamilyModel): TicketSummary | undefined {
  const { intake, status } = ticket;
  const first = ticket.entries[0];
  const last = ticket.entries.at(-1);
  if (!intake || status === 'new' || !first || !last) return undefined;
  const told = ticket.entries.filter(({ id }) => !ticket.corrected.has(id));
  const assessment = assess(ticket, model);
  const { beliefs, duties, contested, risk } = assessment;
  const { life } = ticket;
  const closing = ticket.closing && ticket.entries[ticket.closing.seq - 1];
  const awaited = life.awaits.find(({ came }) => !came);
  const [likeliest] = beliefs;
  return {
    ticket: ticket.id,
    seq: ticket.seq,
    tag: intake.tag ?? null,
    call: ticket.call ?? null,
    shelf: intake.shelf,
    label: intake.label,
    family: intake.family,
    status,
    words: intake.words,
    takenInAt: first.receivedAt,
    changedAt: last.receivedAt,
    lastBy: told.findLast(isAtTheBench)?.actor.person ?? null,
    seen: told.filter(({ type }) => SEEN.has(type)).length,
    done: told.filter(({ type }) => DONE.has(type)).length,
    owed: duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty),
    contested: contested.length,
    likely: likeliest
      ? {
          cause: likeliest.cause,
          name: model.causes.get(likeliest.cause)?.name ?? likeliest.cause,
          chance: likeliest.is,
        }
      : null,
    risk,
    handOver: handOverOf(ticket) ?? null,
    late: lateEntries(ticket).length,
    standing: standingOf(ticket),
    machine: life.machine ?? null,
    comebackOf: life.comebackOf ?? null,
    comebacks: life.comebacks.length,
    left: workLeftOn(ticket, model, assessment),
    promised: life.promised ?? null,
    awaited: awaited ? { part: awaited.part, expected: awaited.expected } : null,
    atTheClock: [...atTheClock(life)],
    readyAt: closing?.receivedAt ?? null,
    toldAt: life.toldAt ?? null,
    unrepaired: ticket.closing?.unrepaired ?? false,
    total: life.bill?.total ?? null,
  };
}

/** Work on the machine, as against what was asked at the counter. */
function isAtTheBench({ type, body }: RecordedEvent): boolean {
  if (DONE.has(type)) return true;
  return SEEN.has(type) && !('check' in body && INTERVIEWS.has(String(body.check)));
}
