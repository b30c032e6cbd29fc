import { live } from './live.ts';
import { keepPhoto, readPhoto } from './photos.ts';
import { listPeople, signIn, signOut, whoAmI } from './session.ts';
import { listCandidates, readTables, recordTableEvent } from './tables.ts';
import { listTickets, readTicket, recordEvent, takeIn } from './tickets.ts';

/** Every route there is. */
export const ENDPOINTS = {
  signIn,
  whoAmI,
  signOut,
  listPeople,
  listTickets,
  takeIn,
  readTicket,
  recordEvent,
  keepPhoto,
  readPhoto,
  readTables,
  listCandidates,
  recordTableEvent,
  live,
} as const;
export type EndpointName = keyof typeof ENDPOINTS;
