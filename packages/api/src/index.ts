export { ADDRESSES, BEAT_MS, BUILD_HEADER, SESSION_COOKIE } from './addresses.ts';
export {
  BACKUP_FAILURES,
  BACKUP_FILE,
  type BackupFailure,
  type BackupState,
  SHORTEST_PASSPHRASE,
  USUALLY_KEPT,
} from './backups.ts';
export { CALENDARS, type CalendarFeed } from './calendars.ts';
export type { CustomerFile, MachineFile, MachineRecord, Visit } from './customers.ts';
export type { DaySheet, Sale, TillCount } from './day.ts';
export { DOCUMENT_KINDS, type DocumentKind } from './documents.ts';
export type { Endpoint } from './endpoint.ts';
export { ENDPOINTS } from './endpoints.ts';
export {
  EXPORT_NAMES,
  EXPORTS,
  type ExportName,
  type ImportAnswer,
  LARGEST_IMPORT,
  MOST_FAULTS,
} from './exchange.ts';
export type { CustomerLink } from './links.ts';
export { type LiveFrame, liveFrame, type Presence } from './live.ts';
export type { NeedleFile } from './needles.ts';
export type { Notice, NoticeRecord } from './notices.ts';
export { openApi } from './openApi.ts';
export type {
  Account,
  Audited,
  AuditLine,
  AuditPage,
  HandedCode,
  Reach,
  Screen,
} from './people.ts';
export { proofOf } from './proof.ts';
export {
  type AnswerOf,
  type ApiRequest,
  type EndpointName,
  type ParamsOf,
  pathTo,
  type RequestBodyOf,
} from './requests.ts';
export type { Hit } from './search.ts';
export type { Person, Session } from './session.ts';
export type { ShopRecord } from './shop.ts';
export type { Candidate } from './tables.ts';
export type { Customer, NewMachine, TicketFile } from './tickets.ts';
export { type AccessToken, TOKEN_SCOPES, type TokenScope } from './tokens.ts';
