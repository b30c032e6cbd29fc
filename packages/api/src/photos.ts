import { AT_THE_COUNTER, EVERY_ROLE, sha256, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/**
 * Keeps a photo (JPEG, `image/jpeg`) for a ticket, without anything in it that is not the
 * picture. It belongs to the ticket once a `photo-kept` entry names it.
 */
export const keepPhoto = defineEndpoint({
  ...ADDRESSES.keepPhoto,
  takes: 'image/jpeg',
  roles: AT_THE_COUNTER,
  params: z.object({ ticket: uuid }),
  body: z.instanceof(Uint8Array),
  answer: z.object({
    photo: sha256,
    width: z.number().int().positive(),
    height: z.number().int().positive(),
  }),
});

/** The photo itself, for whoever may read its ticket. */
export const readPhoto = defineEndpoint({
  ...ADDRESSES.readPhoto,
  sends: 'image/jpeg',
  roles: EVERY_ROLE,
  params: z.object({ ticket: uuid, photo: sha256, size: z.literal('small').optional() }),
  answer: z.never(),
});
