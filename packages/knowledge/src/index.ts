export {
  againstOwn,
  BOBBIN_CLASSES,
  BOBBIN_MEASURES,
  BOBBIN_TENSION,
  type BobbinClass,
  type BobbinClassId,
  type BobbinMatch,
  type BobbinUse,
  bobbinClassOf,
  type MeasuredBobbin,
  matchBobbin,
} from './bobbins/classes.ts';
export {
  BOBBIN_TURNS,
  type BobbinTurn,
  rewindSteps,
  usualTurn,
  WINDINGS,
  type Winding,
} from './bobbins/condition.ts';
export { HANG_TURNS, type HangShown, type HangTurn, locateHangUp } from './bobbins/hangUp.ts';

export { WORKED_CASES } from './cases/index.ts';
export { type CasesVerdict, type CaseVerdict, judgeCases } from './cases/judge.ts';
export { type CaseMove, caseMoves } from './cases/moves.ts';
export { canonicalJson } from './compile/canonical.ts';
export {
  compileKnowledge,
  type Finding,
  type Knowledge,
  RISK_LIMITS,
  storedKnowledge,
} from './compile/compile.ts';
export type { KnowledgeIssueCode } from './compile/issues.ts';
export type { ActionId, CauseId, CheckId, FindingId } from './ids.ts';
export { type CallProposal, planCall } from './model/call.ts';
export { questionOf, type Situation } from './model/candidates.ts';
export {
  type ChangedValue,
  strengthIn,
  type TableChange,
  valueInTables,
  valueOfChange,
  withChange,
  withChanges,
} from './model/change.ts';
export {
  COMPLAINT,
  CONTEXT,
  epochOf,
  evidenceOf,
  type FamilyEvidence,
  type GivenAnswer,
  INTERVIEWS,
  isInProof,
  type OftenTold,
  observedBy,
  oftenOf,
  reportedComplaints,
  reportedOf,
  SEWN_AS_FOUND,
  silentSewing,
  testableComplaints,
  withAnswer,
  withinReach,
  withSewings,
} from './model/evidence.ts';
export {
  type FamilyCheck,
  type FamilyModel,
  familyModel,
  type SewingCheck,
} from './model/familyModel.ts';
export { type FreeingStep, freeingSteps, WANTS_FREEING } from './model/freeing.ts';
export { type LookAlike, lookAlikes } from './model/lookAlikes.ts';
export {
  barredBy,
  checkMinutes,
  gateRequirements,
  isPartOff,
  isSeenRunning,
  type MachineNow,
  type Standing,
} from './model/machineNow.ts';
export { type Move, nextMove, type Progress, type PutOff } from './model/nextMove.ts';
export { type OwnCause, ownCheck, ownFinding, withOwnCauses } from './model/ownCause.ts';
export { isUnpluggedFirst, LEFT_BY_PHONE, PHONE_WORDS, STOP_ON } from './model/phone.ts';
export {
  isWorthIt,
  isWorthItFirst,
  type Planned,
  type PlannedAction,
  planNext,
  proofOf,
  SURE_ENOUGH,
} from './model/planner.ts';
export {
  type DutyStep,
  type DutyWays,
  handBeforeSewing,
  nextBeforePower,
  nextDuty,
  nextLook,
  type SymptomDebt,
  symptomDebts,
} from './model/settle.ts';
export { COMEBACK_MINUTES, SEARCH_MINUTES, SEARCH_ON } from './model/stakes.ts';
export {
  beginStory,
  checkStanding,
  dutiesOfStory,
  gatesOfStory,
  type Story,
  type StoryStep,
  seenCauses,
  tellStep,
  waysOfStory,
} from './model/story.ts';
export { type KnowledgeVersion, knowledgeVersionOf } from './model/version.ts';
export {
  type OwedSymptom,
  type WhatNow,
  type Work as BenchWork,
  whatNow,
} from './model/whatNow.ts';
export {
  EVERYDAY_POINTS,
  type EverydayPoint,
  FABRICS,
  type FabricId,
  type FitReason,
  fitNeedle,
  givesWay,
  judgeNeedle,
  type NeedleFit,
  type NeedleKind,
  type NeedleVerdict,
  sizesFabricBears,
  THREAD_KINDS,
  type ThreadKind,
  type Work,
} from './needles/fit.ts';
export {
  type CoatingId,
  coatingOf,
  NEEDLE_COATINGS,
  NEEDLE_POINTS,
  type PointId,
  pointOf,
} from './needles/kinds.ts';
export { STRUCK_PLACES, type StruckId } from './needles/pieces.ts';
export { NEEDLE_SCHOOLS, type NeedleSchool, schoolsDue } from './needles/schools.ts';
export {
  ANGLE_TOLERANCE,
  BEND_TOLERANCE,
  FLAT_SYSTEM,
  type NeedleSystem,
  SCARF_SIDES,
  type ScarfSide,
  SEAT_TOLERANCE,
  scarfFaces,
  systemFor,
} from './needles/systems.ts';
export type { Provenance } from './schema/provenance.ts';
export type {
  ActionSource,
  CauseSource,
  CheckSource,
  DutySource,
  Family,
  FindingSource,
  Hazard,
  Ids,
  KnowledgeSource,
  Mechanism,
  Needs,
  Place,
  PlanPolicy,
  Raiser,
  Side,
  StrengthWord,
  Where,
} from './schema/schema.ts';
export { STRENGTHS } from './schema/schema.ts';
export { parseCheckCondition, parseRequirement } from './schema/tokens.ts';
export { KNOWLEDGE, modelOf, SHIPPED, SHIPPED_SOURCE, versionWith } from './shipped.ts';
export {
  SEEN_SKIPS,
  STITCH_FAULTS,
  type StitchFault,
  signsOf,
  type ThreadCondition,
} from './stitch/faults.ts';
export { type StitchPreset, stitchPreset } from './stitch/presets.ts';
export {
  ACTION_FOR,
  COARSEST_GRIT,
  DRESSING_TOOLS,
  type DressingTool,
  dressingSteps,
  dressingToolsFor,
  findingOf,
  LAST_GRITS,
  LOOK_AGAIN,
  verdictOn,
  verdictOnPart,
} from './surfaces/dressing.ts';
export { DROVE_IT, joinStrikes, type LikelyStrike, type MarkOnMap } from './surfaces/strike.ts';
export {
  isPlastic,
  MARK_KINDS,
  type MarkKind,
  STRUCK_PARTS,
  type StruckPart,
  SURFACE_IDS,
  SURFACES,
  type Surface,
  type SurfaceId,
  surfaceOf,
} from './surfaces/surfaces.ts';
export { helpAgainst } from './tables/helps.ts';
export { DISAGREEMENTS, type Disagreement, disagreementsAt } from './tables/schools.ts';
