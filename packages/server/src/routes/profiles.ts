import {
  type Audited,
  type CustomerFile,
  ENDPOINTS,
  type MachineFile,
  type MachineRecord,
} from '@nodo/api';
import { type Refusal, refuse } from '@nodo/kernel';
import { type MachineProfile, machineProfile } from '@nodo/shop';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import type { Caller } from '../auth/people.ts';
import type { Backups } from '../backup/backups.ts';
import type { DaySheets } from '../days/daySheets.ts';
import { erasePerson } from '../erasing/erasePerson.ts';
import { route } from '../http/route.ts';
import type { PhotoStore } from '../photos/photoStore.ts';
import type { Bills } from '../profiles/bills.ts';
import { type Customers, toCustomerProfile } from '../profiles/customers.ts';
import type { Machines } from '../profiles/machines.ts';
import type { MachineRow } from '../profiles/models.ts';
import type { Needles } from '../profiles/needles.ts';
import type { ShopProfiles } from '../profiles/shopProfiles.ts';
import { visitsOf } from '../profiles/visits.ts';
import type { EventStore } from '../store/port.ts';

export interface Profiles {
  readonly customers: Customers;
  readonly machines: Machines;
  readonly needles: Needles;
  readonly bills: Bills;
  readonly days: DaySheets;
  readonly sheets: ShopProfiles;
}

/** Customers, machines, and what holds for the whole shop. */
export function profileRoutes(
  app: Express,
  { people, audit }: Auth,
  { customers, machines, needles, sheets }: Profiles,
  store: EventStore,
  photos: PhotoStore,
  backups: Backups | undefined,
): void {
  const note = ({ shop, person }: Caller, what: Audited) =>
    audit.note({ shop: shop.id, person: person.id, what });
  const answerCustomer = async (shop: string, id: string) => {
    const file = await customerFile(customers, shop, id);
    return file ? { ok: true as const, answer: file } : refused('no-such-customer', 'customer');
  };
  const answerMachine = async (shop: string, id: string) => {
    const file = await machineFile(machines, store, shop, id);
    return file ? { ok: true as const, answer: file } : refused('no-such-machine', 'machine');
  };

  route(app, people, ENDPOINTS.readShop, async ({ session }) => ({
    ok: true,
    answer: await sheets.read(session.shop.id),
  }));

  route(app, people, ENDPOINTS.changeShop, async ({ body, session }) => {
    const changed = await sheets.change(session.shop.id, body);
    if (!changed) return { ok: false, refusal: refuse('card-moved', 'revision') };
    await note(session, 'shop-changed');
    return { ok: true, answer: changed };
  });

  route(app, people, ENDPOINTS.readCustomer, async ({ params, session }) => {
    const answer = await answerCustomer(session.shop.id, params.customer);
    if (answer.ok) await note(session, 'customer-read');
    return answer;
  });

  route(app, people, ENDPOINTS.changeCustomer, async ({ params, body, session }) => {
    const shop = session.shop.id;
    const changed = await customers.change(shop, params.customer, body.revision, body.card);
    if (changed !== 'changed') {
      return refused(changed, changed === 'no-such-customer' ? 'customer' : '');
    }
    await note(session, 'customer-changed');
    return answerCustomer(shop, params.customer);
  });

  route(app, people, ENDPOINTS.mergeCustomer, async ({ params, body, session }) => {
    const shop = session.shop.id;
    const changed = await customers.merge(shop, params.customer, body.into);
    if (changed !== 'changed') return { ok: false, refusal: refuse(changed, 'into') };
    await note(session, 'customer-merged');
    return answerCustomer(shop, params.customer);
  });

  route(app, people, ENDPOINTS.eraseCustomer, async ({ params, session }) => {
    const shop = session.shop.id;
    if (!(await erasePerson(customers, store, photos, shop, params.customer))) {
      return refused('no-such-customer', 'customer');
    }
    await backups?.noteErased(shop);
    await note(session, 'customer-erased');
    return answerCustomer(shop, params.customer);
  });

  route(app, people, ENDPOINTS.readMachine, async ({ params, session }) => {
    const answer = await answerMachine(session.shop.id, params.machine);
    if (answer.ok) await note(session, 'machine-read');
    return answer;
  });

  const answerNeedles = async (shop: string, machine: string) => {
    const file = await needles.file(shop, machine);
    return file ? { ok: true as const, answer: file } : refused('no-such-machine', 'machine');
  };

  route(app, people, ENDPOINTS.readNeedles, async ({ params, session }) => {
    const answer = await answerNeedles(session.shop.id, params.machine);
    if (answer.ok) await note(session, 'needles-read');
    return answer;
  });

  route(app, people, ENDPOINTS.registerNeedle, async ({ params, body, session }) => {
    const shop = session.shop.id;
    const { id, when, ...entry } = body;
    const { machine } = params;
    const kept = await needles.register(shop, { id, machine, by: session.person.id, when, entry });
    if (kept === 'no-such-machine') return refused(kept, 'machine');
    if (kept !== 'kept') {
      const path = kept === 'no-such-needle' ? 'opened' : 'id';
      return { ok: false, refusal: refuse(kept, path) };
    }
    return answerNeedles(shop, machine);
  });

  route(app, people, ENDPOINTS.changeMachine, async ({ params, body, session }) => {
    const shop = session.shop.id;
    const changed = await machines.change(shop, params.machine, session.person.id, body);
    if (changed !== 'changed') {
      return refused(changed, changed === 'no-such-machine' ? 'machine' : '');
    }
    await note(session, 'machine-changed');
    return answerMachine(shop, params.machine);
  });
}

function refused(code: Refusal['code'], param: string) {
  return { ok: false as const, refusal: refuse(code, param && `params.${param}`) };
}

async function customerFile(
  customers: Customers,
  shop: string,
  id: string,
): Promise<CustomerFile | undefined> {
  const known = await customers.find(shop, id);
  if (!known) return undefined;
  const { row, doubles, machines, tickets } = known;
  return {
    id,
    revision: row.revision,
    card: row.erasedAt ? null : toCustomerProfile(row),
    erasedAt: row.erasedAt?.toISOString() ?? null,
    mergedInto: row.mergedInto,
    doubles: doubles.map((double) => ({
      id: double.id,
      card: double.erasedAt ? null : toCustomerProfile(double),
    })),
    machines: machines.map(toRecord),
    tickets: [...tickets],
  };
}

async function machineFile(
  machines: Machines,
  store: EventStore,
  shop: string,
  id: string,
): Promise<MachineFile | undefined> {
  const known = await machines.find(shop, id);
  if (!known) return undefined;
  const { row, customerName, revisions, tickets } = known;
  const events = await store.loadAll(
    shop,
    tickets.map(({ ticket }) => ticket),
  );
  return {
    machine: toRecord(row),
    customerName,
    visits: [...visitsOf(tickets, events)],
    earlier: revisions.slice(1).map(({ revision, at, byPerson, card }) => ({
      revision,
      at: at.toISOString(),
      by: byPerson,
      card: profileAsNow(card),
    })),
  };
}

function toRecord({ id, customerId, revision, card }: MachineRow): MachineRecord {
  return { id, customer: customerId, revision, card: profileAsNow(card) };
}

/** A card as it was kept, with what cards of its time did not tell yet. */
function profileAsNow(card: MachineProfile): MachineProfile {
  return machineProfile.parse(card);
}
