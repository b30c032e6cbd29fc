export {
  type BobbinRoom,
  bobbinLasts,
  bobbinMetres,
  metresLeft,
  WINDING_PACKING,
} from './bobbin/capacity.ts';
export {
  type GramForce,
  gramForce,
  type HangingErrors,
  type HangingTension,
  type HangingTest,
  hangingTension,
  USUAL_HANGING_ERRORS,
} from './bobbin/hanging.ts';
export { type GaugeSample, type Pull, pullOf } from './bobbin/pull.ts';
export {
  type ClockMinutes,
  clockMinutes,
  DEGREES_A_CLOCK_MINUTE,
  MOST_AT_A_TIME,
  MOST_IN_ALL,
  SCREW_STEP,
  type ScrewStand,
  screwStand,
} from './bobbin/screw.ts';
export {
  type GapFit,
  type StopGap,
  type StopGapReading,
  stopGapReading,
} from './bobbin/stopGap.ts';
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
export { CoreFault, whereValid } from './errors/coreError.ts';
export {
  apart,
  type ClockPlace,
  type DiscPoint,
  type Hour,
  hourOf,
  ONE_PLACE,
  placeOn,
  pointOn,
  sameAs,
} from './marks/clockPlace.ts';
export { agree, type Lean, leanOf } from './marks/lean.ts';
export {
  GROOVE_SHARE,
  grooveShare,
  SOLD_SIZES,
  sizesForThread,
  soldBetween,
} from './needle/groove.ts';
export { accountForPieces, PIECES_TOLERANCE, type PiecesAccount } from './needle/pieces.ts';
export {
  type HookMeeting,
  type NeedleSeat,
  SEATED,
  type SeatEffect,
  seatEffect,
  USUAL_MEETING,
} from './needle/seat.ts';
export { bladeDiameter, type NeedleSize, needleSize, SIZE_PAIRS, sizeName } from './needle/size.ts';
export { BLADE_LENGTH, stiffnessAgainst, tipDeflection } from './needle/stiffness.ts';
export {
  type NeedleDue,
  needleDue,
  SEWN_AS,
  type SewingHabit,
  type SewnAs,
  sewnAs,
  stitchesSewn,
} from './needle/wear.ts';
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
export { ellipticE, ellipticF } from './stitch/elliptic.ts';
export { type Loop, type LoopSet, needleLoop } from './stitch/loop.ts';
export { type BarDrive, barHeight, turnForLift, USUAL_BAR_DRIVE } from './stitch/needleBar.ts';
export { DRAWN_DOWN, eyePasses, stitchLength, threadPerStitch } from './stitch/threadDemand.ts';
export {
  FIBRE_DENSITY,
  FIBRES,
  type Fibre,
  PACKING,
  texOfDiameter,
  threadDiameter,
} from './thread/diameter.ts';
export {
  countsPlies,
  FINENESS_UNITS,
  type Fineness,
  type FinenessUnit,
  numberIn,
  texByWeight,
  texOf,
} from './thread/fineness.ts';
export { type Minutes, minutes } from './units/minutes.ts';
export {
  type Degrees,
  degrees,
  type Millimetres,
  mm,
  type Stitches,
  stitches,
  type Tex,
  tex,
} from './units/quantities.ts';
