import { type MachineCard, type Session, type Ticket, threadAcross } from '@nodo/contract';
import { type Millimetres, mm } from '@nodo/core';
import type { FamilyModel } from '@nodo/knowledge';
import type { RecordEntry } from '../bench/useRecord.ts';

/** What an instrument works on: a ticket's machine, or a kind of machine alone. */
export interface InstrumentBench {
  readonly session: Session;
  readonly model: FamilyModel;
  /** The machine's row and card, where it is known as one. */
  readonly machine: string | undefined;
  readonly card: MachineCard | undefined;
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

/** Whether findings and measures can be kept here. */
export function mayKeep({ onTicket }: InstrumentBench): boolean {
  return onTicket?.mayFind === true && onTicket.ticket.status === 'open';
}

/** Whether something may be done to the machine here. */
export function mayDo(bench: InstrumentBench): boolean {
  return mayKeep(bench) && bench.onTicket?.mayWork === true;
}

/** A thread of middling width, where nobody told which one is sewn with. */
const MIDDLING_THREAD = mm(0.2);

/** The thread that is sewn with, across. */
export function threadOn({ onTicket }: InstrumentBench): Millimetres {
  const work = onTicket?.ticket.life.work;
  return work ? threadAcross(work) : MIDDLING_THREAD;
}
