export { ADDRESSES, type Address, BEAT_MS, fillAddress } from './addresses.ts';
export type { Endpoint } from './endpoint.ts';
export { ENDPOINTS, type EndpointName } from './endpoints.ts';
export type { CustomerFile, MachineFile, MachineSheet, Visit } from './routes/customers.ts';
export type { CustomerLink } from './routes/links.ts';
export type { LiveFrame, Looker } from './routes/live.ts';
export type { NeedleFile } from './routes/needles.ts';
export { PAPERS, type Paper } from './routes/papers.ts';
export type {
  Account,
  Audited,
  AuditLine,
  AuditPage,
  HandedCode,
  Reach,
  Screen,
} from './routes/people.ts';
export type { Hit } from './routes/search.ts';
export type { Person, Session } from './routes/session.ts';
export type { ShopSheet } from './routes/shop.ts';
export type { Candidate } from './routes/tables.ts';
export type { Customer, NewMachine, TicketFile } from './routes/tickets.ts';
