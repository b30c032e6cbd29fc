export { applyTicketEvent, ticketOf } from './apply.ts';
export { type Assessment, assess } from './assess.ts';
export { caseSeat } from './caseSeat.ts';
export { checkStanding, type LookStanding, lookStanding } from './checkStatus.ts';
export { type ContestEffect, contestEffects } from './contests.ts';
export { type ForCustomer, forCustomer, toldToCustomer } from './customerView.ts';
export { decide } from './decide.ts';
export { mayBeCorrected } from './events/entryCorrected.ts';
export {
  beginsTicket,
  type CommandOf,
  type Draft,
  draft,
  EVENT_TYPES,
  type EventType,
  type TicketEvent,
  ticketEvent,
} from './events/index.ts';
export { gatesUnmet } from './gates.ts';
export { type HandOver, handOverOf } from './handOver.ts';
export { moveOfTicket, standingUnder, type TicketStanding } from './knowledgeEffect.ts';
export { lateEntries } from './late.ts';
export {
  atTheClock,
  minutesWorked,
  SPOKEN,
  type Spoken,
  STANDINGS,
  type Standing,
  wasDeclined,
} from './life.ts';
export {
  type EarlierMark,
  type Mark,
  type MarkEndTold,
  mark,
  marksLeft,
  openMarks,
  partOf,
} from './marks.ts';
export {
  MOST_NEEDLES,
  type NeedleIn,
  needleIn,
  needleKind,
  type RegisterEntry,
  registerEntry,
  sewn,
} from './needleEntry.ts';
export { nextOnThePhone, type PhoneStep } from './nextOnThePhone.ts';
export {
  type NextStep,
  NOTHING_DEFERRED,
  nextStep,
  planTalk,
  planTicket,
  putOff,
} from './nextStep.ts';
export { type Entered, layer } from './overlay.ts';
export { QUANTITIES, QUANTITY_IDS, type Quantity } from './quantities.ts';
export { resumeOf } from './resume.ts';
export { mayRecord, mayTakeIn, mayWorkAtBench } from './rights.ts';
export { standingOf } from './stage.ts';
export { type RackEntry, rackEntry, summaryOf, type TicketSummary } from './summary.ts';
export {
  COMPLAINT,
  changesOf,
  newTicket,
  repairsDone,
  reportedOn,
  stateEpoch,
  type Ticket,
} from './ticket.ts';
export { tablesOf } from './ticketModel.ts';
export {
  CASES,
  type CaseWhich,
  type Measure,
  type MeasureLimit,
  measure,
  partPut,
  setUpFound,
} from './values.ts';
export {
  finenessOf,
  type ThreadTold,
  threadAcross,
  threadLine,
  type WorkCommand,
  type WorkTold,
  workOf,
} from './work.ts';
export { workLeftOn } from './workLeft.ts';
