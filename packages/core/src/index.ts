export {
  type AccessState,
  machineMinutes,
  openingChain,
  type StepDemand,
} from './diagnosis/access.ts';
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
  weighFindings,
} from './diagnosis/explain.ts';
export {
  buildNetwork,
  type Network,
  type NetworkCause,
  type NetworkFinding,
  type NetworkLink,
} from './diagnosis/network.ts';
export {
  type CheckCandidate,
  type CheckProposal,
  expectedInformation,
  rankChecks,
  totalDoubt,
} from './diagnosis/nextCheck.ts';
export {
  type CauseBelief,
  comebackRisk,
  type Posterior,
  posterior,
} from './diagnosis/posterior.ts';
export { MAX_SHARED_POSITIVES } from './diagnosis/reckoner.ts';
export { CoreFault } from './fault.ts';
export { type Minutes, minutes } from './units/minutes.ts';
