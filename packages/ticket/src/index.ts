export { type Assessment, assess } from './assessment/assess.ts';
export { caseSeat } from './assessment/caseSeat.ts';
export { checkStanding, type LookStanding, lookStanding } from './assessment/checkStatus.ts';
export { type ContestEffect, contestEffects } from './assessment/contests.ts';
export { gatesUnmet } from './assessment/gates.ts';
export { tablesOf } from './assessment/ticketModel.ts';
export { workLeftOn } from './assessment/workLeft.ts';
export { mayBeCorrected } from './events/entryCorrected.ts';
export {
  beginsTicket,
  type CommandOf,
  type Draft,
  draft,
  EVENT_TYPES,
  type EventType,
  newDraft,
  type TicketEvent,
  ticketEvent,
} from './events/index.ts';
export { applyTicketEvent, ticketOf } from './replay/apply.ts';
export { decide } from './replay/decide.ts';
export { type Entered, layer } from './replay/overlay.ts';
export { mayRecord, mayTakeIn, mayWorkAtBench } from './replay/rights.ts';
export {
  atTheClock,
  minutesWorked,
  SPOKEN,
  type Spoken,
  STANDINGS,
  type Standing,
  wasDeclined,
} from './state/life.ts';
export {
  type EarlierMark,
  type Mark,
  type MarkEndTold,
  mark,
  marksLeft,
  openMarks,
  partOf,
} from './state/marks.ts';
export {
  MOST_NEEDLES,
  type NeedleIn,
  needleIn,
  needleKind,
  type RegisterEntry,
  registerEntry,
  sewn,
} from './state/needleEntry.ts';
export { QUANTITIES, QUANTITY_IDS, type Quantity } from './state/quantities.ts';
export {
  COMPLAINT,
  changesOf,
  newTicket,
  repairsDone,
  reportedOn,
  stateEpoch,
  type Ticket,
} from './state/ticket.ts';
export {
  CASES,
  type CaseWhich,
  type Measure,
  type MeasureLimit,
  measure,
  partPut,
  setUpFound,
} from './state/values.ts';
export {
  finenessOf,
  type ThreadTold,
  threadAcross,
  threadLine,
  type WorkCommand,
  type WorkTold,
  workOf,
} from './state/work.ts';
export { type ForCustomer, forCustomer, toldToCustomer } from './views/customerView.ts';
export { type HandOver, handOverOf } from './views/handOver.ts';
export { moveOfTicket, standingUnder, type TicketStanding } from './views/knowledgeEffect.ts';
export { lateEntries } from './views/late.ts';
export { nextOnThePhone, type PhoneStep } from './views/nextOnThePhone.ts';
export {
  type NextStep,
  NOTHING_DEFERRED,
  nextStep,
  planTalk,
  planTicket,
  putOff,
} from './views/nextStep.ts';
export { resumeOf } from './views/resume.ts';
export { standingOf } from './views/stage.ts';
export {
  type RackEntry,
  rackEntry,
  summaryOf,
  type TicketSummary,
  ticketSummary,
} from './views/summary.ts';
