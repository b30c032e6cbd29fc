import { randomBytes, randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Blobs, folderBlobs } from '../src/files/blobs.ts';
import { objectBlobs } from '../src/files/objectBlobs.ts';
import { type StandIn, startObjectStore } from './objectStore.ts';

const folder = mkdtempSync(join(tmpdir(), 'nodo-blobs-'));
let store: StandIn;
let other: StandIn;
beforeAll(async () => {
  store = await startObjectStore('a shop/of ours');
  other = await startObjectStore('');
});
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await Promise.all([store.stop(), other.stop()]);
});

describe.each([
  ['a folder', () => Promise.resolve(folderBlobs(folder))],
  ['an object store, below a prefix', () => objectBlobs(store.place)],
  ['an object store, at its root', () => objectBlobs(other.place)],
])('files kept in %s', (_, open: () => Promise<Blobs>) => {
  let blobs: Blobs;
  beforeAll(async () => {
    blobs = await open();
  });

  it('are read as they were written, listed by folder, and removed', async () => {
    const [one, two] = [randomUUID(), randomUUID()].toSorted();
    const files = ['a.jpg', 'b.jpg', 'c.jpg', 'd.jpg', 'e.jpg'];
    const bytes = randomBytes(5_000);
    const from = new Date(Date.now() - 5_000);
    expect(await blobs.has(`${one}/a.jpg`)).toBe(false);
    expect(await blobs.read(`${one}/a.jpg`)).toBeUndefined();
    for (const file of files) await blobs.write(`${one}/${file}`, bytes);
    await blobs.write(`${two}/z.jpg`, Buffer.from('z'));
    expect(await blobs.has(`${one}/a.jpg`)).toBe(true);
    expect(await blobs.read(`${one}/c.jpg`)).toEqual(bytes);
    expect((await blobs.folders()).toSorted()).toEqual([one, two]);
    const found = await blobs.list(one ?? '');
    expect(found.map(({ file }) => file).toSorted()).toEqual(files);
    for (const { at } of found) expect(at.getTime()).toBeGreaterThan(from.getTime());
    await blobs.remove(`${one}/c.jpg`);
    await blobs.remove(`${one}/c.jpg`);
    expect(await blobs.read(`${one}/c.jpg`)).toBeUndefined();
    expect((await blobs.list(one ?? '')).length).toBe(files.length - 1);
  });
});

describe('an object store', () => {
  it('that fails now and then is asked again; one that fails on is no answer', async () => {
    const blobs = await objectBlobs(store.place);
    store.failNext(503, 1);
    await blobs.write('x/y.jpg', Buffer.from('kept'));
    expect(store.objects.get('a shop/of ours/x/y.jpg')?.bytes.toString()).toBe('kept');
    store.failNext(503, 3);
    await expect(blobs.read('x/y.jpg')).rejects.toThrow();
    store.failNext(503, 3);
    await expect(blobs.has('x/y.jpg')).rejects.toThrow();
  });

  it('refuses who has another key, and nothing is taken for not there', async () => {
    const key = { id: 'test-key', secret: 'another' };
    const blobs = await objectBlobs({ ...store.place, key });
    await expect(blobs.has('x/y.jpg')).rejects.toThrow();
    await expect(blobs.write('x/z.jpg', Buffer.from('no'))).rejects.toThrow();
    expect(store.objects.has('a shop/of ours/x/z.jpg')).toBe(false);
  });
});

describe('a folder', () => {
  it('holds no half written file of a write that failed', async () => {
    const blobs = folderBlobs(folder);
    await blobs.write('there/one.jpg', Buffer.from('1'));
    // Its place is taken by a folder.
    await blobs.write('there/two.jpg/x', Buffer.from('2'));
    await expect(blobs.write('there/two.jpg', Buffer.from('3'))).rejects.toThrow();
    expect(readdirSync(join(folder, 'there')).toSorted()).toEqual(['one.jpg', 'two.jpg']);
  });
});
