import type { Actor } from '@nodo/kernel';
import { COMPLAINT, type OftenTold, type OwnCause, type PlanPolicy } from '@nodo/knowledge';
import type { ClosingSnapshot } from './closingSnapshot.ts';
import type { RecordedEvent } from './envelope.ts';
import { type Life, NEW_LIFE } from './life.ts';
import type { BodyColour, Unrepaired } from './values.ts';

export interface Intake {
  readonly family: string;
  readonly label: string;
  /** Number on the shelf tag; undefined as long as the machine is not in the shop. */
  readonly tag: number | undefined;
  readonly shelf: string;
  readonly words: string;
  readonly customer: string | undefined;
  /** What it has otherwise than its family; undefined when nothing. */
  readonly traits: readonly string[] | undefined;
  /** Of its body; undefined where nobody asked. */
  readonly colour: BodyColour | undefined;
}

/** A part that came off, or went on again. */
export interface AccessChange {
  readonly state: string;
  readonly epoch: number;
  readonly seq: number;
}

/** One person's answer to one finding. */
export interface Answer {
  readonly finding: string;
  readonly check: string;
  readonly present: boolean;
  readonly epoch: number;
  readonly by: Actor;
  readonly seq: number;
  /** Minutes sewn, of what was seen while sewing; as long as the check takes when left out. */
  readonly sewnMinutes?: number;
  /** Sewn on the customer's own work, as it failed. */
  readonly onTheWork?: boolean;
}

/** Ways in which a person settles a symptom that was not sewn away. */
export const SETTLED_BY_HAND = ['explained', 'left', 'put-aside'] as const;
export type SettledByHand = (typeof SETTLED_BY_HAND)[number];

/** Why a check gave no answer. */
export const WHY_NOT_TOLD = ['no-tool', 'part-away', 'not-sure'] as const;
export type WhyNotTold = (typeof WHY_NOT_TOLD)[number];

/** A check that was tried and gave no answer. */
export interface NotTold {
  readonly check: string;
  readonly why: WhyNotTold | undefined;
  readonly epoch: number;
  readonly seq: number;
}

/** What a person decided about a symptom. */
export interface SettledSymptom {
  /** Id of the symptom; `words` for a complaint that was given in words alone. */
  readonly symptom: string;
  readonly how: SettledByHand;
  readonly reason: string;
  readonly by: Actor;
  readonly epoch: number;
  readonly seq: number;
}

/** One look: which check, whether all of its findings were answered, whether none was seen. */
export interface Look {
  readonly check: string;
  readonly complete: boolean;
  readonly normal: boolean;
  readonly epoch: number;
  readonly seq: number;
}

export interface PerformedAction {
  readonly action: string;
  readonly treats: readonly string[];
  readonly repair: boolean;
  /** The epoch that began with it; undefined when it treats nothing and so ends none. */
  readonly startsEpoch: number | undefined;
  readonly epoch: number;
  readonly seq: number;
}

/** What a customer did on the telephone; a proof at the bench is not owed for it. */
export interface CustomerTreatment {
  readonly treats: readonly string[];
  readonly startsEpoch: number;
  readonly epoch: number;
  readonly seq: number;
}

export interface Waiver {
  readonly duty: string;
  readonly reason: string;
  readonly by: Actor;
  readonly epoch: number;
  readonly seq: number;
}

/**
 * A ticket as its events tell it. `entries` are all of them in order; everything else
 * leaves out what was corrected.
 */
export interface Ticket {
  readonly id: string;
  /** Place of the last event; 0 before the first. */
  readonly seq: number;
  readonly entries: readonly RecordedEvent[];
  /** Ids of events that a later entry takes back. */
  readonly corrected: ReadonlySet<string>;
  readonly status: 'new' | 'open' | 'closed' | 'collected';
  readonly intake: Intake | undefined;
  /** Hash of the tables that the ticket is judged with; undefined before it is taken in. */
  readonly knowledge: string | undefined;
  readonly plan: PlanPolicy;
  /** Treating actions so far, those corrected since among them. */
  readonly epoch: number;
  /** Epochs whose beginning was corrected: the machine was the same before and in them. */
  readonly voidEpochs: readonly number[];
  readonly answers: readonly Answer[];
  readonly looks: readonly Look[];
  /** Checks that gave no answer, with the reason where one was given. */
  readonly unanswerable: readonly NotTold[];
  /** Causes that the tables do not have, found on this machine. */
  readonly ownCauses: readonly OwnCause[];
  readonly performedActions: readonly PerformedAction[];
  readonly customerTreatments: readonly CustomerTreatment[];
  /** How the telephone call ended. */
  readonly call: 'solved' | 'bring-in' | 'stop' | undefined;
  readonly opened: readonly AccessChange[];
  /** What was put on again. */
  readonly closedUp: readonly AccessChange[];
  /** What is off the machine now. */
  readonly open: ReadonlySet<string>;
  /** Taken as plugged in until somebody says otherwise. */
  readonly power: 'on' | 'off';
  readonly waivers: readonly Waiver[];
  /** How often symptoms show, as the customer says. */
  readonly often: OftenTold;
  readonly settledSymptoms: readonly SettledSymptom[];
  readonly closing:
    | {
        readonly snapshot: ClosingSnapshot;
        readonly seq: number;
        /** Why it goes back as it came; undefined where it was repaired. */
        readonly unrepaired: Unrepaired | undefined;
      }
    | undefined;
  /** Money, time, waiting, promises. */
  readonly life: Life;
}

export function newTicket(id: string): Ticket {
  return {
    id,
    seq: 0,
    entries: [],
    corrected: new Set(),
    status: 'new',
    intake: undefined,
    knowledge: undefined,
    plan: 'per-minute',
    epoch: 0,
    voidEpochs: [],
    answers: [],
    looks: [],
    unanswerable: [],
    ownCauses: [],
    performedActions: [],
    customerTreatments: [],
    call: undefined,
    opened: [],
    closedUp: [],
    open: new Set(),
    power: 'on',
    waivers: [],
    often: {},
    settledSymptoms: [],
    closing: undefined,
    life: NEW_LIFE,
  };
}

/** Epochs counted without those whose beginning was corrected: one number per state. */
export function stateEpoch(ticket: Ticket, epoch: number): number {
  return epoch - ticket.voidEpochs.filter((corrected) => corrected <= epoch).length;
}

/** An epoch whose beginning was corrected: the number stays, later entries name it. */
export function withVoidEpoch(ticket: Ticket): Ticket {
  const epoch = ticket.epoch + 1;
  return { ...ticket, epoch, voidEpochs: [...ticket.voidEpochs, epoch] };
}

/** What changed the machine and so began an epoch, at the bench or at its owner's, in order. */
export function changesOf({
  performedActions,
  customerTreatments,
}: Ticket): readonly CustomerTreatment[] {
  return [...performedActions, ...customerTreatments]
    .flatMap(({ startsEpoch, ...change }) =>
      startsEpoch === undefined ? [] : [{ ...change, startsEpoch }],
    )
    .sort((a, b) => a.seq - b.seq);
}

/** Actions by which it was repaired, each once, in the order of the first time. */
export function repairsDone({ performedActions }: Ticket): readonly string[] {
  return [...new Set(performedActions.filter(({ repair }) => repair).map(({ action }) => action))];
}

/** What the customer ever reported, in the order of reporting. */
export function reportedOn({ answers }: Ticket): readonly string[] {
  const reported = answers.filter(({ check, present }) => check === COMPLAINT && present);
  return [...new Set(reported.map(({ finding }) => finding))];
}
