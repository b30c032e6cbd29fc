import { randomUUID } from 'node:crypto';
import { ADDRESSES, type DocumentKind, type EndpointName, pathTo } from '@nodo/api';
import { toDay } from '@nodo/kernel';
import { NEW_SHOP_PROFILE, newCustomerProfile, newMachineProfile } from '@nodo/shop';
import { jpeg } from './jpeg.ts';
import { commandOf, intakeCommand, needleEntry, proposalCommand } from './shop.ts';

/** What calls are about. */
export interface Named {
  readonly ticket: string;
  readonly person: string;
  readonly screen: string;
  readonly link: string;
  readonly token: string;
  readonly photo: string;
  readonly customer: string;
  readonly machine: string;
  readonly paper: DocumentKind;
  /** What is looked for by its letters. */
  readonly find: string;
  readonly notice: string;
  readonly sale: string;
  readonly feed: string;
  readonly accessToken: string;
}

/** What no shop has. */
export const NOTHING: Named = {
  ticket: randomUUID(),
  person: randomUUID(),
  screen: randomUUID(),
  link: randomUUID(),
  token: 'x'.repeat(43),
  photo: 'f'.repeat(64),
  customer: randomUUID(),
  machine: randomUUID(),
  paper: 'tag-a7',
  find: 'nothing',
  notice: randomUUID(),
  sale: randomUUID(),
  feed: randomUUID(),
  accessToken: randomUUID(),
};

export type Calls = Readonly<Record<EndpointName, () => { path: string; body?: unknown }>>;

