import {
  changeCustomer,
  changeMachine,
  eraseCustomer,
  mergeCustomer,
  readCustomer,
  readMachine,
} from './routes/customers.ts';
import { listLinks, makeLink, readShared, revokeLink } from './routes/links.ts';
import { live } from './routes/live.ts';
import { readNeedles, registerNeedle } from './routes/needles.ts';
import { readPaper } from './routes/papers.ts';
import {
  changeAccount,
  endScreen,
  invitePerson,
  listAccounts,
  listScreens,
  readAudit,
  readReach,
  resetAccount,
} from './routes/people.ts';
import { keepPhoto, readPhoto } from './routes/photos.ts';
import { listCollected, search } from './routes/search.ts';
import {
  changePassword,
  changePerson,
  listPeople,
  lockScreen,
  lookAt,
  nameScreen,
  redeemCode,
  setPin,
  signIn,
  signOut,
  whoAmI,
} from './routes/session.ts';
import { changeShop, readShop } from './routes/shop.ts';
import { listCandidates, readTables, recordTableEvent } from './routes/tables.ts';
import { listTickets, openTickets, readTicket, recordEvent, takeIn } from './routes/tickets.ts';

/** Every route there is. */
export const ENDPOINTS = {
  signIn,
  whoAmI,
  signOut,
  changePerson,
  lockScreen,
  nameScreen,
  setPin,
  changePassword,
  redeemCode,
  lookAt,
  listPeople,
  listAccounts,
  invitePerson,
  changeAccount,
  resetAccount,
  listScreens,
  endScreen,
  readAudit,
  readReach,
  listTickets,
  openTickets,
  takeIn,
  readTicket,
  recordEvent,
  keepPhoto,
  readPhoto,
  listLinks,
  makeLink,
  revokeLink,
  readShared,
  readPaper,
  listCollected,
  search,
  readShop,
  changeShop,
  readCustomer,
  changeCustomer,
  mergeCustomer,
  eraseCustomer,
  readMachine,
  changeMachine,
  readNeedles,
  registerNeedle,
  readTables,
  listCandidates,
  recordTableEvent,
  live,
} as const;
export type EndpointName = keyof typeof ENDPOINTS;
