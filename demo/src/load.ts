import { dayAfter, dayOf, instantAt } from '@nodo/kernel';
import { SHIPPED } from '@nodo/knowledge';
import {
  connect,
  type DatabaseSettings,
  defineModels,
  type EventStore,
  hashPassword,
  MemoryEventStore,
  Notices,
  PostgresEventStore,
  recordTables,
  ShopProfiles,
  withShop,
} from '@nodo/server';
import {
  type MachineTension,
  newCustomerProfile,
  newMachineProfile,
  UNKNOWN_TENSION,
} from '@nodo/shop';
import { BODY_COLOURS, type BodyColour } from '@nodo/ticket';
import { DemoBench } from './bench.ts';
import { DEMO_CALLS, type DemoCall } from './calls.ts';
import { demoCard } from './card.ts';
import { idOf } from './ids.ts';
import { LIVES } from './lives.ts';
import { PAST_VISITS, type PastVisit } from './past.ts';
import { DEMO_PEOPLE, DEMO_SHOP } from './people.ts';
import { DEMO_TICKETS, type DemoTicket } from './tickets.ts';
import type { DemoTime } from './time.ts';

/** How the demo shop was found, and how many tickets were put into it. */
export interface Loaded {
  readonly before: 'nothing' | 'unfinished' | 'whole';
  readonly tickets: number;
}

/**
 * Puts the demo shop into a database, or what is missing of it where an earlier try was
 * interrupted. Once whole it is marked, and never touched again.
 * @param onTicket called after each ticket, with how many there are in all
 */
export async function loadDemo(
  database: DatabaseSettings,
  time: DemoTime,
  onTicket: (done: number, of: number) => void = () => undefined,
): Promise<Loaded> {
  const db = connect(database, database.app, 4);
  try {
    const models = defineModels(db);
    const where = { id: DEMO_SHOP.id };
    const before = await withShop(db, DEMO_SHOP.id, async (transaction) => {
      const shop = await models.shops.findOne({ where, transaction });
      if (shop) return shop.filledAt ? 'whole' : 'unfinished';
      await models.shops.create(DEMO_SHOP, { transaction });
      for (const { password, ...person } of Object.values(DEMO_PEOPLE)) {
        await models.people.create(
          { shopId: DEMO_SHOP.id, ...person, passwordHash: await hashPassword(password) },
          { transaction },
        );
      }
      return 'nothing';
    });
    if (before === 'whole') return { before, tickets: 0 };
    const store = new PostgresEventStore(db);
    // Refused where somebody wrote one since.
    await new ShopProfiles(db, time.zone).change(DEMO_SHOP.id, {
      revision: 0,
      card: demoCard(time),
    });
    const memory = new MemoryEventStore();
    const past = new Map<string, DemoBench>();
    for (const visit of PAST_VISITS) {
      past.set(visit.name, await tellPast(memory, visit, time, past));
    }
    const benches = [...past.values()];
    for (const ticket of DEMO_TICKETS) benches.push(await tell(memory, ticket, time));
    for (const call of DEMO_CALLS) benches.push(await tellCall(memory, call, time));
    let tickets = 0;
    for (const [index, bench] of benches.entries()) {
      if (await write(store, memory, bench)) tickets += 1;
      onTicket(index + 1, benches.length);
    }
    const proposals = await store.tableEvents(DEMO_SHOP.id);
    if (proposals.length === 0) await propose(store, time);
    await withShop(db, DEMO_SHOP.id, (transaction) =>
      models.shops.update({ filledAt: time.now }, { where, transaction }),
    );
    if (before === 'unfinished' && tickets > 0) {
      await new Notices(db).add(DEMO_SHOP.id, { kind: 'demo-completed', tickets }, time.now);
    }
    return { before, tickets };
  } finally {
    await db.close();
  }
}

/**
 * Writes a ticket that was recorded in memory, all its entries at once: one transaction for a
 * ticket instead of one for each of its entries makes the first start several times shorter.
 * @returns false for one that is there already, or whose tag hangs on a machine of the user's
 */
async function write(
  store: EventStore,
  memory: EventStore,
  { ticket, known }: DemoBench,
): Promise<boolean> {
  const { events, rack } = await memory.newsOf(DEMO_SHOP.id, ticket, 0);
  if (!rack) throw new Error(`Demo ticket ${ticket} has no entries`);
  const { customerName: _name, customerPhone: _phone, ...summary } = rack;
  const version = { hash: SHIPPED.knowledge.hash, content: SHIPPED.source };
  const batch = { ticket, after: 0, events, summary, version, ...known };
  const appended = await store.append(DEMO_SHOP.id, batch);
  if (LEFT_ALONE.has(appended)) return false;
  if (appended !== 'appended') throw new Error(`Demo ticket ${ticket}: ${appended}`);
  return true;
}

