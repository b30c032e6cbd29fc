import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, rename, stat } from 'node:fs/promises';
import { join } from 'node:path';

/**
 * Photos as files outside the database, each shop's in a folder of its own, named by what is
 * in them: the same photo sent twice is kept once.
 */
export class PhotoStore {
  constructor(private readonly folder: string) {}

  /** @returns the photo's name. On the disk before it answers. */
  async keep(shop: string, bytes: Buffer): Promise<string> {
    const photo = createHash('sha256').update(bytes).digest('hex');
    if (await this.has(shop, photo)) return photo;
    const path = this.path(shop, photo);
    await mkdir(join(this.folder, shop), { recursive: true, mode: 0o700 });
    const unfinished = `${path}.${randomUUID()}`;
    const file = await open(unfinished, 'wx', 0o600);
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(unfinished, path);
    return photo;
  }

  async has(shop: string, photo: string): Promise<boolean> {
    return stat(this.path(shop, photo)).then(
      (file) => file.isFile(),
      () => false,
    );
  }

  /** @param photo a name that the contract let through: nothing that leaves the folder. */
  path(shop: string, photo: string): string {
    return join(this.folder, shop, `${photo}.jpg`);
  }
}
