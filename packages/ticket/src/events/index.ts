import { counter, humanText, instant, sha256, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { type Envelope, envelope, type RecordedEvent } from '../state/envelope.ts';
import { actionDone } from './actionDone.ts';
import { billMade } from './billMade.ts';
import { callEnded } from './callEnded.ts';
import { callTaken } from './callTaken.ts';
import { cameBack } from './cameBack.ts';
import { clockStarted } from './clockStarted.ts';
import { clockStopped } from './clockStopped.ts';
import { closingNoted } from './closingNoted.ts';
import { contactTried } from './contactTried.ts';
import { couldNotTell } from './couldNotTell.ts';
import { customerDid } from './customerDid.ts';
import { customerTold } from './customerTold.ts';
import { dayPromised } from './dayPromised.ts';
import type { EventKind } from './define.ts';
import { dutyWaived } from './dutyWaived.ts';
import { entryCorrected } from './entryCorrected.ts';
import { findingsRecorded } from './findingsRecorded.ts';
import { handedOver } from './handedOver.ts';
import { howOftenTold } from './howOftenTold.ts';
import { inspectionAgreed } from './inspectionAgreed.ts';
import { intakeTaken } from './intakeTaken.ts';
import { jobPinned } from './jobPinned.ts';
import { knowledgeAdopted } from './knowledgeAdopted.ts';
import { labourBooked } from './labourBooked.ts';
import { limitAgreed } from './limitAgreed.ts';
import { machineArrived } from './machineArrived.ts';
import { machineClosed } from './machineClosed.ts';
import { machineCollected } from './machineCollected.ts';
import { machineKnown } from './machineKnown.ts';
import { machineOpened } from './machineOpened.ts';
import { markEnded } from './markEnded.ts';
import { markFound } from './markFound.ts';
import { measured } from './measured.ts';
import { needleFitted } from './needleFitted.ts';
import { observationNoted } from './observationNoted.ts';
import { ownCauseFound } from './ownCauseFound.ts';
import { partAwaited } from './partAwaited.ts';
import { partCame } from './partCame.ts';
import { partFitted } from './partFitted.ts';
import { paymentReturned } from './paymentReturned.ts';
import { paymentTaken } from './paymentTaken.ts';
import { photoKept } from './photoKept.ts';
import { piecesLaid } from './piecesLaid.ts';
import { placed } from './placed.ts';
import { planChosen } from './planChosen.ts';
import { priceAnswered } from './priceAnswered.ts';
import { priceAsked } from './priceAsked.ts';
import { sampleRead } from './sampleRead.ts';
import { screwTurned } from './screwTurned.ts';
import { setUpNoted } from './setUpNoted.ts';
import { signed } from './signed.ts';
import { symptomSettled } from './symptomSettled.ts';
import { tensionTried } from './tensionTried.ts';
import { ticketClosed } from './ticketClosed.ts';
import { ticketReopened } from './ticketReopened.ts';
import { upgradedBody } from './upgrade.ts';
import { workTold } from './workTold.ts';

/** Every kind of ticket event, one file each: the table of contents of a ticket's life. */
const EVENT_KINDS = {
  'intake-taken': intakeTaken,
  'call-taken': callTaken,
  'customer-did': customerDid,
  'call-ended': callEnded,
  'machine-arrived': machineArrived,
  'findings-recorded': findingsRecorded,
  'could-not-tell': couldNotTell,
  'observation-noted': observationNoted,
  'photo-kept': photoKept,
  'own-cause-found': ownCauseFound,
  'action-done': actionDone,
  'machine-opened': machineOpened,
  'machine-closed': machineClosed,
  'plan-chosen': planChosen,
  'duty-waived': dutyWaived,
  'how-often-told': howOftenTold,
  'symptom-settled': symptomSettled,
  'entry-corrected': entryCorrected,
  'ticket-closed': ticketClosed,
  'ticket-reopened': ticketReopened,
  'machine-collected': machineCollected,
  'knowledge-adopted': knowledgeAdopted,
  'handed-over': handedOver,
  'job-pinned': jobPinned,
  'limit-agreed': limitAgreed,
  'inspection-agreed': inspectionAgreed,
  'price-asked': priceAsked,
  'price-answered': priceAnswered,
  'part-awaited': partAwaited,
  'part-came': partCame,
  'part-fitted': partFitted,
  'clock-started': clockStarted,
  'clock-stopped': clockStopped,
  'labour-booked': labourBooked,
  'day-promised': dayPromised,
  'set-up-noted': setUpNoted,
  measured: measured,
  'needle-fitted': needleFitted,
  'work-told': workTold,
  'pieces-laid': piecesLaid,
  'screw-turned': screwTurned,
  'tension-tried': tensionTried,
  'sample-read': sampleRead,
  'mark-found': markFound,
  'mark-ended': markEnded,
  signed: signed,
  'bill-made': billMade,
  'closing-noted': closingNoted,
  'payment-taken': paymentTaken,
  'payment-returned': paymentReturned,
  'customer-told': customerTold,
  'contact-tried': contactTried,
  'came-back': cameBack,
  'machine-known': machineKnown,
  placed: placed,
} as const;

type Kinds = typeof EVENT_KINDS;
export type EventType = keyof Kinds;
export type CommandPayload<Type extends EventType> = z.infer<Kinds[Type]['command']>;
export type BodyOf<Type extends EventType> = z.infer<Kinds[Type]['body']>;

/** A stored event of a known kind. */
export type TicketEvent = {
  [Type in EventType]: Envelope & { readonly type: Type; readonly body: BodyOf<Type> };
}[EventType];

/** What a client sends: its own id, so that sending twice is safe. */
export type TicketCommand = {
  [Type in EventType]: {
    readonly id: string;
    readonly type: Type;
    readonly command: CommandPayload<Type>;
    readonly epoch: number;
    readonly observedAt: string;
    readonly device: string;
    /** Who made it, where that is not who stands at the screen when it is sent. */
    readonly by?: string | undefined;
    /** Shows that it is theirs: an HMAC by a key that only they have. */
    readonly proof?: string | undefined;
  };
}[EventType];

export const EVENT_TYPES = Object.keys(EVENT_KINDS) as [EventType, ...EventType[]];

/** Any kind, its command and body seen as plain objects: for code that treats all alike. */
export function kindOf(type: EventType): EventKind<object, object> {
  return EVENT_KINDS[type];
}

const commandEnvelope = z.object({
  id: uuid,
  epoch: counter,
  observedAt: instant,
  device: humanText(64),
  by: uuid.optional(),
  proof: sha256.optional(),
});

/** One schema for each kind; the discriminator picks it, so what stands beside `type` fits it. */
function oneOf<Variant extends z.core.$ZodTypeDiscriminable>(of: (type: EventType) => Variant) {
  const [first, ...others] = EVENT_TYPES;
  return z.discriminatedUnion('type', [of(first), ...others.map(of)]);
}

export const ticketCommand = oneOf((type) =>
  commandEnvelope.extend({ type: z.literal(type), command: kindOf(type).command }),
).transform((checked) => checked as TicketCommand);

/** An entry in its present form, as it is handed out. */
export const presentEvent = oneOf((type) =>
  envelope.extend({ type: z.literal(type), body: kindOf(type).body }),
);

export const ticketEvent = z.preprocess(
  (stored) => (isOlder(stored) ? upgraded(stored as RecordedEvent) : stored),
  presentEvent.transform((checked) => checked as TicketEvent),
);

function isOlder(stored: unknown): boolean {
  const { data } = recorded.safeParse(stored);
  return data !== undefined && data.version < kindOf(data.type).version;
}

/** As much of an event as its upgrade needs. */
const recorded = z.looseObject({
  type: z.enum(EVENT_TYPES),
  version: z.number().int().positive(),
  body: z.looseObject({}),
});

/**
 * A stored event with its body as the present version of its kind writes it.
 * @throws CoreError `event-of-newer-version`
 */
export function upgraded(stored: RecordedEvent): TicketEvent {
  const kind = kindOf(stored.type as EventType);
  const body = upgradedBody(kind, stored);
  return { ...stored, version: kind.version, body } as TicketEvent;
}

/** Whether it is one of those that only a new ticket begins with. */
export function beginsTicket<One extends { readonly type: EventType }>(
  one: One,
): one is Extract<One, { readonly type: 'intake-taken' | 'call-taken' }> {
  return one.type === 'intake-taken' || one.type === 'call-taken';
}
