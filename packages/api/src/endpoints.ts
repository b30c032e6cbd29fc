import { makeBackup, readBackups, setBackupPassphrase, takeBackup, takeErased } from './backups.ts';
import { issueBill, readBills } from './bills.ts';
import { listFeeds, makeFeed, readFeed, revokeFeed } from './calendars.ts';
import {
  changeCustomer,
  changeMachine,
  eraseCustomer,
  mergeCustomer,
  readCustomer,
  readMachine,
} from './customers.ts';
import { countTill, makeSale, readDaySheet, readSaleReceipt } from './day.ts';
import { readPaper, readSampleCard } from './documents.ts';
import { importRows, readExport } from './exchange.ts';
import { readHealth, readMetrics, readReadiness } from './health.ts';
import { listLinks, makeLink, readShared, revokeLink } from './links.ts';
import { live } from './live.ts';
import { readNeedles, registerNeedle } from './needles.ts';
import { listNotices, putNoticeAway } from './notices.ts';
import {
  changeAccount,
  endScreen,
  invitePerson,
  listAccounts,
  listScreens,
  readAudit,
  readReach,
  resetAccount,
} from './people.ts';
import { keepPhoto, readPhoto } from './photos.ts';
import { listCollected, search } from './search.ts';
import {
  changePassword,
  changePerson,
  listPeople,
  lockScreen,
  lookAt,
  nameMyself,
  nameScreen,
  nameShop,
  redeemCode,
  setPin,
  signIn,
  signOut,
  whoAmI,
} from './session.ts';
import { changeShop, readShop } from './shop.ts';
import { listCandidates, readTables, recordTableEvent } from './tables.ts';
import { listTickets, openTickets, readTicket, recordEvent, takeIn } from './tickets.ts';
import { listTokens, makeToken, readOpenApi, revokeToken } from './tokens.ts';

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
  listNotices,
  putNoticeAway,
  readBackups,
  makeBackup,
  setBackupPassphrase,
  takeBackup,
  takeErased,
  readExport,
  importRows,
  listFeeds,
  makeFeed,
  revokeFeed,
  readFeed,
  listTokens,
  makeToken,
  revokeToken,
  readOpenApi,
  readHealth,
  readReadiness,
  readMetrics,
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
  readSampleCard,
  readBills,
  issueBill,
  countTill,
  makeSale,
  readSaleReceipt,
  readDaySheet,
  listCollected,
  search,
  readShop,
  changeShop,
  nameShop,
  nameMyself,
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
