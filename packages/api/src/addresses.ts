/**
 * Method and path of every route, and nothing else: what a page needs for its first calls,
 * without the schemas and the tables that they need. `path` is Express's pattern.
 */
export const ADDRESSES = {
  signIn: { method: 'POST', path: '/api/session' },
  whoAmI: { method: 'GET', path: '/api/session' },
  signOut: { method: 'DELETE', path: '/api/session' },
  changePerson: { method: 'POST', path: '/api/session/person' },
  nameScreen: { method: 'POST', path: '/api/session/device' },
  lockScreen: { method: 'POST', path: '/api/session/lock' },
  setPin: { method: 'POST', path: '/api/session/pin' },
  changePassword: { method: 'POST', path: '/api/session/password' },
  redeemCode: { method: 'POST', path: '/api/codes' },
  lookAt: { method: 'POST', path: '/api/presence' },
  listPeople: { method: 'GET', path: '/api/people' },
  listAccounts: { method: 'GET', path: '/api/accounts' },
  invitePerson: { method: 'POST', path: '/api/accounts' },
  changeAccount: { method: 'POST', path: '/api/accounts/:person' },
  resetAccount: { method: 'POST', path: '/api/accounts/:person/reset' },
  listScreens: { method: 'GET', path: '/api/screens' },
  endScreen: { method: 'DELETE', path: '/api/screens/:screen' },
  readReach: { method: 'GET', path: '/api/reach' },
  readAudit: { method: 'GET', path: '/api/audit' },
  listTickets: { method: 'GET', path: '/api/tickets' },
  openTickets: { method: 'GET', path: '/api/open-tickets' },
  takeIn: { method: 'POST', path: '/api/tickets' },
  readTicket: { method: 'GET', path: '/api/tickets/:ticket' },
  recordEvent: { method: 'POST', path: '/api/tickets/:ticket/events' },
  keepPhoto: { method: 'POST', path: '/api/tickets/:ticket/photos' },
  readPhoto: { method: 'GET', path: '/api/tickets/:ticket/photos/:photo' },
  listLinks: { method: 'GET', path: '/api/tickets/:ticket/links' },
  makeLink: { method: 'POST', path: '/api/tickets/:ticket/links' },
  revokeLink: { method: 'DELETE', path: '/api/tickets/:ticket/links/:link' },
  readShared: { method: 'GET', path: '/api/shared/:token' },
  readPaper: { method: 'GET', path: '/api/tickets/:ticket/papers/:paper' },
  listCollected: { method: 'GET', path: '/api/collected' },
  search: { method: 'GET', path: '/api/search' },
  readShop: { method: 'GET', path: '/api/shop' },
  changeShop: { method: 'POST', path: '/api/shop' },
  readCustomer: { method: 'GET', path: '/api/customers/:customer' },
  changeCustomer: { method: 'POST', path: '/api/customers/:customer' },
  mergeCustomer: { method: 'POST', path: '/api/customers/:customer/merged' },
  eraseCustomer: { method: 'DELETE', path: '/api/customers/:customer' },
  readMachine: { method: 'GET', path: '/api/machines/:machine' },
  changeMachine: { method: 'POST', path: '/api/machines/:machine' },
  readNeedles: { method: 'GET', path: '/api/machines/:machine/needles' },
  registerNeedle: { method: 'POST', path: '/api/machines/:machine/needles' },
  readTables: { method: 'GET', path: '/api/tables' },
  listCandidates: { method: 'GET', path: '/api/tables/candidates' },
  recordTableEvent: { method: 'POST', path: '/api/tables/events' },
  live: { method: 'GET', path: '/api/live' },
} as const;

/** Names the build of the application in every answer of the server. */
export const BUILD_HEADER = 'nodo-build';

/** How often the server's streams say that they live, in milliseconds. */
export const BEAT_MS = 15_000;
