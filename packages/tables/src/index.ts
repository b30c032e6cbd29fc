export {
  changesInForce,
  deskAfter,
  deskOf,
  type Hand,
  type Proposal,
  type TablesDesk,
} from './changeRequests.ts';
export { decideTables, presentEdition, refusalOfChange, type TableVerdict } from './decide.ts';
export {
  ownCause,
  type TableDraft,
  type TableEvent,
  tableChange,
  tableDraft,
  tableEvent,
} from './events.ts';