/** Answers of the store for a ticket that is there already, and for a tag that hangs elsewhere. */
const LEFT_ALONE: ReadonlySet<string> = new Set(['seq-taken', 'id-taken', 'tag-taken']);

/** A change of the tables that waits for the lead to look at what it would do. */
async function propose(store: EventStore, { now }: DemoTime): Promise<void> {
  const { id: person, role } = DEMO_PEOPLE.halle;
  const yesterday = new Date(now.getTime() - DAY_MS);
  const recorded = await recordTables(
    store,
    {
      shop: DEMO_SHOP.id,
      actor: { person, role },
      command: {
        id: idOf('proposal'),
        type: 'change-proposed',
        command: {
          change: { kind: 'how-often', cause: 'needle-low', perMille: 60 },
          reason: 'Six of our last hundred had it, each after the owner changed the needle.',
        },
        observedAt: yesterday.toISOString(),
        device: `bench of ${DEMO_PEOPLE.halle.name}`,
      },
    },
    () => yesterday,
  );
  if (!recorded.ok) throw new Error(`Demo proposal: ${JSON.stringify(recorded.refusal)}`);
}

/** The id of a demo ticket, by its shelf tag. */
export function demoTicketId(tag: number): string {
  return idOf(`ticket ${tag}`);
}

/** The colour that a demo machine is called by. */
function colourIn(label: string): BodyColour | null {
  const [word = ''] = label.toLowerCase().split(' ');
  return COLOUR_WORDS.get(word) ?? null;
}

const COLOUR_WORDS = new Map<string, BodyColour>([
  ...BODY_COLOURS.map((colour) => [colour, colour] as const),
  ...(
    [
      ['white', 'dove ivory pearl'],
      ['cream', 'sand lemon'],
      ['grey', 'slate graphite ash'],
      ['black', 'onyx jet'],
      ['red', 'rust coral'],
      ['pink', 'rose'],
      ['purple', 'plum lilac'],
      ['blue', 'navy sky'],
      ['green', 'mint sage olive fern'],
      ['yellow', 'ochre amber'],
      ['orange', 'apricot tangerine copper'],
      ['brown', 'walnut'],
    ] as const
  ).flatMap(([colour, words]) => words.split(' ').map((word) => [word, colour] as const)),
]);

/** Whose machine it is, as the counter writes it down; the same every time they come. */
function known(
  time: DemoTime,
  family: string,
  label: string,
  [name, phone]: readonly [string, string],
) {
  const customer = idOf(`customer ${name}`);
  const machine = idOf(`machine ${name} ${label}`);
  const plate = MODELS[label.length % MODELS.length] ?? '';
  const serial = `${plate.slice(0, 1)}${machine.replaceAll(/[^0-9]/g, '').slice(0, 6)}`;
  const needles = label === 'Nine-needle head' ? 9 : 1;
  const card = {
    ...newMachineProfile(family, label),
    colour: colourIn(label),
    model: plate,
    serial,
    needles,
    tension: tensionKnown(time, label),
  };
  return {
    customer: { id: customer, ...newCustomerProfile(name, phone) },
    machine: { id: machine, card },
  };
}

/** What an earlier visit left on the record of one machine. */
function tensionKnown({ now, zone }: DemoTime, label: string): MachineTension {
  if (label !== 'Red portable') return UNKNOWN_TENSION;
  const day = dayAfter(dayOf(now.toISOString(), zone), -75);
  return {
    ...UNKNOWN_TENSION,
    baseline: {
      day,
      by: 'gauge',
      free: 3,
      pulls: [
        { dial: 2, pull: 31, going: 'up' },
        { dial: 4, pull: 60, going: 'up' },
        { dial: 6, pull: 106, going: 'up' },
        { dial: 4, pull: 63, going: 'down' },
        { dial: 2, pull: 33, going: 'down' },
      ],
      bobbin: 24,
    },
    worked: [
      {
        day,
        top: 'tex 30 polyester',
        bobbin: 'tex 30 polyester',
        fabric: '2 x plain cotton',
        dial: 4,
        screw: 0,
        wanted: 0,
      },
      {
        day,
        top: 'tex 40 cotton',
        bobbin: 'tex 30 polyester',
        fabric: '3 x quilt',
        dial: 5.5,
        screw: 0,
        wanted: 0,
      },
    ],
  };
}

/** Somebody who came with two machines, one of which came back. */
export const DEMO_CUSTOMER = {
  customer: idOf('customer Jasper Holtquist'),
  machine: idOf('machine Jasper Holtquist Ash zigzag'),
} as const;

/** What stands on the plates; no maker has these. */
const MODELS = ['Tarnholt 12', 'Tarnholt 40', 'Quillbeck 7', 'Ostermoor 3'];

