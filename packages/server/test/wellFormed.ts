import { randomUUID } from 'node:crypto';
import { ADDRESSES, type EndpointName, pathTo } from '@nodo/api';
import { toDay } from '@nodo/kernel';
import { NEW_SHOP_PROFILE, newCustomerProfile, newMachineProfile, USUAL_TIME } from '@nodo/shop';
import tablesV1 from '../../tables/test/golden/tables-v1.json' with { type: 'json' };
import eventsV2 from '../../ticket/test/golden/events-v2.json' with { type: 'json' };
import eventsV4 from '../../ticket/test/golden/events-v4.json' with { type: 'json' };
import eventsV7 from '../../ticket/test/golden/events-v7.json' with { type: 'json' };
import { intakeCommand, needleEntry } from './shop.ts';

export type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** What was stored once, as a screen would have sent it. */
function commandIn({ body, ...rest }: { readonly body: object }): Json {
  return { ...rest, id: randomUUID(), command: body } as unknown as Json;
}

const somebody = randomUUID();

/** A body of every route that takes one, as a page sends it. @param ticket one of the shop's */
export function wellFormed(
  ticket: string,
  pick: <Item>(items: readonly Item[]) => Item,
): readonly (() => {
  readonly name: Exclude<EndpointName, 'keepPhoto'>;
  readonly path: string;
  readonly body: Json;
})[] {
  return [
    () => ({
      name: 'signIn',
      path: ADDRESSES.signIn.path,
      body: { login: 'nobody', password: 'nothing' },
    }),
    () => ({
      name: 'changePerson',
      path: ADDRESSES.changePerson.path,
      body: { person: somebody, pin: '1234' },
    }),
    () => ({
      name: 'setPin',
      path: ADDRESSES.setPin.path,
      body: { password: 'not the password', pin: '1234' },
    }),
    () => ({
      name: 'changePassword',
      path: ADDRESSES.changePassword.path,
      body: { password: 'not the password', fresh: 'a fresh password' },
    }),
    () => ({
      name: 'redeemCode',
      path: ADDRESSES.redeemCode.path,
      body: { login: 'nobody', code: 'aaaa-bbbb-cccc-dddd', password: 'a fresh password' },
    }),
    () => ({
      name: 'nameScreen',
      path: ADDRESSES.nameScreen.path,
      body: { device: 'Bench two' },
    }),
    () => ({
      name: 'setBackupPassphrase',
      path: ADDRESSES.setBackupPassphrase.path,
      body: { passphrase: 'three needles ütz 👩‍🔧', keep: 14 },
    }),
    () => ({
      name: 'importRows',
      path: ADDRESSES.importRows.path,
      body: {
        kind: 'machines',
        text: 'owner,machine\n,Zoë 👩‍🔧\n',
        separator: ',',
        matching: { customer_name: 0, name: 1 },
        usual: 'drop-in',
        apply: false,
      },
    }),
    () => ({
      name: 'makeFeed',
      path: ADDRESSES.makeFeed.path,
      body: { what: 'promised' },
    }),
    () => ({
      name: 'makeToken',
      path: ADDRESSES.makeToken.path,
      body: { password: 'not the password', name: 'Till 👩‍🔧', scope: 'write', days: 30 },
    }),
    () => ({
      name: 'lookAt',
      path: ADDRESSES.lookAt.path,
      body: { ticket, check: 'winder' },
    }),
    () => ({
      name: 'invitePerson',
      path: ADDRESSES.invitePerson.path,
      body: { login: `p-${randomUUID()}`, name: 'Zoë 👩‍🔧 بنت', initials: 'Z', role: 'learner' },
    }),
    () => ({
      name: 'changeAccount',
      path: pathTo('changeAccount', { person: somebody }),
      body: { role: 'counter', locked: false },
    }),
    () => ({
      name: 'makeLink',
      path: pathTo('makeLink', { ticket }),
      body: { days: 7 },
    }),
    () => ({
      name: 'nameShop',
      path: ADDRESSES.nameShop.path,
      body: { name: 'Bench Elsewhere' },
    }),
    () => ({
      name: 'nameMyself',
      path: ADDRESSES.nameMyself.path,
      body: { name: 'Wenna Ó’Kelt', initials: 'WK' },
    }),
    () => ({
      name: 'changeShop',
      path: ADDRESSES.changeShop.path,
      body: {
        revision: 99,
        card: {
          ...NEW_SHOP_PROFILE,
          closed: [{ from: '2026-12-24', until: '2026-12-26', words: 'Closed' }],
          people: { [somebody]: USUAL_TIME },
        },
      },
    }),
    () => ({
      name: 'changeCustomer',
      path: pathTo('changeCustomer', { customer: somebody }),
      body: { revision: 0, card: newCustomerProfile('Wenna Ó’Kelt', '000 0111') },
    }),
    () => ({
      name: 'mergeCustomer',
      path: pathTo('mergeCustomer', { customer: somebody }),
      body: { into: randomUUID() },
    }),
    () => ({
      name: 'registerNeedle',
      path: pathTo('registerNeedle', { machine: somebody }),
      body: needleEntry(),
    }),
    () => ({
      name: 'makeSale',
      path: ADDRESSES.makeSale.path,
      body: { id: randomUUID(), lines: [{ words: 'Oil', count: 2, each: 550 }], how: 'card' },
    }),
    () => ({
      name: 'countTill',
      path: pathTo('countTill', { day: toDay('2026-03-02') }),
      body: { id: randomUUID(), counted: 12_050, note: 'Two notes stuck together' },
    }),
    () => ({
      name: 'issueBill',
      path: pathTo('issueBill', { ticket }),
      body: { id: randomUUID(), kind: 'credit', reason: 'Wrong part' },
    }),
    () => ({
      name: 'changeMachine',
      path: pathTo('changeMachine', { machine: somebody }),
      body: {
        revision: 1,
        customer: null,
        card: {
          ...newMachineProfile('drop-in', 'Mint'),
          traits: ['bobbin'],
          service: { 'hook-gap': { least: 0.05, most: 0.1, from: 'Manual, page 12' } },
        },
      },
    }),
    () => ({
      name: 'takeIn',
      path: ADDRESSES.takeIn.path,
      body: {
        ticket: randomUUID(),
        customer: { id: randomUUID(), name: 'Mrs O’Kelt', phone: '000 0178' },
        drafts: [intakeCommand() as unknown as Json],
      },
    }),
    () => ({
      name: 'recordEvent',
      path: pathTo('recordEvent', { ticket }),
      body: commandIn(pick([...eventsV2.events, ...eventsV4.events, ...eventsV7.events])),
    }),
    () => ({
      name: 'recordTableEvent',
      path: ADDRESSES.recordTableEvent.path,
      body: commandIn(pick(tablesV1.events)),
    }),
  ];
}
