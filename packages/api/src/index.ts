export { ADDRESSES, BEAT_MS, BUILD_HEADER } from './addresses.ts';
export type { CustomerFile, MachineFile, MachineSheet, Visit } from './customers.ts';
export type { Endpoint } from './endpoint.ts';
export { ENDPOINTS } from './endpoints.ts';
export type { CustomerLink } from './links.ts';
export { type LiveFrame, type Looker, liveFrame } from './live.ts';
export type { NeedleFile } from './needles.ts';
export { PAPERS, type Paper } from './papers.ts';
export type {
  Account,
  Audited,
  AuditLine,
  AuditPage,
  HandedCode,
  Reach,
  Screen,
} from './people.ts';
export {
  type AnswerOf,
  type ApiRequest,
  type EndpointName,
  type ParamsOf,
  type PayloadOf,
  pathTo,
} from './requests.ts';
export type { Hit } from './search.ts';
export type { Person, Session } from './session.ts';
export type { ShopSheet } from './shop.ts';
export type { Candidate } from './tables.ts';
export type { Customer, NewMachine, TicketFile } from './tickets.ts';
