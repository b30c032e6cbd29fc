import { ACCESS } from './access.ts';
import type { Knowledge } from './compile.ts';
import { DUTIES } from './duties.ts';
import { changedEditions, type Edition, editionOf } from './edition.ts';
import { FAMILIES } from './families.ts';
import type { FamilyModel } from './familyModel.ts';
import { MECHANISMS } from './mechanisms/index.ts';
import type { KnowledgeSource } from './schema.ts';

export {
  againstOwn,
  BOBBIN_CLASSES,
  BOBBIN_MEASURES,
  BOBBIN_TENSION,
  BOBBIN_TOLERANCE,
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
  type RewindStep,
  rewindSteps,
  usualTurn,
  WINDINGS,
  type Winding,
} from './bobbins/condition.ts';
export {
  HANG_TURNS,
  type HangShown,
  type HangTurn,
  type HangUp,
  locateHangUp,
} from './bobbins/hangUp.ts';
export { type CallProposal, planCall } from './call.ts';
export { canonicalJson } from './canonical.ts';
export { answersOfCase, type WorkedCase } from './cases/case.ts';
export { WORKED_CASES } from './cases/index.ts';
export { type CasesVerdict, type CaseVerdict, judgeCases } from './cases/judge.ts';
export { type CaseMove, caseMoves } from './cases/moves.ts';
export {
  type ChangedValue,
  placeOfChange,
  strengthIn,
  type TableChange,
  valueInTables,
  valueOfChange,
  withChange,
  withChanges,
} from './change.ts';
export {
  type Compiled,
  compileKnowledge,
  type Finding,
  type Knowledge,
  storedKnowledge,
} from './compile.ts';
export { type Edition, editionOf } from './edition.ts';
export {
  evidenceOf,
  INTERVIEWS,
  reportedComplaints,
  testableComplaints,
  withAnswer,
  withinReach,
} from './evidence.ts';
export { type FamilyCheck, type FamilyModel, familyModel, tellingChecks } from './familyModel.ts';
export type { KnowledgeFault, KnowledgeFaultCode } from './faults.ts';
export { type FreeingStep, freeingSteps, WANTS_FREEING } from './freeing.ts';
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
  THREAD_KINDS,
  type ThreadKind,
  type Work,
} from './needles/fit.ts';
export {
  type CoatingId,
  coatingOf,
  NEEDLE_COATINGS,
  NEEDLE_POINTS,
  type NeedlePoint,
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
  ROUND_SYSTEM,
  SCARF_SIDES,
  type ScarfSide,
  SEAT_TOLERANCE,
  scarfFaces,
  systemFor,
  threadEnters,
} from './needles/systems.ts';
export { type OwnCause, ownCheck, ownFinding, ownRepair, withOwnCauses } from './ownCause.ts';
export { LEFT_BY_PHONE, PHONE_WORDS, type PhoneWords, STOP_ON } from './phone.ts';
export {
  COMEBACK_MINUTES,
  checkMinutes,
  isWorthIt,
  type Planned,
  type PlannedRepair,
  planNext,
  questionOf,
  type Situation,
  SURE_ENOUGH,
} from './planner.ts';
export type {
  ActionSource,
  CauseSource,
  CheckSource,
  DutySource,
  Family,
  FindingSource,
  Hazard,
  KnowledgeSource,
  Mechanism,
  Place,
  Plan,
  Side,
  StrengthWord,
  Where,
} from './schema.ts';
export { STRENGTHS } from './schema.ts';
export type { Standing } from './standings.ts';
export {
  ACTION_FOR,
  COARSEST_GRIT,
  DRESSING_TOOLS,
  type DressingStep,
  type DressingTool,
  dressingSteps,
  findingOf,
  LAST_GRITS,
  LOOK_AGAIN,
  verdictOn,
  verdictOnPart,
} from './surfaces/dressing.ts';
export {
  DROVE_IT,
  joinStrikes,
  type LikelyStrike,
  type MarkOnMap,
} from './surfaces/strike.ts';
export {
  isPlastic,
  MARK_ENDS,
  MARK_KINDS,
  type MarkEnd,
  type MarkKind,
  STRUCK_PARTS,
  type StruckPart,
  SURFACE_IDS,
  SURFACES,
  type Surface,
  type SurfaceId,
  surfaceOf,
} from './surfaces/surfaces.ts';
export { parseCheckCondition, parseRequirement } from './tokens.ts';

/** The tables as they are written down in this edition. */
export const EDITION: KnowledgeSource = {
  families: FAMILIES,
  access: ACCESS,
  mechanisms: MECHANISMS,
  duties: DUTIES,
};

/** This edition at work; the tests prove it sound, so that no program has to when it starts. */
export const SHIPPED: Edition = editionOf(EDITION);

/** This edition with what a shop changed in it. */
export const editionWith = changedEditions(SHIPPED);

export const KNOWLEDGE: Knowledge = SHIPPED.knowledge;

/** The model of one family in this edition. */
export function modelOf(familyId: string): FamilyModel | undefined {
  return SHIPPED.modelOf(familyId);
}
