import { randomBytes } from 'node:crypto';
import { utimes } from 'node:fs/promises';
import { join } from 'node:path';
import { Transformer } from '@napi-rs/image';
import { QueryTypes } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { folderBlobs } from '../src/files/blobs.ts';
import {
  connect,
  PostgresEventStore,
  rebuildSummaries,
  rebuildWords,
  withShop,
} from '../src/index.ts';
import { PhotoStore } from '../src/photos/photoStore.ts';
import { sweepPhotos } from '../src/photos/sweep.ts';
import { ok, record, useCounter } from './counter.ts';
import { jpeg } from './jpeg.ts';

const shop = useCounter();
const { takenIn, found } = shop;

describe('a photo in small', () => {
  it('is made of the photo, no wider than a strip needs', async () => {
    const { ticket } = await takenIn('Rolf Abend');
    const picture = await Transformer.fromRgbaPixels(randomBytes(1200 * 900 * 4), 1200, 900).jpeg();
    const path = `/api/tickets/${ticket}/photos`;
    const { photo } = await ok<{ photo: string }>(shop.counter, 'POST', path, picture);
    const small = `/api/tickets/${ticket}/photos/${photo}?size=small`;
    expect((await shop.counter.read(small)).headers.get('content-type')).toContain('json');
    await record(shop.counter, ticket, 'photo-kept', { photo, words: '', check: 'needle-seat' });
    const { headers, bytes } = await shop.counter.read(small);
    expect(headers.get('content-type')).toBe('image/jpeg');
    expect(await new Transformer(bytes).metadata()).toMatchObject({ width: 320, height: 240 });
  });
});

describe('pictures that no entry names', () => {
  it('are swept away when they are old, and no others', async () => {
    const { ticket } = await takenIn('Silke Morgenrot');
    const path = `/api/tickets/${ticket}/photos`;
    const keep = async (width: number) =>
      (await ok<{ photo: string }>(shop.counter, 'POST', path, jpeg({ width, height: 6 }))).photo;
    const [forgotten, fresh, named] = [await keep(21), await keep(22), await keep(23)];
    await record(shop.counter, ticket, 'photo-kept', { photo: named, words: '' });
    const photos = new PhotoStore(folderBlobs(shop.server.photos));
    const now = new Date('2026-03-09T12:00:00.000Z');
    const longAgo = new Date('2026-03-06T12:00:00.000Z');
    for (const [photo, kept] of [
      [forgotten, longAgo],
      [named, longAgo],
      [fresh, now],
    ] as const) {
      await utimes(join(shop.server.photos, shop.server.shop.id, `${photo}.jpg`), kept, kept);
    }
    const db = connect(shop.server.database, shop.server.database.app, 1);
    expect(await sweepPhotos(db, photos, now)).toBe(1);
    await db.close();
    const there = [forgotten, fresh, named].map((photo) => photos.has(shop.server.shop.id, photo));
    expect(await Promise.all(there)).toEqual([false, true, true]);
  });
});

it('every line on the Rack is the same when it is told anew from the events', async () => {
  for (const name of ['Ansgar Holm', 'Bea Lund', 'Ceno Marr']) {
    const { ticket } = await takenIn(name);
    await record(shop.technician, ticket, 'observation-noted', { words: name });
  }
  const db = connect(shop.server.database, shop.server.database.app, 2);
  const store = new PostgresEventStore(db);
  const before = await store.rack(shop.server.shop.id);
  await rebuildSummaries(store, shop.server.shop.id);
  expect(await store.rack(shop.server.shop.id)).toEqual(before);
  expect(before.length).toBeGreaterThanOrEqual(3);
  await db.close();
});

it('everything is found again when the words are told anew', async () => {
  const db = connect(shop.server.database, shop.server.database.app, 2);
  const { customer } = await takenIn('Bertolda Windfuhr');
  const words = () =>
    withShop(db, shop.server.shop.id, (transaction) =>
      db.query('select word, kind, id from search_place order by 1, 2, 3', {
        transaction,
        type: QueryTypes.SELECT,
      }),
    );
  const before = await words();
  await withShop(db, shop.server.shop.id, (transaction) =>
    db.query('delete from search_place', { transaction }),
  );
  expect(await found('windfuhr')).toEqual([]);
  await rebuildWords(db, shop.server.shop.id);
  expect(await words()).toEqual(before);
  expect((await found('windfuhr')).map(({ id }) => id)).toContain(customer);
  await db.close();
});
