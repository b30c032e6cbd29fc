import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { FIRST_LOGIN, openOwnShop } from './ownShop.ts';
import { givenSettings, runOnce } from './process.ts';

// NODO_SHOP: its id, where the start command keeps it; without one each run makes another shop.
// The argument: how its first lead signs in, once in the whole database.
await runOnce(async () => {
  const { database } = givenSettings();
  const shop = z.uuid().parse(process.env.NODO_SHOP ?? randomUUID());
  const login = process.argv[2] ?? FIRST_LOGIN;
  const made = await openOwnShop(database, shop, login, () => new Date());
  process.stdout.write(`${JSON.stringify({ shop, ...made })}\n`);
});
