import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transformer } from '@napi-rs/image';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { folderBlobs } from '../src/files/blobs.ts';
import { cleanJpeg } from '../src/photos/jpeg.ts';
import { PhotoStore } from '../src/photos/photoStore.ts';
import { jpeg } from './jpeg.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand } from './shop.ts';

const GPS: readonly (readonly [number, string])[] = [
  [0xe1, 'Exif GPS 52.1 N'],
  [0xfe, 'taken by somebody'],
];

describe('a photo, cleaned', () => {
  it('keeps the picture and its size, and nothing that is about somebody', () => {
    const given = jpeg({ width: 640, height: 480, beside: GPS });
    const clean = cleanJpeg(given);
    expect(clean).toMatchObject({ width: 640, height: 480 });
    const text = clean?.bytes.toString('latin1') ?? '';
    expect(text).not.toMatch(/Exif|GPS|somebody/);
    expect(text).toContain('JFIF');
    expect(clean?.bytes).toEqual(jpeg({ width: 640, height: 480 }));
  });

  it('leaves out what hides after the picture', () => {
    const given = Buffer.concat([jpeg({ width: 4, height: 3 }), Buffer.from('PK hidden')]);
    expect(cleanJpeg(given)?.bytes).toEqual(jpeg({ width: 4, height: 3 }));
  });

  it.each([
    ['nothing', Buffer.alloc(0)],
    ['a page', Buffer.from('<svg onload="alert(1)">')],
    ['no size', jpeg({ width: 0, height: 3 })],
    ['far too many pixels', jpeg({ width: 60_000, height: 60_000 })],
    ['half a picture', jpeg({ width: 4, height: 3 }).subarray(0, -4)],
    ['a segment longer than the file', Buffer.from([0xff, 0xd8, 0xff, 0xdb, 0xff, 0xff, 1])],
    ['a segment of no length', Buffer.from([0xff, 0xd8, 0xff, 0xdb, 0, 0, 0, 0])],
  ])('is none: %s', (_, bytes) => {
    expect(cleanJpeg(bytes)).toBeUndefined();
  });
});

describe('photos of a ticket', () => {
  let server: TestServer;
  let odren: Client;
  let stranger: Client;
  let ticket: string;
  beforeAll(async () => {
    server = await startTestServer();
    odren = await Client.signedIn(server.url, server.shop.people.technician);
    stranger = await Client.signedIn(server.url, server.otherShop.people.lead);
    ticket = randomUUID();
    await odren.call('POST', '/api/tickets', { ticket, customer: null, drafts: [intakeCommand()] });
  });
  afterAll(() => server.stop());

  const photos = () => `/api/tickets/${ticket}/photos`;
  const given = jpeg({ width: 640, height: 480, beside: GPS });

  it('are kept once, told by an entry, and read only with their ticket', async () => {
    const kept = await odren.call('POST', photos(), given);
    expect(kept).toMatchObject({ status: 200, body: { width: 640, height: 480 } });
    const { photo } = kept.body as { photo: string };
    expect((await odren.call('POST', photos(), given)).body).toMatchObject({ photo });
    // Until an entry names it, it belongs to nobody.
    expect((await odren.call('GET', `${photos()}/${photo}`)).status).toBe(404);
    const entry = commandOf('photo-kept', { photo, words: 'The nick in the case' });
    expect((await odren.call('POST', `/api/tickets/${ticket}/events`, entry)).status).toBe(200);
    const read = await odren.read(`${photos()}/${photo}`);
    expect(read.headers.get('content-type')).toBe('image/jpeg');
    expect(cleanJpeg(read.bytes)?.bytes).toEqual(read.bytes);
    expect(read.bytes.toString('latin1')).not.toContain('GPS');
    expect((await stranger.call('GET', `${photos()}/${photo}`)).status).toBe(404);
    const elsewhere = randomUUID();
    await odren.call('POST', '/api/tickets', {
      ticket: elsewhere,
      customer: null,
      drafts: [intakeCommand()],
    });
    const other = await odren.call('GET', `/api/tickets/${elsewhere}/photos/${photo}`);
    expect(other).toMatchObject({ status: 404, body: { code: 'no-such-photo' } });
  });

  it('are refused when they are none, too large, or of no ticket here', async () => {
    const page = await odren.call('POST', photos(), Buffer.from('<html>'));
    expect(page).toMatchObject({ status: 422, body: { code: 'not-a-photo' } });
    const huge = jpeg({ width: 9, height: 9, picture: 'x'.repeat(5_000_000) });
    expect((await odren.call('POST', photos(), huge)).status).toBe(413);
    const json = await odren.call('POST', photos(), { photo: 'x' });
    expect(json).toMatchObject({ status: 400, body: { code: 'bad-input' } });
    const nowhere = await odren.call('POST', `/api/tickets/${randomUUID()}/photos`, given);
    expect(nowhere).toMatchObject({ status: 404, body: { code: 'no-such-ticket' } });
    expect((await stranger.call('POST', photos(), given)).status).toBe(404);
  });

  it('cannot be told of before they are kept, nor by a name that leads elsewhere', async () => {
    const tell = (photo: string) =>
      odren.call(
        'POST',
        `/api/tickets/${ticket}/events`,
        commandOf('photo-kept', { photo, words: '' }),
      );
    expect(await tell('0'.repeat(64))).toMatchObject({
      status: 404,
      body: { code: 'no-such-photo', path: 'command.photo' },
    });
    const atOnce = await odren.call('POST', '/api/tickets', {
      ticket: randomUUID(),
      customer: null,
      drafts: [intakeCommand(), commandOf('photo-kept', { photo: '0'.repeat(64), words: '' })],
    });
    expect(atOnce).toMatchObject({ status: 404, body: { code: 'no-such-photo' } });
    expect(await tell('../../secrets')).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: 'command.photo' },
    });
    expect((await odren.call('GET', `${photos()}/..%2F..%2Fsecrets`)).status).toBe(400);
  });
});

describe('a photo in small', () => {
  it('is made once, however many ask for it at the same time', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'nodo-small-'));
    const blobs = folderBlobs(folder);
    const written: string[] = [];
    const photos = new PhotoStore({
      ...blobs,
      write: (name, bytes) => {
        written.push(name);
        return blobs.write(name, bytes);
      },
    });
    const [width, height] = [1600, 1200];
    const pixels = Buffer.alloc(width * height * 4, 0x7f);
    const shop = randomUUID();
    const photo = await photos.keep(
      shop,
      await Transformer.fromRgbaPixels(pixels, width, height).jpeg(80),
    );
    const asked = Array.from({ length: 6 }, () => photos.small(shop, photo));
    const small = await Promise.all(asked);
    expect(new Set(small.map((bytes) => bytes?.toString('base64'))).size).toBe(1);
    expect(small[0]?.length).toBeGreaterThan(100);
    expect(written).toEqual([`${shop}/${photo}.jpg`, `${shop}/${photo}.small.jpg`]);
    expect(await photos.small(shop, '0'.repeat(64))).toBeUndefined();
    rmSync(folder, { recursive: true });
  });
});