async function tell(store: EventStore, told: DemoTicket, time: DemoTime): Promise<DemoBench> {
  const id = demoTicketId(told.tag);
  const bench = new DemoBench(store, id, arrival(time, told.came));
  const { family, label, tag, shelf, words } = told;
  const rows = known(time, family, label, told.customer);
  const { customer, machine } = rows;
  const first = {
    family,
    label,
    colour: colourIn(label),
    tag,
    shelf,
    words,
    customer: customer.id,
    machine: machine.id,
  };
  await bench.record('mirra', 'intake-taken', first, rows);
  await bench.complains(told.complaint);
  const context = [
    ...(told.context?.yes ?? []).map((finding) => [finding, 'yes'] as const),
    ...(told.context?.no ?? []).map((finding) => [finding, 'no'] as const),
  ];
  if (context.length > 0) {
    await bench.record('mirra', 'findings-recorded', {
      check: 'context',
      answers: Object.fromEntries(context),
    });
  }
  bench.wait(35);
  await told.story?.(bench);
  await LIVES[tag]?.(bench, (days) => dayAfter(dayOf(time.now.toISOString(), time.zone), days));
  return bench;
}

/** A visit of weeks ago, from the counter to the counter. */
async function tellPast(
  store: EventStore,
  visit: PastVisit,
  time: DemoTime,
  benches: ReadonlyMap<string, DemoBench>,
): Promise<DemoBench> {
  const { name, family, label, words, complaint, cause, by, part, minutes, refused } = visit;
  const bench = new DemoBench(store, pastTicketId(name), arrival(time, visit.came));
  const rows = known(time, family, label, visit.customer);
  await bench.record(
    'mirra',
    'intake-taken',
    {
      family,
      label,
      colour: colourIn(label),
      // Past the tags that hang now.
      tag: 60 + PAST_VISITS.indexOf(visit),
      shelf: 'D',
      words,
      customer: rows.customer.id,
      machine: rows.machine.id,
      comebackOf: visit.comebackOf === undefined ? null : pastTicketId(visit.comebackOf),
    },
    rows,
  );
  await bench.complains(complaint);
  if (visit.comebackOf !== undefined) {
    const earlier = benches.get(visit.comebackOf)?.goTo(arrival(time, visit.came));
    await earlier?.record('mirra', 'came-back', { ticket: pastTicketId(name) });
  }
  await bench.wait(60 * 20).record(by, 'clock-started', {});
  if (refused === undefined) {
    await bench.findAndFix(by, cause);
    await visit.marks?.(bench, by);
    if (part) {
      const [partWords, each] = part;
      await bench.record(by, 'part-fitted', { words: partWords, count: 1, each });
    }
    await bench.proveAndClose(by);
    await bench.bill('mirra', minutes);
  } else {
    const price = { amount: refused, words: 'cleaning and setting it throughout' };
    await bench.record(by, 'price-asked', price);
    const no = { agreed: false, how: 'telephone' as const, words: 'Then I buy a new one' };
    await bench.wait(120).record('mirra', 'price-answered', no);
    await bench.record(by, 'ticket-closed', { unrepaired: true });
  }
  await bench.wait(60).record('mirra', 'customer-told', { how: 'telephone', words: '' });
  if (!visit.unfetched) await bench.wait(60 * 44).record('mirra', 'machine-collected', {});
  return bench;
}

/** The id of a visit of weeks ago, by its name. */
function pastTicketId(name: string): string {
  return idOf(`past ${name}`);
}

/** Somebody rang up: cured on the telephone, or to be brought in. */
async function tellCall(store: EventStore, call: DemoCall, time: DemoTime): Promise<DemoBench> {
  const bench = new DemoBench(store, idOf(`call ${call.label}`), arrival(time, call.came));
  const { family, label, words } = call;
  const rows = known(time, family, label, call.customer);
  const { customer, machine } = rows;
  const first = {
    family,
    label,
    colour: colourIn(label),
    words,
    customer: customer.id,
    machine: machine.id,
  };
  await bench.record('mirra', 'call-taken', first, rows);
  await bench.complains(call.complaint);
  await call.story(bench);
  return bench;
}

const DAY_MS = 86_400_000;
const MINUTE_PAST = 5;
/** So long ago at least, so that nothing that follows lies in the future. */
const LEAST_AGO_MS = 3 * 3_600_000;

/** When a machine came: so many days ago, just past an hour on the shop's clock. */
function arrival({ now, zone }: DemoTime, [daysAgo, hour]: readonly [number, number]): Date {
  const day = dayAfter(dayOf(now.toISOString(), zone), -daysAgo);
  const came = new Date(instantAt({ day, minute: hour * 60 + MINUTE_PAST }, zone));
  return new Date(Math.min(came.getTime(), now.getTime() - LEAST_AGO_MS));
}
