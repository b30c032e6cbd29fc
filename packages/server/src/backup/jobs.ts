import { SHORTEST_PASSPHRASE, USUALLY_KEPT } from '@nodo/api';
import { z } from 'zod';
import { backupPlace, settings } from '../config/settings.ts';
import { connect, withShop } from '../db/connect.ts';
import { defineModels } from '../db/models.ts';
import { readErased } from '../erasing/erasedList.ts';
import { erasePerson } from '../erasing/erasePerson.ts';
import { blobsIn } from '../files/blobsIn.ts';
import { MIGRATIONS } from '../migrations/index.ts';
import { PhotoStore } from '../photos/photoStore.ts';
import { Customers } from '../profiles/customers.ts';
import { PostgresEventStore } from '../store/postgres.ts';
import { BackupFolder } from './folder.ts';
import { BackupFault } from './format.ts';
import { source } from './gather.ts';
import { keyOf, newKey } from './keys.ts';
import { type BackupWorld, makeBackup } from './make.ts';
import { lookInto, openBackup } from './open.ts';

/** The last of them is what a backup of a newer Nodo is told by. */
const KNOWN = MIGRATIONS.map(({ name }) => name);

const job = z.discriminatedUnion('job', [
  /** Whether there is a key, and how many backups are kept. */
  z.object({ job: z.literal('status'), place: backupPlace }),
  z.object({
    job: z.literal('set-passphrase'),
    place: backupPlace,
    passphrase: z.string().min(1),
    keep: z.number().int(),
  }),
  z.object({ job: z.literal('make'), place: backupPlace, schema: z.string(), source }),
  z.object({ job: z.literal('look'), file: z.string() }),
  z.object({
    job: z.literal('open'),
    file: z.string(),
    passphrase: z.string(),
    into: z.string(),
    /** Where the next backups will lie. */
    place: backupPlace,
  }),
  /** After a restore: erases again who was erased since. */
  z.object({ job: z.literal('erase'), lists: z.string(), settings }),
]);

/** Does what the start command or one of its sisters asks for. @throws BackupFault */
export async function doBackupJob(given: unknown, world: BackupWorld): Promise<object> {
  const { now } = world;
  const asked = job.parse(given);
  switch (asked.job) {
    case 'status':
      return statusOf(new BackupFolder(asked.place));
    case 'set-passphrase': {
      const key = await newKey(asked.passphrase, asked.keep, now());
      await new BackupFolder(asked.place).setKey(key);
      return {};
    }
    case 'make':
      return makeBackup(asked.source, new BackupFolder(asked.place), asked.schema, world);
    case 'look': {
      const { about } = await lookInto(asked.file);
      if (!KNOWN.includes(about.schema)) throw new BackupFault('newer-data', about.schema);
      return about;
    }
    case 'open': {
      const opened = await openBackup(asked.file, asked.passphrase, asked.into, KNOWN);
      const folder = new BackupFolder(asked.place);
      // The next ones are opened by the same passphrase, unless another was set there since.
      if (!(await folder.key())) {
        await folder.setKey(await keyOf(opened.key, opened.identity, USUALLY_KEPT, now()));
      }
      return opened.listing;
    }
    case 'erase':
      return eraseAgain(asked.lists, asked.settings);
  }
}

async function statusOf(folder: BackupFolder): Promise<object> {
  const [key, [latest]] = await Promise.all([folder.key(), folder.kept()]);
  return {
    hasPassphrase: key !== undefined,
    keep: key?.keep ?? null,
    usuallyKept: USUALLY_KEPT,
    shortestPassphrase: SHORTEST_PASSPHRASE,
    latest: latest?.at.toISOString() ?? null,
  };
}

async function eraseAgain(
  lists: string,
  { database, photos }: z.infer<typeof settings>,
): Promise<{ readonly lists: number; readonly erased: number }> {
  const known = await readErased(lists).catch((fault: unknown) => {
    throw new BackupFault('damaged', `the list of the erased beside it: ${String(fault)}`);
  });
  const db = connect(database, database.app, 2);
  try {
    const store = new PostgresEventStore(db);
    const pictures = new PhotoStore(await blobsIn(photos));
    let count = 0;
    for (const { shop, customers } of known) {
      for (const { id, erasedAt } of customers) {
        // Asked each time: a double is erased together with its other one.
        const isNamed = await withShop(db, shop, (transaction) =>
          defineModels(db).customers.findOne({
            where: { shopId: shop, id, erasedAt: null },
            transaction,
          }),
        );
        if (!isNamed) continue;
        const then = new Customers(db, () => new Date(erasedAt));
        if (await erasePerson(then, store, pictures, shop, id)) count += 1;
      }
    }
    return { lists: known.length, erased: count };
  } finally {
    await db.close();
  }
}