/** A well-formed call of each route; what it answers depends on who calls. */
export function callsAbout(ids: Named): Calls {
  return {
    signIn: () => ({
      path: ADDRESSES.signIn.path,
      body: { login: `nobody-${randomUUID()}`, password: 'nothing' },
    }),
    whoAmI: () => ({ path: ADDRESSES.whoAmI.path }),
    signOut: () => ({ path: ADDRESSES.signOut.path }),
    changePerson: () => ({
      path: ADDRESSES.changePerson.path,
      body: { person: ids.person, pin: '0000' },
    }),
    nameScreen: () => ({ path: ADDRESSES.nameScreen.path, body: { device: 'Bench two' } }),
    lockScreen: () => ({ path: ADDRESSES.lockScreen.path, body: {} }),
    setPin: () => ({ path: ADDRESSES.setPin.path, body: { password: 'not this', pin: '0000' } }),
    changePassword: () => ({
      path: ADDRESSES.changePassword.path,
      body: { password: 'not this', fresh: 'a fresh password' },
    }),
    redeemCode: () => ({
      path: ADDRESSES.redeemCode.path,
      body: { login: `nobody-${randomUUID()}`, code: 'aaaa-bbbb', password: 'a fresh password' },
    }),
    listNotices: () => ({ path: ADDRESSES.listNotices.path }),
    putNoticeAway: () => ({
      path: pathTo('putNoticeAway', { notice: ids.notice }),
      body: {},
    }),
    readBackups: () => ({ path: ADDRESSES.readBackups.path }),
    makeBackup: () => ({ path: ADDRESSES.makeBackup.path, body: {} }),
    setBackupPassphrase: () => ({
      path: ADDRESSES.setBackupPassphrase.path,
      body: { passphrase: 'twelve or more', keep: 14 },
    }),
    takeBackup: () => ({
      path: pathTo('takeBackup', { file: 'nodo-20260301-180000Z.nodobackup' }),
    }),
    takeErased: () => ({ path: ADDRESSES.takeErased.path }),
    readExport: () => ({ path: pathTo('readExport', { export: 'customers.csv' }) }),
    importRows: () => ({
      path: ADDRESSES.importRows.path,
      body: { kind: 'customers', text: 'name,phone\nWenna,0555 0100\n', apply: false },
    }),
    listFeeds: () => ({ path: ADDRESSES.listFeeds.path }),
    makeFeed: () => ({ path: ADDRESSES.makeFeed.path, body: { what: 'promised' } }),
    revokeFeed: () => ({ path: pathTo('revokeFeed', { feed: ids.feed }) }),
    readFeed: () => ({ path: pathTo('readFeed', { token: ids.token }) }),
    listTokens: () => ({ path: ADDRESSES.listTokens.path }),
    makeToken: () => ({
      path: ADDRESSES.makeToken.path,
      // The right one: wrong ones make everybody at this address wait.
      body: { password: 'a test password', name: 'Till', scope: 'read', days: 30 },
    }),
    revokeToken: () => ({ path: pathTo('revokeToken', { token: ids.accessToken }) }),
    readOpenApi: () => ({ path: ADDRESSES.readOpenApi.path }),
    readHealth: () => ({ path: ADDRESSES.readHealth.path }),
    readReadiness: () => ({ path: ADDRESSES.readReadiness.path }),
    readMetrics: () => ({ path: ADDRESSES.readMetrics.path }),
    lookAt: () => ({ path: ADDRESSES.lookAt.path, body: { ticket: null, check: null } }),
    listAccounts: () => ({ path: ADDRESSES.listAccounts.path }),
    invitePerson: () => ({
      path: ADDRESSES.invitePerson.path,
      body: {
        login: `new-${randomUUID().slice(0, 8)}`,
        name: 'New',
        initials: 'N',
        role: 'learner',
      },
    }),
    changeAccount: () => ({
      path: pathTo('changeAccount', { person: ids.person }),
      body: { role: 'counter' },
    }),
    resetAccount: () => ({
      path: pathTo('resetAccount', { person: ids.person }),
      body: {},
    }),
    listScreens: () => ({ path: ADDRESSES.listScreens.path }),
    endScreen: () => ({ path: pathTo('endScreen', { screen: ids.screen }) }),
    readReach: () => ({ path: ADDRESSES.readReach.path }),
    readAudit: () => ({ path: ADDRESSES.readAudit.path }),
    listLinks: () => ({ path: pathTo('listLinks', { ticket: ids.ticket }) }),
    makeLink: () => ({
      path: pathTo('makeLink', { ticket: ids.ticket }),
      body: { days: 7 },
    }),
    revokeLink: () => ({
      path: pathTo('revokeLink', { ticket: ids.ticket, link: ids.link }),
    }),
    readShared: () => ({ path: pathTo('readShared', { token: ids.token }) }),
    openTickets: () => ({ path: ADDRESSES.openTickets.path }),
    listPeople: () => ({ path: ADDRESSES.listPeople.path }),
    listTickets: () => ({ path: ADDRESSES.listTickets.path }),
    takeIn: () => ({
      path: ADDRESSES.takeIn.path,
      body: { ticket: randomUUID(), customer: null, drafts: [intakeCommand()] },
    }),
    readTicket: () => ({ path: pathTo('readTicket', { ticket: ids.ticket }) }),
    recordEvent: () => ({
      path: pathTo('recordEvent', { ticket: ids.ticket }),
      body: commandOf('findings-recorded', { check: 'winder', answers: { 'winder-on': 'no' } }),
    }),
    keepPhoto: () => ({
      path: pathTo('keepPhoto', { ticket: ids.ticket }),
      body: jpeg({ width: 4, height: 3 }),
    }),
    readPhoto: () => ({
      path: pathTo('readPhoto', { ticket: ids.ticket, photo: ids.photo }),
    }),
    readTables: () => ({ path: ADDRESSES.readTables.path }),
    listCandidates: () => ({ path: ADDRESSES.listCandidates.path }),
    recordTableEvent: () => ({
      path: ADDRESSES.recordTableEvent.path,
      body: proposalCommand({ kind: 'how-often', cause: 'needle-low', perMille: 61 }),
    }),
    readSampleCard: () => ({ path: ADDRESSES.readSampleCard.path }),
    readPaper: () => ({
      path: pathTo('readPaper', { ticket: ids.ticket, paper: ids.paper }),
    }),
    readBills: () => ({ path: pathTo('readBills', { ticket: ids.ticket }) }),
    issueBill: () => ({
      path: pathTo('issueBill', { ticket: ids.ticket }),
      body: { id: randomUUID(), kind: 'bill' },
    }),
    makeSale: () => ({
      path: ADDRESSES.makeSale.path,
      body: {
        id: randomUUID(),
        lines: [{ words: 'Needles, pack of five', count: 1, each: 550 }],
        how: 'cash',
      },
    }),
    readSaleReceipt: () => ({ path: pathTo('readSaleReceipt', { sale: ids.sale }) }),
    countTill: () => ({
      path: pathTo('countTill', { day: toDay('2026-03-02') }),
      body: { id: randomUUID(), counted: 100, note: '' },
    }),
    readDaySheet: () => ({ path: pathTo('readDaySheet', { day: toDay('2026-03-02') }) }),
    listCollected: () => ({ path: ADDRESSES.listCollected.path }),
    search: () => ({ path: `${ADDRESSES.search.path}?find=${ids.find}` }),
    readShop: () => ({ path: ADDRESSES.readShop.path }),
    nameShop: () => ({ path: ADDRESSES.nameShop.path, body: { name: 'Bench Nowhere' } }),
    nameMyself: () => ({
      path: ADDRESSES.nameMyself.path,
      body: { name: 'Person', initials: 'PP' },
    }),
    changeShop: () => ({
      path: ADDRESSES.changeShop.path,
      body: { revision: 99, card: NEW_SHOP_PROFILE },
    }),
    readCustomer: () => ({
      path: pathTo('readCustomer', { customer: ids.customer }),
    }),
    changeCustomer: () => ({
      path: pathTo('changeCustomer', { customer: ids.customer }),
      body: { revision: 0, card: newCustomerProfile('Somebody else', '') },
    }),
    mergeCustomer: () => ({
      path: pathTo('mergeCustomer', { customer: ids.customer }),
      body: { into: randomUUID() },
    }),
    eraseCustomer: () => ({
      path: pathTo('eraseCustomer', { customer: ids.customer }),
    }),
    readMachine: () => ({ path: pathTo('readMachine', { machine: ids.machine }) }),
    readNeedles: () => ({ path: pathTo('readNeedles', { machine: ids.machine }) }),
    registerNeedle: () => ({
      path: pathTo('registerNeedle', { machine: ids.machine }),
      body: needleEntry(),
    }),
    changeMachine: () => ({
      path: pathTo('changeMachine', { machine: ids.machine }),
      body: { revision: 1, card: newMachineProfile('drop-in', 'Another'), customer: null },
    }),
    live: () => ({ path: ADDRESSES.live.path }),
  };
}
