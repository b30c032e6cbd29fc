import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { periodically, unlessElsewhere } from '../src/db/once.ts';
import { connect, type DatabaseSettings } from '../src/index.ts';
import { asSuper, freshDatabase } from './database.ts';

let database: DatabaseSettings;
let processes: readonly ReturnType<typeof connect>[];
beforeAll(async () => {
  database = await freshDatabase();
  processes = Array.from({ length: 5 }, () => connect(database, database.app, 2));
});
afterAll(() => Promise.all(processes.map((one) => one.close())));

describe('work that is due now and then', () => {
  it('is done by one of all the processes, and again when its time is over', async () => {
    let done = 0;
    const work = () => {
      done += 1;
      return Promise.resolve();
    };
    const all = () => Promise.all(processes.map((one) => periodically(one, 'daily', 3600, work)));
    expect((await all()).filter(Boolean)).toHaveLength(1);
    await all();
    expect(done).toBe(1);
    await asSuper(
      database.name,
      "update periodic_work set begun_at = begun_at - interval '2 hours'",
    );
    expect((await all()).filter(Boolean)).toHaveLength(1);
    expect(done).toBe(2);
  });

  it('that fails is not tried by all the others at once', async () => {
    const [one, other] = processes;
    if (!one || !other) throw new Error('Two processes are wanted.');
    const failing = () => Promise.reject(new Error('no'));
    await expect(periodically(one, 'failing', 3600, failing)).rejects.toThrow('no');
    expect(await periodically(other, 'failing', 3600, failing)).toBe(false);
  });
});

describe('work that two must not do together', () => {
  it('is left to whoever is about it, and free again afterwards, also when it failed', async () => {
    const [one, other] = processes;
    if (!one || !other) throw new Error('Two processes are wanted.');
    let end: () => void = () => undefined;
    const begun = new Promise<void>((resolve) => {
      void unlessElsewhere(one, 'words', () => {
        resolve();
        return new Promise<void>((ended) => {
          end = ended;
        });
      });
    });
    await begun;
    expect(await unlessElsewhere(other, 'words', () => Promise.resolve())).toBe(false);
    end();
    await expect.poll(() => unlessElsewhere(other, 'words', () => Promise.resolve())).toBe(true);
    await expect(
      unlessElsewhere(one, 'words', () => Promise.reject(new Error('no'))),
    ).rejects.toThrow('no');
    expect(await unlessElsewhere(other, 'words', () => Promise.resolve())).toBe(true);
  });
});
