export { type Assessment, assess } from './assessment/assess.ts';
export { caseSeat } from './assessment/caseSeat.ts';
export { type CheckStatus, checkOutcome, checkStatus } from './assessment/checkStatus.ts';
export { type ContestEffect, contestEffects } from './assessment/contests.ts';
export { gatesUnmet } from './assessment/gates.ts';
export { IN_WORDS, type OwedSymptom } from './assessment/symptoms.ts';
export { modelOfTicket } from './assessment/ticketModel.ts';
export { workLeftOn } from './assessment/workLeft.ts';
export { mayBeCorrected } from './events/entryCorrected.ts';
export {
  beginsTicket,
  type CommandPayload,
  EVENT_TYPES,
  type EventType,
  presentEvent,
  type TicketCommand,
  type TicketEvent,
  ticketCommand,
  ticketEvent,
  upgraded,
} from './events/index.ts';
export { newCommand } from './events/newCommand.ts';
export { applyTicketEvent, foldTicket } from './replay/apply.ts';
export { byTicket } from './replay/byTicket.ts';
export { decide } from './replay/decide.ts';
export { type PendingCommand, pendingOverlay } from './replay/overlay.ts';
export { changesPlan } from './replay/planning.ts';
export { mayRecord, mayTakeIn, mayWorkAtBench } from './replay/rights.ts';
export type { RecordedEvent } from './state/envelope.ts';
export {
  atTheClock,
  dueOf,
  minutesWorked,
  overpaidOf,
  type PartAwaited,
  paidBy,
  SPOKEN,
  type Spoken,
  STAGES,
  type Stage,
  wasDeclined,
} from './state/life.ts';
export {
  type EarlierMark,
  type Mark,
  type MarkEnd,
  mark,
  marksLeft,
  openMarks,
  partOf,
} from './state/marks.ts';
export {
  HAND_TURNED,
  NEEDLE_REPLACED,
  PIECES_FOUND,
  POWER_OFF,
  POWER_ON,
} from './state/namedActions.ts';
export {
  MOST_NEEDLES,
  type NeedleIn,
  needleIn,
  needleKind,
  type RegisterEntry,
  registerEntry,
  sewn,
} from './state/needleEntry.ts';
export { allPiecesFound } from './state/pieces.ts';
export { QUANTITIES, QUANTITY_IDS, type Quantity } from './state/quantities.ts';
export {
  type KeptFace,
  type KeptSample,
  SAMPLE_FIGURES,
  SAMPLE_VALUES,
  type SampleValue,
} from './state/sample.ts';
export {
  changesOf,
  newTicket,
  repairsDone,
  reportedOn,
  SETTLED_BY_HAND,
  type SettledByHand,
  stateEpoch,
  type Ticket,
  WHY_NOT_TOLD,
  type WhyNotTold,
} from './state/ticket.ts';
export {
  BODY_COLOURS,
  type BodyColour,
  balanceValue,
  CALL_REASONS,
  CASES,
  type CallReason,
  type CaseWhich,
  type ClosingSheet,
  type Contact,
  type ContactOutcome,
  closingSheet,
  type Discount,
  dialNumber,
  discount,
  HOW_OFTEN,
  type KeptTry,
  type Measure,
  type MeasureLimit,
  measure,
  NEVER_COLLECTED,
  type NeverCollected,
  PAID_BY,
  PAYMENT_WAYS,
  type PaidBy,
  type PartPut,
  type Payment,
  type PaymentWay,
  partPut,
  payment,
  SEAM_KINDS,
  type SeamKind,
  SWING_PLACES,
  type SwingPlace,
  screwTotal,
  setUpFound,
  UNREPAIRED,
  type Unrepaired,
} from './state/values.ts';
export {
  finenessOf,
  type SewingWork,
  type ThreadSpec,
  threadAcross,
  threadLine,
  type WorkCommand,
  workOf,
} from './state/work.ts';
export { type ClosingProposal, closingProposal } from './views/closingProposal.ts';
export { type CustomerView, customerView, viewForCustomer } from './views/customerView.ts';
export { type HandOver, handOverOf } from './views/handOver.ts';
export { outlookShift, outlookUnder, type TicketOutlook } from './views/knowledgeEffect.ts';
export { lastAct } from './views/lastAct.ts';
export { lateEntries } from './views/late.ts';
export { type Milestone, milestonesOf } from './views/milestones.ts';
export { nextPhoneStep, type PhoneStep } from './views/nextOnThePhone.ts';
export {
  type Deferred,
  defer,
  type NextStep,
  NOTHING_DEFERRED,
  nextStep,
  planPhoneCall,
  planTicket,
} from './views/nextStep.ts';
export { resumeOf } from './views/resume.ts';
export { type Situation, situationOf } from './views/situation.ts';
export { stageOf } from './views/stage.ts';
export {
  type RackEntry,
  rackEntry,
  summaryOf,
  type TicketSummary,
  ticketSummary,
} from './views/summary.ts';
export { takingsOf } from './views/takings.ts';
