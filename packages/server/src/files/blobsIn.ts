import { mkdir } from 'node:fs/promises';
import type { Settings } from '../config/settings.ts';
import { type Blobs, folderBlobs } from './blobs.ts';
import { objectBlobs } from './objectBlobs.ts';

/** Where photos are kept, as the settings say. */
export async function blobsIn(place: Settings['photos']): Promise<Blobs> {
  if (typeof place !== 'string') return objectBlobs(place);
  await mkdir(place, { recursive: true, mode: 0o700 });
  return folderBlobs(place);
}
