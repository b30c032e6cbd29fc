import { ACCESS } from './access.ts';
import { type Knowledge, storedKnowledge } from './compile.ts';
import { DUTIES } from './duties.ts';
import { FAMILIES } from './families.ts';
import { type FamilyModel, familyModel } from './familyModel.ts';
import { MECHANISMS } from './mechanisms/index.ts';
import type { KnowledgeSource } from './schema.ts';

export { type CallProposal, planCall } from './call.ts';
export { answersOfCase, type WorkedCase } from './cases/case.ts';
export { WORKED_CASES } from './cases/index.ts';
export {
  type Compiled,
  compileKnowledge,
  type Finding,
  type Knowledge,
  storedKnowledge,
} from './compile.ts';
export {
  evidenceOf,
  INTERVIEWS,
  reportedComplaints,
  testableComplaints,
  withAnswer,
  withinReach,
} from './evidence.ts';
export { type FamilyCheck, type FamilyModel, familyModel } from './familyModel.ts';
export type { KnowledgeFault, KnowledgeFaultCode } from './faults.ts';
export { type FreeingStep, freeingSteps, WANTS_FREEING } from './freeing.ts';
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
export { parseCheckCondition, parseRequirement } from './tokens.ts';

/** The tables as they are written down in this edition. */
export const EDITION: KnowledgeSource = {
  families: FAMILIES,
  access: ACCESS,
  mechanisms: MECHANISMS,
  duties: DUTIES,
};

/** This edition, laid out; the tests prove it sound, so that no program has to when it starts. */
export const KNOWLEDGE: Knowledge = storedKnowledge(EDITION);

const models = new Map<string, FamilyModel | undefined>();

/** The model of one family in this edition, built once. */
export function modelOf(familyId: string): FamilyModel | undefined {
  if (!models.has(familyId)) models.set(familyId, familyModel(KNOWLEDGE, familyId));
  return models.get(familyId);
}
