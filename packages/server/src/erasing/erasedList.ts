import { mkdir, readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { instant, uuid } from '@nodo/kernel';
import { Op, type Sequelize } from 'sequelize';
import { z } from 'zod';
import { withShop } from '../db/connect.ts';
import { defineModels } from '../db/models.ts';
import { writeWhole } from '../files/writeWhole.ts';

/** Whether a file is such a list, by its name. */
export const isErasedList = (name: string): boolean => /^erased-[0-9a-f-]{36}\.json$/.test(name);

/** Who was erased from a shop, by number alone: a backup of before still has them. */
const erased = z.object({
  shop: uuid,
  customers: z.array(z.object({ id: uuid, erasedAt: instant })),
});
type Erased = z.infer<typeof erased>;

/** Who was erased from a shop so far. */
export async function erasedOf(db: Sequelize, shop: string): Promise<Erased> {
  const { customers } = defineModels(db);
  const rows = await withShop(db, shop, (transaction) =>
    customers.findAll({ where: { shopId: shop, erasedAt: { [Op.ne]: null } }, transaction }),
  );
  return {
    shop,
    customers: rows.flatMap(({ id, erasedAt }) =>
      erasedAt ? [{ id, erasedAt: erasedAt.toISOString() }] : [],
    ),
  };
}

/** Writes it beside the backups; a list that was lost is whole again afterwards. */
export async function writeErased(db: Sequelize, shop: string, folder: string): Promise<void> {
  const list = await erasedOf(db, shop);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  await writeWhole(join(folder, `erased-${shop}.json`), JSON.stringify(list));
}

/** The lists that lie in a folder. @throws of one that cannot be read: somebody would come back unseen */
export async function readErased(folder: string): Promise<readonly Erased[]> {
  const names = (await readdir(folder)).filter(isErasedList);
  return Promise.all(
    names.map(async (name) => {
      const text = await readFile(join(folder, name), 'utf8');
      return erased.parse(JSON.parse(text));
    }),
  );
}
