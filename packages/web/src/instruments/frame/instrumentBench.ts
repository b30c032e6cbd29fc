import type { Visit } from '@nodo/api';
import { type Millimetres, mm } from '@nodo/core';
import type { ActionId, CheckId, FamilyModel, FindingId } from '@nodo/knowledge';
import type { MachineProfile } from '@nodo/shop';
import { type CheckStatus, checkStatus, type Ticket, threadAcross } from '@nodo/ticket';
import { answersTo } from '../../ticket/answersTo.ts';
import type { RecordEntry } from '../../ticket/useRecord.ts';

/** What an instrument works on: a ticket's machine, or a kind of machine alone. */
export interface InstrumentBench {
  readonly model: FamilyModel;
  /** The machine's row and card, where it is known as one. */
  readonly machine: string | undefined;
  readonly card: MachineProfile | undefined;
  /** Its visits, as far as they are known here, and why where they are not. */
  readonly visits: readonly Visit[] | 'no-such-card' | 'no-rights' | 'not-read';
  /** Undefined when it was opened alone: then nothing is kept but the register. */
  readonly onTicket:
    | {
        readonly ticket: Ticket;
        readonly record: RecordEntry;
        readonly mayFind: boolean;
        readonly mayWork: boolean;
      }
    | undefined;
}

/** An instrument's name in addresses. */
export type InstrumentName = 'needle' | 'bobbin' | 'stitch' | 'tension' | 'sample';

/** Whether findings and measures can be kept here. */
export function mayKeep({ onTicket }: InstrumentBench): boolean {
  return onTicket?.mayFind === true && onTicket.ticket.status === 'open';
}

/** Whether something may be done to the machine here. */
export function mayDo(bench: InstrumentBench): boolean {
  return mayKeep(bench) && bench.onTicket?.mayWork === true;
}

/** How a check stands on the ticket; without one nothing was looked at. */
export function statusOf({ onTicket, model }: InstrumentBench, check: CheckId): CheckStatus {
  return onTicket ? checkStatus(onTicket.ticket, model, check) : 'not-yet';
}

/** Keeps a whole check on the ticket: what was seen, and not the others. False where the rules refuse it. */
export function keepLook(
  { onTicket, model }: InstrumentBench,
  check: CheckId,
  seen: readonly (FindingId | undefined)[],
): boolean {
  const known = model.checks.get(check);
  if (!onTicket || !known) return false;
  const answers = answersTo(known, new Set<string | undefined>(seen));
  return onTicket.record('findings-recorded', { check, answers });
}

/** Records what was done to the machine. False where the rules refuse it. */
export function keepAction({ onTicket }: InstrumentBench, action: ActionId): boolean {
  return onTicket?.record('action-done', { action }) === true;
}

/** A thread of middling width, where the thread in use is not known. */
const MIDDLING_THREAD = mm(0.2);

/** The thread that is sewn with, across. */
export function threadOn({ onTicket }: InstrumentBench): Millimetres {
  const work = onTicket?.ticket.life.work;
  return work ? threadAcross(work) : MIDDLING_THREAD;
}

/** Where the parts of an instrument are, for what it works on. */
export function instrumentRoot({ onTicket }: InstrumentBench, name: InstrumentName): string {
  return onTicket ? `/bench/${onTicket.ticket.id}/${name}` : `/${name}`;
}
