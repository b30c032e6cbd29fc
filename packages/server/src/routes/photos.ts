import { ENDPOINTS } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import express, { type Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import { forTheSignedIn } from '../http/forTheSignedIn.ts';
import { route } from '../http/route.ts';
import { cleanJpeg } from '../photos/jpeg.ts';
import type { PhotoStore } from '../photos/photoStore.ts';
import type { EventStore } from '../store/port.ts';

const LARGEST = '4mb';
const A_YEAR = 'private, max-age=31536000, immutable';

export function photoRoutes(
  app: Express,
  { people, audit }: Auth,
  store: EventStore,
  photos: PhotoStore,
): void {
  route(
    app,
    people,
    ENDPOINTS.keepPhoto,
    async ({ params, body, session: { shop } }) => {
      const [known] = await store.load(shop.id, params.ticket);
      if (!known) return { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
      const clean = cleanJpeg(Buffer.from(body));
      if (!clean) return { ok: false, refusal: refuse('not-a-photo') };
      const { bytes, width, height } = clean;
      return { ok: true, answer: { photo: await photos.keep(shop.id, bytes), width, height } };
    },
    forTheSignedIn(people),
    express.raw({ type: 'image/jpeg', limit: LARGEST }),
  );

  const bytesOf = (shop: string, photo: string, size: 'small' | undefined) =>
    size === 'small' ? photos.small(shop, photo) : photos.read(shop, photo);

  route(app, people, ENDPOINTS.readPhoto, async ({ params, session, response }) => {
    const { shop, person } = session;
    const events = await store.load(shop.id, params.ticket);
    const isOfTicket = events.some(
      (event) =>
        // A signature is nothing to learn from.
        (event.type === 'photo-kept' || (event.type === 'signed' && person.role !== 'learner')) &&
        event.body.photo === params.photo,
    );
    const bytes = isOfTicket ? await bytesOf(shop.id, params.photo, params.size) : undefined;
    if (!bytes) return { ok: false, refusal: refuse('no-such-photo', 'params.photo') };
    const { ticket } = params;
    await audit.note({ shop: shop.id, person: person.id, what: 'photo-read', ticket });
    response.set('cache-control', A_YEAR).type('image/jpeg').send(bytes);
    return 'answered';
  });
}
