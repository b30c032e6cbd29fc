import { z } from 'zod';
import { uuid } from '../text.ts';
import { photoId } from '../tickets/events/photoKept.ts';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint, EVERY_ROLE } from './endpoint.ts';

/**
 * Keeps a photo (JPEG, `image/jpeg`) for a ticket, without anything in it that is not the
 * picture. It belongs to the ticket once a `photo-kept` entry names it.
 */
export const keepPhoto = defineEndpoint({
  ...ADDRESSES.keepPhoto,
  roles: ['counter', 'technician', 'lead'],
  params: z.object({ ticket: uuid }),
  body: z.instanceof(Uint8Array),
  answer: z.object({
    photo: photoId,
    width: z.number().int().positive(),
    height: z.number().int().positive(),
  }),
});

/** The photo itself, for whoever may read its ticket. */
export const readPhoto = defineEndpoint({
  ...ADDRESSES.readPhoto,
  roles: EVERY_ROLE,
  params: z.object({ ticket: uuid, photo: photoId }),
  body: z.undefined(),
  answer: z.never(),
});
