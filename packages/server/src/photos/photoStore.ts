import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Transformer } from '@napi-rs/image';
import { inTurn } from '../store/inTurn.ts';

/** Wide enough for a strip of photos on a sharp screen. */
const SMALL_WIDTH = 320;
const SMALL_QUALITY = 72;

/**
 * Photos as files outside the database, each shop's in a folder of its own, named by what is
 * in them: the same photo sent twice is kept once.
 */
export class PhotoStore {
  private readonly oneByOne = inTurn();

  constructor(private readonly folder: string) {}

  /** @returns the photo's name. On the disk before it answers. */
  async keep(shop: string, bytes: Buffer): Promise<string> {
    const photo = createHash('sha256').update(bytes).digest('hex');
    if (await this.has(shop, photo)) return photo;
    await this.write(this.path(shop, photo), bytes);
    return photo;
  }

  /** Removes a picture for good: a signature of somebody who was erased. */
  async remove(shop: string, photo: string): Promise<void> {
    await Promise.all([
      rm(this.path(shop, photo), { force: true }),
      rm(this.smallPath(shop, photo), { force: true }),
    ]);
  }

  /** Shops that have pictures. */
  async shops(): Promise<readonly string[]> {
    const found = await readdir(this.folder, { withFileTypes: true }).catch(() => []);
    return found.filter((one) => one.isDirectory()).map(({ name }) => name);
  }

  /** Pictures of a shop that were last written before an instant. */
  async olderThan(shop: string, instant: Date): Promise<readonly string[]> {
    const files = await readdir(join(this.folder, shop));
    const photos = files.flatMap((file) => /^([0-9a-f]{64})\.jpg$/.exec(file)?.[1] ?? []);
    const old = await Promise.all(
      photos.map(async (photo) => (await stat(this.path(shop, photo))).mtime < instant),
    );
    return photos.filter((_, index) => old[index]);
  }

  async has(shop: string, photo: string): Promise<boolean> {
    return isFile(this.path(shop, photo));
  }

  /**
   * Where the photo lies in small, for lists and strips; made when it is asked for first.
   * @returns undefined when there is no such photo
   */
  async small(shop: string, photo: string): Promise<string | undefined> {
    const path = this.smallPath(shop, photo);
    if (await isFile(path)) return path;
    // One after the other: each takes the memory of all its pixels.
    return this.oneByOne('small', () => this.makeSmall(shop, photo));
  }

  private async makeSmall(shop: string, photo: string): Promise<string | undefined> {
    const path = this.smallPath(shop, photo);
    // Whoever waited for the same one finds it made.
    if (await isFile(path)) return path;
    const whole = await readFile(this.path(shop, photo)).catch(() => undefined);
    if (!whole) return undefined;
    try {
      await this.write(path, await new Transformer(whole).resize(SMALL_WIDTH).jpeg(SMALL_QUALITY));
      return path;
    } catch {
      // Cut off within the picture: a browser shows what there is of it, so it is shown whole.
      return this.path(shop, photo);
    }
  }

  private smallPath(shop: string, photo: string): string {
    return join(this.folder, shop, `${photo}.small.jpg`);
  }

  /** On the disk before it answers, whole or not at all. */
  private async write(path: string, bytes: Buffer): Promise<void> {
    await mkdir(dirname(path), { recursive: true, mode: 0o700 });
    const unfinished = `${path}.${randomUUID()}`;
    const file = await open(unfinished, 'wx', 0o600);
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(unfinished, path);
  }

  /** @param photo a name that the contract let through: nothing that leaves the folder. */
  path(shop: string, photo: string): string {
    return join(this.folder, shop, `${photo}.jpg`);
  }
}

function isFile(path: string): Promise<boolean> {
  return stat(path).then(
    (file) => file.isFile(),
    () => false,
  );
}
