export { normalTail } from './chance/normal.ts';
export { seeded } from './chance/seeded.ts';
export {
  type AccessState,
  machineMinutes,
  openingChain,
  type StepDemand,
} from './diagnosis/access.ts';
export {
  type Attempt,
  type CureProposal,
  type CureStakes,
  rankForCure,
} from './diagnosis/cure.ts';
export {
  assessDuties,
  type DutyFact,
  type DutyRule,
  type DutyStatus,
  type Requirement,
  unmetRequirements,
} from './diagnosis/duties.ts';
export {
  type Evidence,
  type Reading,
  TREATMENT_SUCCESS,
  type Treatment,
} from './diagnosis/evidence.ts';
export {
  type ChanceBand,
  chanceBand,
  type FindingWeight,
  type Unexplained,
  unexplainedReadings,
  type WeightBand,
  weighFindings,
  weightBand,
} from './diagnosis/explain.ts';
export {
  buildNetwork,
  type Network,
  type NetworkCause,
  type NetworkFinding,
  type NetworkLink,
  strengthOf,
} from './diagnosis/network.ts';
export {
  type CheckCandidate,
  type CheckProposal,
  informationOf,
  perMinute,
  rankChecks,
} from './diagnosis/nextCheck.ts';
export { asTheyAre, type Outcome, outcomesOf, type Question } from './diagnosis/outcomes.ts';
export {
  type CauseBelief,
  comebackRisk,
  type Posterior,
  posterior,
  quietOf,
} from './diagnosis/posterior.ts';
export { MAX_SHARED_POSITIVES, Reckoner } from './diagnosis/reckoner.ts';
export { expectedRepairMinutes, repairOrder } from './diagnosis/repairCost.ts';
export { drawStates, presentIn, type States, statesOf } from './diagnosis/states.ts';
export type { Trial, TrialQuestion } from './diagnosis/trial.ts';
export { type Suspect, type WorkLeft, workLeft } from './diagnosis/workLeft.ts';
export { type Stakes, Worth } from './diagnosis/worth.ts';
export { CoreFault } from './fault.ts';
export {
  type Bill,
  billOf,
  type Money,
  money,
  type PricedPart,
  type Rates,
} from './price/bill.ts';
export {
  type Bench,
  bench,
  doneAt,
  type Job,
  type Stretch,
  workUntil,
} from './schedule/benches.ts';
export { cheapestAssignment, leastWeightedLateness } from './schedule/bound.ts';
export { bestPlan, MOST_EXACT, type Objective, type Plan } from './schedule/exact.ts';
export { type Order, orderByDue } from './schedule/order.ts';
export {
  type Outlook,
  outlookOf,
  type PromiseOffer,
  promisesFor,
  SURE_OF_PROMISE,
} from './schedule/promise.ts';
export { type Minutes, minutes } from './units/minutes.ts';
