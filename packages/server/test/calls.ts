import { randomUUID } from 'node:crypto';
import type { EndpointName } from '@nodo/contract';
import { ADDRESSES, fillAddress } from '@nodo/contract/addresses';
import { jpeg } from './jpeg.ts';
import { draftOf, intakeDraft, proposalDraft } from './shop.ts';

/** What calls are about. */
export interface Named {
  readonly ticket: string;
  readonly person: string;
  readonly screen: string;
  readonly link: string;
  readonly token: string;
  readonly photo: string;
}

/** What no shop has. */
export const NOTHING: Named = {
  ticket: randomUUID(),
  person: randomUUID(),
  screen: randomUUID(),
  link: randomUUID(),
  token: 'x'.repeat(43),
  photo: 'f'.repeat(64),
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
      path: fillAddress(ADDRESSES.changeAccount, { person: ids.person }),
      body: { role: 'counter' },
    }),
    resetAccount: () => ({
      path: fillAddress(ADDRESSES.resetAccount, { person: ids.person }),
      body: {},
    }),
    listScreens: () => ({ path: ADDRESSES.listScreens.path }),
    endScreen: () => ({ path: fillAddress(ADDRESSES.endScreen, { screen: ids.screen }) }),
    readReach: () => ({ path: ADDRESSES.readReach.path }),
    readAudit: () => ({ path: ADDRESSES.readAudit.path }),
    listLinks: () => ({ path: fillAddress(ADDRESSES.listLinks, { ticket: ids.ticket }) }),
    makeLink: () => ({
      path: fillAddress(ADDRESSES.makeLink, { ticket: ids.ticket }),
      body: { days: 7 },
    }),
    revokeLink: () => ({
      path: fillAddress(ADDRESSES.revokeLink, { ticket: ids.ticket, link: ids.link }),
    }),
    readShared: () => ({ path: fillAddress(ADDRESSES.readShared, { token: ids.token }) }),
    openTickets: () => ({ path: ADDRESSES.openTickets.path }),
    listPeople: () => ({ path: ADDRESSES.listPeople.path }),
    listTickets: () => ({ path: ADDRESSES.listTickets.path }),
    takeIn: () => ({
      path: ADDRESSES.takeIn.path,
      body: { ticket: randomUUID(), customer: null, drafts: [intakeDraft()] },
    }),
    readTicket: () => ({ path: fillAddress(ADDRESSES.readTicket, { ticket: ids.ticket }) }),
    recordEvent: () => ({
      path: fillAddress(ADDRESSES.recordEvent, { ticket: ids.ticket }),
      body: draftOf('findings-recorded', { check: 'winder', answers: { 'winder-on': 'no' } }),
    }),
    keepPhoto: () => ({
      path: fillAddress(ADDRESSES.keepPhoto, { ticket: ids.ticket }),
      body: jpeg({ width: 4, height: 3 }),
    }),
    readPhoto: () => ({
      path: fillAddress(ADDRESSES.readPhoto, { ticket: ids.ticket, photo: ids.photo }),
    }),
    readTables: () => ({ path: ADDRESSES.readTables.path }),
    listCandidates: () => ({ path: ADDRESSES.listCandidates.path }),
    recordTableEvent: () => ({
      path: ADDRESSES.recordTableEvent.path,
      body: proposalDraft({ kind: 'how-often', cause: 'needle-low', perMille: 61 }),
    }),
    live: () => ({ path: ADDRESSES.live.path }),
  };
}
