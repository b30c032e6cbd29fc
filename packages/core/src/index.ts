export { bobbinLasts, bobbinMetres, metresLeft } from './bobbin/capacity.ts';
export { gramForce, type HangingTension, hangingTension } from './bobbin/hanging.ts';
export { type GaugeSample, type Pull, pullOf } from './bobbin/pull.ts';
export { clockMinutes, SCREW_STEP, screwStand } from './bobbin/screw.ts';
export { type StopGapReading, stopGapReading } from './bobbin/stopGap.ts';
export { normalTail } from './chance/normal.ts';
export { seeded } from './chance/seeded.ts';
export { type AccessState, machineMinutes, openingChain } from './diagnosis/access.ts';
export { type CureProposal, rankForCure } from './diagnosis/cure.ts';
export { drawStates } from './diagnosis/draws.ts';
export {
  assessDuties,
  type DutyFact,
  type DutyRule,
  type DutyStatus,
  type Requirement,
} from './diagnosis/duties.ts';
export {
  type Evidence,
  type HowOften,
  type Observation,
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
export { buildNetwork, type Network, strengthOf, unknownFaultOf } from './diagnosis/network.ts';
export {
  type CheckCandidate,
  type CheckProposal,
  perMinute,
  rankChecks,
} from './diagnosis/nextCheck.ts';
export {
  asTheyAre,
  type Outcome,
  OutcomeWalk,
  type Question,
  type SightQuestion,
} from './diagnosis/outcomes.ts';
export { type CauseBelief, comebackRisk, posterior } from './diagnosis/posterior.ts';
export { MAX_SHARED_POSITIVES, PosteriorEngine } from './diagnosis/posteriorEngine.ts';
export { MOST_PROOF_MINUTES, type Proof, proofNeeded, RISK_LIMIT } from './diagnosis/proof.ts';
export {
  LEAST_TRIED,
  type Left,
  type PlannedRemedy,
  type Remedy,
  RemedyOrder,
  type Stakes,
} from './diagnosis/remedies.ts';
export { observationsOfSewing, type Sewing } from './diagnosis/sewing.ts';
export { type States, statesOf } from './diagnosis/states.ts';
export {
  reportedSymptoms,
  SEWING_LEAK,
  type SewnAmount,
  visibilityOf,
} from './diagnosis/symptoms.ts';
export { type Suspect, type WorkLeft, workLeft } from './diagnosis/workLeft.ts';
export { CoreError, whereValid } from './errors/coreError.ts';
export {
  type Adjustment,
  adjusted,
  forms,
  isMet,
  leastAdjustments,
  SETTINGS,
  type Setting,
  type SettingMinutes,
  type StitchSetup,
  spareOf,
} from './forming/adjusting.ts';
export {
  EVEN_RATIO,
  gaugedKnot,
  KNOT_SHARPNESS,
  type Knot,
  knotOf,
  showsOn,
} from './forming/balance.ts';
export {
  type Blade,
  clearances,
  OBSTACLES,
  type Obstacle,
  type Surroundings,
  widestSwing,
} from './forming/clearance.ts';
export { type StitchFormer, USUAL_FORMER } from './forming/former.ts';
export {
  type Hook,
  type HookMotion,
  type HookState,
  hookAt,
  type PointPlace,
  passesLater,
  pointAt,
} from './forming/hook.ts';
export { loopAt, meetingAt, meetingsOf, type SwingMeeting, swingsOf } from './forming/meeting.ts';
export { type BarState, barAt, type NeedleBar, shaftAtLift } from './forming/needleBar.ts';
export {
  type Deviation,
  isWithin,
  MEETING_READINGS,
  type MeetingReading,
  type MeetingTargets,
  type SwingReading,
  type Target,
  type TimingVerdict,
  targetsAt,
  timingVerdict,
} from './forming/readings.ts';
export {
  type MeetingFigures,
  STRAND_PARTS,
  STRAND_VALUES,
  type StitchScene,
  type SwingScene,
  sceneOf,
} from './forming/scene.ts';
export {
  type TakeUp,
  type TakeUpState,
  takeUpAt,
  USUAL_TAKE_UP,
} from './forming/takeUp.ts';
export {
  hookCircuit,
  leftBelow,
  TOP_THREADS,
  type TopThread,
  type Turn,
  type TurnSet,
  turnOf,
  USUAL_TURN,
} from './forming/turn.ts';
export { aroundDisc, type Point } from './linkage/aroundDisc.ts';
export {
  assertCranks,
  type FourBar,
  type FourBarState,
  fourBarAt,
  type Turning,
} from './linkage/fourBar.ts';
export {
  assertTurns,
  type SliderCrank,
  type SliderState,
  sliderAt,
} from './linkage/sliderCrank.ts';
export {
  apart,
  type ClockPlace,
  type Hour,
  hourOf,
  ONE_PLACE,
  placeOn,
  pointOn,
  sameAs,
} from './marks/clockPlace.ts';
export { agree, type Lean, leanOf } from './marks/lean.ts';
export { cantilever, type Deflected } from './needle/deflection.ts';
export {
  GROOVE_SHARE,
  grooveShare,
  OPENING_SHARE,
  SOLD_SIZES,
  sizesForThread,
  type ThreadInNeedle,
  threadInNeedle,
} from './needle/groove.ts';
export { accountForPieces, type PiecesAccount } from './needle/pieces.ts';
export {
  type HookMeeting,
  type NeedleSeat,
  pointFromScarf,
  SEATED,
  SET_TO_BLADE,
  type SeatEffect,
  scarfDepthOf,
  seatEffect,
  USUAL_MEETING,
} from './needle/seat.ts';
export { type NeedleSize, needleSize, sizeName } from './needle/size.ts';
export { stiffnessAgainst, tipDeflection } from './needle/stiffness.ts';
export {
  type NeedleDue,
  needleDue,
  SEWN_AS,
  type SewingHabit,
  type SewnAs,
  sewnAs,
  stitchesSewn,
} from './needle/wear.ts';
export { type Bill, billOf, money, type Rates } from './price/bill.ts';
export { type SampleBalance, sampleBalance } from './sample/balance.ts';
export { agreedFaces } from './sample/bothFaces.ts';
export { CARD } from './sample/card.ts';
export {
  fisherChance,
  measureAgain,
  skipsAgain,
  type TurningPart,
  turnsAfter,
} from './sample/everyNth.ts';
export { asSeenOn, type LooseLoop, type LooseThread, looseThread } from './sample/looseThread.ts';
export type { Picture } from './sample/picture.ts';
export {
  type PictureReading,
  type PointedAt,
  readPicture,
  readSampleField,
  sampleField,
} from './sample/readPicture.ts';
export { type SeamMeasures, seamMeasures } from './sample/readSample.ts';
export type { SampleRefusal } from './sample/refusal.ts';
export { type MadeUpSample, madeUpSample } from './sample/render/madeUpSample.ts';
export { type PatternOf, type SeamPattern, seamPatterns } from './sample/seamPatterns.ts';
export {
  SAMPLE_SIDES,
  type SampleSide,
  type SeenStitch,
  type SkippedHole,
  SWINGS,
  type Swing,
  seenStitches,
} from './sample/seenStitches.ts';
export {
  type Bench,
  begunAt,
  bench,
  doneAt,
  type Job,
  type Stretch,
  SURE_OF_PROMISE,
  workAfterEach,
  workUntil,
} from './schedule/benches.ts';
export { cheapestAssignment, leastWeightedLateness } from './schedule/bound.ts';
export { bestSchedule } from './schedule/exact.ts';
export { type Order, orderByDue } from './schedule/order.ts';
export { type Outlook, outlookOf, type PromiseOffer, promisesFor } from './schedule/promise.ts';
export { bentStrand, type EyeHold } from './stitch/bentStrand.ts';
export { ellipticE, ellipticF } from './stitch/elliptic.ts';
export { type Loop, type LoopPlace, type LoopSet, needleLoop } from './stitch/loop.ts';
export { eyePasses, stitchLength, threadPerStitch } from './stitch/threadDemand.ts';
export {
  BALANCED,
  DIAL,
  DIAL_ENDS,
  isAtEnd,
  type TensionAdvice,
  type TensionAnswer,
  type TensionSchool,
  type TensionTask,
  tensionAdvice,
  USUAL_SCHOOL,
} from './tension/advice.ts';
export {
  balanceOver,
  balanceRead,
  curveBalance,
  dialFor,
  READ_BY_EYE,
  type Spread,
  type TensionBelief,
  type TensionCurves,
  type TensionSetting,
  type TensionTry,
  tensionBelief,
} from './tension/belief.ts';
export {
  type DialPull,
  type DialPulls,
  type DialPullsChange,
  type DialPullsVerdict,
  dialPullsChange,
  dialPullsVerdict,
  type PulledBy,
  pullAt,
} from './tension/pulls.ts';
export {
  HOLE_WIDTHS,
  type SeamFace,
  type SeamPicture,
  type SeamSet,
  seamPicture,
} from './tension/seamPicture.ts';
export {
  type BalanceSet,
  balanceAt,
  bendsOf,
  discPress,
  frictionAt,
  type PathStage,
  pullAlong,
  THREAD_FRICTION,
  type UpperPull,
  USUAL_CHECK_SPRING,
  USUAL_DRAG,
} from './tension/upperPull.ts';
export { capstan } from './thread/capstan.ts';
export { FIBRES, type Fibre, texOfDiameter, threadDiameter } from './thread/diameter.ts';
export {
  countsPlies,
  FINENESS_UNITS,
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
