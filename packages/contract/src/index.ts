export { REFUSAL_CODES, type Refusal, type RefusalCode, refusal, refuse } from './refusal.ts';
export { type Actor, EVERY_ROLE, type Role } from './roles.ts';
export type { CustomerFile, MachineFile, MachineSheet, Visit } from './routes/customers.ts';
export type { Endpoint } from './routes/endpoint.ts';
export { ENDPOINTS, type EndpointName } from './routes/index.ts';
export type { CustomerLink } from './routes/links.ts';
export { type LiveFrame, type Looker, liveFrame } from './routes/live.ts';
export type { NeedleFile } from './routes/needles.ts';
export { PAPERS, type Paper } from './routes/papers.ts';
export type {
  Account,
  Audited,
  AuditLine,
  AuditPage,
  HandedCode,
  Reach,
  Screen,
} from './routes/people.ts';
export type { Hit } from './routes/search.ts';
export type { Person, Session } from './routes/session.ts';
export type { ShopSheet } from './routes/shop.ts';
export type { Candidate } from './routes/tables.ts';
export type { Customer, NewMachine, TicketFile } from './routes/tickets.ts';
export {
  type CustomerCard,
  customerCard,
  type DaysOff,
  MACHINE_FACTS,
  type MachineCard,
  type MachineFact,
  machineCard,
  type ServiceValue,
  type ShopCard,
  shopCard,
  type WorkingTime,
} from './shop/cards.ts';
export { dayAfter, daysBetween, weekdayOf } from './shop/days.ts';
export { type Absence, absenceOn, type WallClock, workingTimeOf } from './shop/hours.ts';
export {
  inTimeOrder,
  type NeedleRegister,
  needleLine,
  needlePlace,
  type OpenedNeedle,
  registerOf,
} from './shop/needles.ts';
export { NEW_SHOP_CARD, newCustomerCard, newMachineCard, USUAL_TIME } from './shop/newCards.ts';
export {
  type DayOffer,
  type OrderReason,
  offersFor,
  type Planned,
  planShop,
  type ShopPlan,
  type Workshop,
} from './shop/promise.ts';
export { QUANTITIES, QUANTITY_IDS, type Quantity } from './shop/quantities.ts';
export {
  decideTables,
  presentEdition,
  refusalOfChange,
  type TableVerdict,
} from './tables/decideTables.ts';
export {
  changesInForce,
  deskAfter,
  deskOf,
  type Hand,
  type Proposal,
  type TablesDesk,
} from './tables/desk.ts';
export { moveOfTicket, standingUnder, type TicketStanding } from './tables/effect.ts';
export type { TableDraft, TableEvent } from './tables/events.ts';
export { applyTicketEvent, ticketOf } from './tickets/apply.ts';
export { type Assessment, assess } from './tickets/assess.ts';
export { caseSeat } from './tickets/caseSeat.ts';
export { type ContestEffect, contestEffects } from './tickets/contests.ts';
export { type DecidedEvent, decide, type Verdict } from './tickets/decide.ts';
export { mayBeCorrected } from './tickets/events/entryCorrected.ts';
export {
  type BodyOf,
  beginsTicket,
  type CommandOf,
  type Draft,
  draft,
  EVENT_TYPES,
  type EventType,
  type TicketEvent,
  ticketEvent,
} from './tickets/events/index.ts';
export { type ForCustomer, toldToCustomer } from './tickets/forCustomer.ts';
export { gatesUnmet } from './tickets/gates.ts';
export { type HandOver, handOverOf } from './tickets/handOver.ts';
export { lateEntries } from './tickets/late.ts';
export { type Entered, layer } from './tickets/lay.ts';
export {
  agreedPrice,
  atTheClock,
  type Life,
  minutesWorked,
  SPOKEN,
  type Spoken,
  STANDINGS,
  type Standing,
  wasDeclined,
} from './tickets/life.ts';
export {
  type EarlierMark,
  type Mark,
  type MarkEndTold,
  type MarkedVisit,
  marksLeft,
  openMarks,
  partOf,
} from './tickets/marks.ts';
export { MOST_NEEDLES, type NeedleIn, type RegisterEntry } from './tickets/needleEntry.ts';
export { nextOnThePhone, type PhoneStep } from './tickets/nextOnThePhone.ts';
export {
  type Deferred,
  type NextStep,
  NOTHING_DEFERRED,
  nextStep,
  planTalk,
  planTicket,
  putOff,
} from './tickets/nextStep.ts';
export {
  CASES,
  type CaseWhich,
  type Measure,
  type MeasureLimit,
  type ScrewLog,
} from './tickets/noted.ts';
export type { Contest } from './tickets/readings.ts';
export { type Resume, resumeOf } from './tickets/resume.ts';
export { mayRecord, mayTakeIn, mayWorkAtBench } from './tickets/rights.ts';
export { checkStanding, type LookStanding, lookStanding } from './tickets/standing.ts';
export { standingOf } from './tickets/standingOf.ts';
export type { RackEntry, TicketSummary } from './tickets/summary.ts';
export { summaryOf } from './tickets/summary.ts';
export { tablesOf } from './tickets/tables.ts';
export {
  COMPLAINT,
  changesOf,
  newTicket,
  repairsDone,
  reportedOn,
  stateEpoch,
  type Ticket,
} from './tickets/ticket.ts';
export {
  finenessOf,
  type ThreadTold,
  threadAcross,
  threadLine,
  type WorkCommand,
  type WorkTold,
  workOf,
} from './tickets/work.ts';
export { workLeftOn } from './tickets/workLeft.ts';
