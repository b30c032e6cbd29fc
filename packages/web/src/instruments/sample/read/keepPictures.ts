import { SAMPLE_SIDES, type SampleSide } from '@nodo/core';
import { call } from '../../../api/client.ts';
import { bytesOf, drawPhoto, jpegOf } from '../../../ticket/photo/drawPhoto.ts';

/** Sends the pictures of a sample, so that entries can name them; undefined where one did not arrive. */
export async function keepPictures(
  ticket: string,
  pictures: Readonly<Partial<Record<SampleSide, Blob>>>,
): Promise<Readonly<Partial<Record<SampleSide, string>>> | undefined> {
  const photos: Partial<Record<SampleSide, string>> = {};
  for (const side of SAMPLE_SIDES) {
    const picture = pictures[side];
    if (!picture) continue;
    const canvas = document.createElement('canvas');
    await drawPhoto(picture, canvas);
    const body = await bytesOf(await jpegOf(canvas));
    const sent = await call({ name: 'keepPhoto', params: { ticket }, body });
    if ('error' in sent) return undefined;
    photos[side] = sent.data.photo;
  }
  return photos;
}
