import type { KnowledgeVersion } from '@nodo/knowledge';
import { assess } from '../assessment/assess.ts';
import { modelOfTicket } from '../assessment/ticketModel.ts';
import type { Ticket } from '../state/ticket.ts';
import { planTicket } from './nextStep.ts';

/** How one ticket stands under a version of the tables. */
export interface TicketOutlook {
  readonly likeliest: { readonly cause: string; readonly chance: number } | undefined;
  /** Chance that the complaint comes back if the ticket were closed now. */
  readonly risk: number;
  /** What would be looked at next at the bench; undefined for a machine that is not in the shop. */
  readonly check: string | undefined;
}

/**
 * How a ticket stands under a version. Heavy: belongs in a worker.
 * @param draws joint samples for the worth of a check; the plan's own number, when left out.
 */
export function outlookUnder(
  version: KnowledgeVersion,
  ticket: Ticket,
  draws?: number,
): TicketOutlook | undefined {
  const model = modelOfTicket(ticket, version);
  if (!model) return undefined;
  const assessment = assess(ticket, model);
  const [likeliest] = assessment.beliefs;
  return {
    likeliest: likeliest && { cause: likeliest.cause, chance: likeliest.blame },
    risk: assessment.risk,
    check:
      ticket.intake?.tag === undefined
        ? undefined
        : planTicket(ticket, model, assessment, draws).checks[0]?.check,
  };
}

/** Smaller shifts do not count. */
const LEAST_MOVE = 0.01;

/**
 * How much a ticket stands otherwise: 1 for another likeliest cause, else the larger of what
 * its chance and the comeback risk move; undefined where nothing of it is worth telling.
 */
export function outlookShift(before: TicketOutlook, after: TicketOutlook): number | undefined {
  if (before.likeliest?.cause !== after.likeliest?.cause) return 1;
  const chances = [before, after].map(({ likeliest }) => likeliest?.chance ?? 0);
  const moved = Math.max(
    Math.abs((chances[1] ?? 0) - (chances[0] ?? 0)),
    Math.abs(after.risk - before.risk),
  );
  return moved >= LEAST_MOVE || before.check !== after.check ? moved : undefined;
}
