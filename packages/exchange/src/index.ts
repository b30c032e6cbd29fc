export {
  columnsOf,
  guessMatching,
  IMPORT_KINDS,
  type ImportKind,
  isOurOwn,
  type Matching,
} from './columns.ts';
export {
  asWritten,
  type Column,
  csvHeader,
  csvLines,
  harmless,
  readCsv,
  SEPARATORS,
  type Separator,
} from './csv.ts';
export { type Existing, type ImportFault, type ImportPlan, planImport } from './importPlan.ts';
export { CELL_FAULTS, type CellFault, type Kind } from './readCells.ts';
export {
  CUSTOMER_COLUMNS,
  type CustomerRow,
  MACHINE_COLUMNS,
  type MachineRow,
} from './sheets.ts';
export {
  CAUSE_COLUMNS,
  CHANGE_COLUMNS,
  CHECK_COLUMNS,
  causesOf,
  checksOf,
  FINDING_COLUMNS,
  findingsOf,
  SHOWS_COLUMNS,
  showsOf,
} from './tableSheets.ts';
export { type TicketLine, ticketSchema } from './ticketLine.ts';
export {
  BILL_COLUMNS,
  type BillRow,
  MEASURE_COLUMNS,
  type MeasureRow,
  PART_COLUMNS,
  type PartRow,
  TICKET_COLUMNS,
  type TicketRow,
} from './ticketSheets.ts';
