import {
  connect,
  type DatabaseSettings,
  defineModels,
  type EventStore,
  hashPassword,
  PostgresEventStore,
  recordTables,
  withShop,
} from '@nodo/server';
import { DemoBench } from './bench.ts';
import { idOf } from './ids.ts';
import { DEMO_PEOPLE, DEMO_SHOP } from './people.ts';
import { DEMO_TICKETS, type DemoTicket } from './tickets.ts';

/**
 * Puts the demo shop into an empty database.
 * @param today what the demo calls today
 * @returns how many tickets were told; 0 when the shop was there already
 */
export async function loadDemo(database: DatabaseSettings, today: Date): Promise<number> {
  const db = connect(database, database.app, 4);
  try {
    const models = defineModels(db);
    const fresh = await withShop(db, DEMO_SHOP.id, async (transaction) => {
      if (await models.shops.findOne({ where: { id: DEMO_SHOP.id }, transaction })) return false;
      await models.shops.create(DEMO_SHOP, { transaction });
      for (const { password, ...person } of Object.values(DEMO_PEOPLE)) {
        await models.people.create(
          { shopId: DEMO_SHOP.id, ...person, passwordHash: await hashPassword(password) },
          { transaction },
        );
      }
      return true;
    });
    if (!fresh) return 0;
    const store = new PostgresEventStore(db);
    for (const ticket of DEMO_TICKETS) await tell(store, ticket, today);
    await propose(store, today);
    return DEMO_TICKETS.length;
  } finally {
    await db.close();
  }
}

/** A change of the tables that waits for the lead to look at what it would do. */
async function propose(store: EventStore, today: Date): Promise<void> {
  const { id: person, role } = DEMO_PEOPLE.halle;
  const yesterday = new Date(today.getTime() - DAY_MS);
  const recorded = await recordTables(
    store,
    {
      shop: DEMO_SHOP.id,
      actor: { person, role },
      draft: {
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

async function tell(store: EventStore, told: DemoTicket, today: Date): Promise<void> {
  const id = demoTicketId(told.tag);
  const [name, phone] = told.customer;
  const bench = new DemoBench(store, id, arrival(today, told.came));
  await bench.record(
    'mirra',
    'intake-taken',
    {
      family: told.family,
      label: told.label,
      tag: told.tag,
      shelf: told.shelf,
      words: told.words,
      customer: idOf(`customer ${id}`),
    },
    { name, phone },
  );
  await bench.record('mirra', 'findings-recorded', {
    check: 'complaint',
    answers: Object.fromEntries(told.complaint.map((finding) => [finding, 'yes' as const])),
  });
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
}

const DAY_MS = 86_400_000;

/** The hour on that day; never later than an hour ago, so that nothing lies in the future. */
function arrival(today: Date, [daysAgo, hour]: readonly [number, number]): Date {
  const day = new Date(today.getTime() - daysAgo * DAY_MS);
  day.setHours(hour, 5, 0, 0);
  const latest = today.getTime() - 3 * 3_600_000;
  return new Date(Math.min(day.getTime(), latest));
}
