import { day, instant, tableId, uuid } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import { INTERVIEWS } from '@nodo/knowledge';
import { z } from 'zod';
import { assess } from '../assessment/assess.ts';
import { workLeftOn } from '../assessment/workLeft.ts';
import type { RecordedEvent } from '../state/envelope.ts';
import { atTheClock, dueOf, type Life, SPOKEN, STAGES } from '../state/life.ts';
import type { Ticket } from '../state/ticket.ts';
import { BODY_COLOURS, contact, NEVER_COLLECTED, UNREPAIRED } from '../state/values.ts';
import { cameInWith } from './cameIn.ts';
import { handOverOf } from './handOver.ts';
import { lateEntries } from './late.ts';
import { stageOf } from './stage.ts';

/** One machine as the Rack shows it; kept beside the events and rebuilt from them at will. */
export const ticketSummary = z.object({
  ticket: uuid,
  seq: z.number().int().positive(),
  /** Null for a machine that was talked about on the telephone and is not in the shop. */
  tag: z.number().int().positive().nullable(),
  call: z.enum(['solved', 'bring-in', 'stop']).nullable(),
  shelf: z.string(),
  label: z.string(),
  /** Of its body; null where nobody asked. */
  colour: z.enum(BODY_COLOURS).nullable(),
  family: tableId,
  status: z.enum(['open', 'closed', 'collected']),
  words: z.string(),
  takenInAt: instant,
  changedAt: instant,
  /** Who made the last entry at the bench, if anybody has yet. */
  lastBy: uuid.nullable(),
  /** Entries above and below the seam's line. */
  seen: z.number().int().nonnegative(),
  done: z.number().int().nonnegative(),
  /** Duties still owed, by id. */
  owed: z.array(tableId),
  contested: z.number().int().nonnegative(),
  likely: z.object({ cause: z.string(), name: z.string(), chance: z.number() }).nullable(),
  risk: z.number().min(0).max(1),
  /** Left to somebody, or to whoever comes, who has not taken it up yet. */
  handOver: z.object({ to: uuid.nullable(), by: uuid, note: z.string() }).nullable(),
  /** Entries that arrived after closing. */
  late: z.number().int().nonnegative(),
  standing: z.enum(STAGES),
  machine: uuid.nullable(),
  comebackOf: uuid.nullable(),
  /** How often the machine came back after it. */
  comebacks: z.number().int().nonnegative(),
  /** Minutes of work left, expected and with their spread; null in summaries from before they were computed. */
  left: z.object({ mean: z.number(), spread: z.number() }).nullable(),
  /** The day that was promised to the customer. */
  promised: day.nullable(),
  awaited: z.object({ part: z.string(), expected: day.nullable() }).nullable(),
  /** At whose bench it is done, by hand; see the ticket's own. */
  pin: z.object({ person: uuid, after: uuid.nullish(), at: instant }).nullable(),
  /** Who works on it by the clock. */
  atTheClock: z.array(uuid),
  readyAt: instant.nullable(),
  /** When the customer took it. */
  collectedAt: instant.nullable(),
  /** What became of it because it was never collected. */
  instead: z.enum(NEVER_COLLECTED).nullable(),
  /** When the customer was last informed that it is ready. */
  toldAt: instant.nullable(),
  /** The last try to speak to the customer; null also in summaries from before it was kept. */
  contact: contact.extend({ at: instant }).nullable(),
  /** What the customer is to be asked about, in the smallest unit; null where nothing is. */
  asked: z.number().int().nullable(),
  /** What the customer said to the price that was asked last; null also in summaries from before it was kept. */
  answer: z
    .object({
      agreed: z.boolean(),
      amount: z.number().int(),
      how: z.enum(SPOKEN),
      at: instant,
    })
    .nullable(),
  /** What came that it waited for, while nobody has gone on with it since. */
  freedBy: z.enum(['answer', 'part']).nullable(),
  /** Why it goes back as it came; null where it was repaired. */
  unrepaired: z.enum(UNREPAIRED).nullable(),
  /** What it came to, in the smallest unit of the shop's currency. */
  total: z.number().int().nullable(),
  /** What of it is not paid yet; null where no price was worked out. */
  due: z.number().int().nullable(),
});
export type TicketSummary = z.infer<typeof ticketSummary>;

export const rackEntry = ticketSummary.extend({
  customerName: z.string().nullable(),
  customerPhone: z.string().nullable(),
});
export type RackEntry = z.infer<typeof rackEntry>;

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
  const came = cameInWith(ticket);
  const last = ticket.entries.at(-1);
  if (!intake || status === 'new' || !came || !last) return undefined;
  const valid = ticket.entries.filter(({ id }) => !ticket.corrected.has(id));
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
    colour: intake.colour ?? null,
    family: intake.family,
    status,
    words: intake.words,
    takenInAt: came.receivedAt,
    changedAt: last.receivedAt,
    lastBy: valid.findLast(isAtTheBench)?.actor.person ?? null,
    seen: valid.filter(({ type }) => SEEN.has(type)).length,
    done: valid.filter(({ type }) => DONE.has(type)).length,
    owed: duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty),
    contested: contested.length,
    likely: likeliest
      ? {
          cause: likeliest.cause,
          name: model.causes.get(likeliest.cause)?.name ?? likeliest.cause,
          chance: likeliest.blame,
        }
      : null,
    risk,
    handOver: handOverOf(ticket) ?? null,
    late: lateEntries(ticket).length,
    standing: stageOf(ticket),
    machine: life.machine ?? null,
    comebackOf: life.comebackOf ?? null,
    comebacks: life.comebacks.length,
    left: workLeftOn(ticket, model, assessment),
    promised: life.promised ?? null,
    awaited: awaited ? { part: awaited.part, expected: awaited.expected } : null,
    pin: life.pin ?? null,
    atTheClock: [...atTheClock(life)],
    readyAt: closing?.receivedAt ?? null,
    collectedAt:
      status === 'collected'
        ? (valid.findLast(({ type }) => type === 'machine-collected')?.receivedAt ?? null)
        : null,
    instead: life.instead?.way ?? null,
    toldAt: life.toldAt ?? null,
    contact: life.contact ?? null,
    asked: life.asked && !life.asked.answer ? life.asked.amount : null,
    answer: answerOf(life),
    freedBy: freedBy(ticket, valid),
    unrepaired: ticket.closing?.unrepaired ?? null,
    total: life.bill?.total ?? null,
    due: life.bill ? dueOf(life) : null,
  };
}

function answerOf({ asked }: Life): TicketSummary['answer'] {
  if (!asked?.answer) return null;
  const { agreed, how, at } = asked.answer;
  return { agreed, how, at, amount: asked.amount };
}

/** The answer or the part that an open machine waited for, as long as nobody went on with it. */
function freedBy(
  { status, life }: Ticket,
  valid: readonly RecordedEvent[],
): TicketSummary['freedBy'] {
  const isHeld = life.awaits.some(({ came }) => !came) || (life.asked && !life.asked.answer);
  if (status !== 'open' || isHeld) return null;
  const last = valid.findLast((entry) => isAtTheBench(entry) || entry.type in FREES);
  return (last && FREES[last.type]) ?? null;
}

const FREES: Readonly<Partial<Record<string, 'answer' | 'part'>>> = {
  'price-answered': 'answer',
  'part-came': 'part',
};

/** Work on the machine, as against what was asked at the counter. */
function isAtTheBench({ type, body }: RecordedEvent): boolean {
  if (DONE.has(type)) return true;
  return SEEN.has(type) && !('check' in body && INTERVIEWS.has(String(body.check)));
}
