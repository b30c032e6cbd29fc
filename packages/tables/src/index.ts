export {
  type Attribution,
  applyTableEvent,
  type ChangeRequests,
  changesInForce,
  foldChangeRequests,
  type Proposal,
} from './changeRequests.ts';
export {
  decideTableCommand,
  refusalOfChange,
  type TableVerdict,
  versionInForce,
} from './decide.ts';
export {
  ownCause,
  type TableCommand,
  type TableEvent,
  tableChange,
  tableCommand,
  tableEvent,
} from './events.ts';
