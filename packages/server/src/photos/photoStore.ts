import { createHash } from 'node:crypto';
import { Transformer } from '@napi-rs/image';
import type { Blobs } from '../files/blobs.ts';
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

  constructor(private readonly blobs: Blobs) {}

  /** @returns the photo's name. Kept for good before it answers. */
  async keep(shop: string, bytes: Buffer): Promise<string> {
    const photo = createHash('sha256').update(bytes).digest('hex');
    if (await this.has(shop, photo)) return photo;
    await this.blobs.write(nameOf(shop, photo), bytes);
    return photo;
  }

  /** Removes a picture for good: a signature of somebody who was erased. */
  async remove(shop: string, photo: string): Promise<void> {
    await Promise.all([
      this.blobs.remove(nameOf(shop, photo)),
      this.blobs.remove(smallNameOf(shop, photo)),
    ]);
  }

  /** Shops that have pictures. */
  shops(): Promise<readonly string[]> {
    return this.blobs.folders();
  }

  /** Pictures of a shop that were last written before an instant. */
  async olderThan(shop: string, instant: Date): Promise<readonly string[]> {
    const files = await this.blobs.list(shop);
    return files.flatMap(({ file, at }) => {
      const photo = /^([0-9a-f]{64})\.jpg$/.exec(file)?.[1];
      return photo !== undefined && at < instant ? [photo] : [];
    });
  }

  has(shop: string, photo: string): Promise<boolean> {
    return this.blobs.has(nameOf(shop, photo));
  }

  /** @returns undefined when there is no such photo */
  read(shop: string, photo: string): Promise<Buffer | undefined> {
    return this.blobs.read(nameOf(shop, photo));
  }

  /**
   * The photo in small, for lists and strips; made when it is asked for first.
   * @returns undefined when there is no such photo
   */
  async small(shop: string, photo: string): Promise<Buffer | undefined> {
    return (
      (await this.blobs.read(smallNameOf(shop, photo))) ??
      // One after the other: each takes the memory of all its pixels.
      this.oneByOne('small', () => this.makeSmall(shop, photo))
    );
  }

  private async makeSmall(shop: string, photo: string): Promise<Buffer | undefined> {
    const name = smallNameOf(shop, photo);
    // Whoever waited for the same one finds it made.
    const made = await this.blobs.read(name);
    if (made) return made;
    const whole = await this.read(shop, photo);
    if (!whole) return undefined;
    let small: Buffer;
    try {
      small = await new Transformer(whole).resize(SMALL_WIDTH).jpeg(SMALL_QUALITY);
    } catch {
      // Cut off within the picture: a browser shows what there is of it, so it is shown whole.
      return whole;
    }
    await this.blobs.write(name, small);
    return small;
  }
}

/** @param photo a name that the contract let through: nothing that leaves the shop's folder. */
function nameOf(shop: string, photo: string): string {
  return `${shop}/${photo}.jpg`;
}

function smallNameOf(shop: string, photo: string): string {
  return `${shop}/${photo}.small.jpg`;
}
