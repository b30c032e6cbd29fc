import { z } from 'zod';
import { settings } from './config/settings.ts';
import { openOwnShop } from './ownShop.ts';

const { database } = settings.parse(JSON.parse(process.env.NODO_SETTINGS ?? '{}'));
const shop = z.uuid().parse(process.env.NODO_SHOP);
process.stdout.write(`${JSON.stringify(await openOwnShop(database, shop, () => new Date()))}\n`);
