import { createHash, randomUUID } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { basename, join } from 'node:path';
import { ADDRESSES, type BackupState, type NoticeRecord, pathTo } from '@nodo/api';
import { connect, doBackupJob, migrate } from '@nodo/server';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { jpeg } from '../../packages/server/test/jpeg.ts';
import { Client } from '../../packages/server/test/server.ts';
import { commandOf, intakeCommand } from '../../packages/server/test/shop.ts';
import { Cluster } from '../lib/cluster.mjs';
import { freePort } from '../lib/ports.mjs';
import { run } from '../lib/run.mjs';
import { StartCommand } from '../lib/startCommand.mjs';
import { testFolder } from '../lib/testFolder.mjs';

const ROOT = new URL('../..', import.meta.url).pathname;
const PASSPHRASE = 'three blunt needles';

/** One of the two commands as a person runs it. */
function command(
  name: 'backup' | 'restore',
  home: string,
  args: readonly string[] = [],
  env: Readonly<Record<string, string>> = {},
) {
  return run(process.execPath, [join(ROOT, `scripts/${name}.mjs`), ...args], {
    env: { ...process.env, NODO_DATA: home, NODO_PASSPHRASE: PASSPHRASE, ...env },
  });
}

/** The name and checksum of every photo below a data folder. */
function photosIn(home: string): Record<string, string> {
  const found = readdirSync(join(home, 'photos'), { recursive: true, encoding: 'utf8' });
  return Object.fromEntries(
    found
      .filter((path) => path.endsWith('.jpg') && !path.endsWith('.small.jpg'))
      .map((path) => {
        const bytes = readFileSync(join(home, 'photos', path));
        return [path, createHash('sha256').update(bytes).digest('hex')];
      }),
  );
}

/** The database of a folder that nobody serves from, as the dump that would be made of it. */
async function dumpOf(home: string): Promise<string> {
  const cluster = new Cluster(home);
  await cluster.create({ servedBefore: true });
  await cluster.start();
  try {
    return comparable(await cluster.dump('nodo'));
  } finally {
    await cluster.stop();
  }
}

/** Without who was signed in and who failed to, and the random words by which psql guards a dump. */
const comparable = (dump: string): string =>
  dump
    .replace(/^\\(un)?restrict .*$/gm, '')
    .replace(/^COPY public\.(session|sign_in_delay) [\s\S]*?^\\\.$/gm, '');

describe('a backup', () => {
  let home = '';
  let port = 0;
  let running: StartCommand;
  let lead: Client;
  let url = '';
  const folders: string[] = [];
  const fresh = (name: string): string => {
    const folder = testFolder(name);
    folders.push(folder);
    return folder;
  };
  const startHere = async () => {
    running = new StartCommand(home, port, '--new-shop');
    await running.says('Stop with Ctrl-C');
  };

  beforeAll(async () => {
    home = fresh('saved');
    port = await freePort();
    url = `http://localhost:${port}`;
    await startHere();
    const [, code] = /, code {2}(\S+)/.exec(running.output) ?? [];
    lead = new Client(url);
    await lead.call('POST', ADDRESSES.redeemCode.path, {
      login: 'lead',
      code,
      password: 'a test password',
    });
    await lead.call('POST', '/api/session', { login: 'lead', password: 'a test password' });
  });
  afterAll(async () => {
    await running.stop();
    for (const folder of folders) rmSync(folder, { recursive: true, force: true });
  });

  const takeIn = async (customer: { id: string; name: string; phone: string } | null = null) => {
    const ticket = randomUUID();
    const drafts = [intakeCommand({ customer: customer?.id ?? null })];
    const { status, body } = await lead.call('POST', '/api/tickets', { ticket, customer, drafts });
    expect(status, JSON.stringify(body)).toBe(200);
    return ticket;
  };
  const photograph = async (ticket: string, picture: string, type: 'photo-kept' | 'signed') => {
    const kept = await lead.call(
      'POST',
      `/api/tickets/${ticket}/photos`,
      jpeg({ width: 64, height: 48, picture }),
    );
    const { photo } = kept.body as { photo: string };
    const told = type === 'photo-kept' ? { photo, words: '' } : { photo, what: 'intake' };
    const entry = commandOf(type, told);
    const { status, body } = await lead.call('POST', `/api/tickets/${ticket}/events`, entry);
    expect(status, JSON.stringify(body)).toBe(200);
    return photo;
  };
  const state = async () => (await lead.call('GET', '/api/backups')).body as BackupState;
  const notices = async () =>
    ((await lead.call('GET', '/api/notices')).body as NoticeRecord[]).map(({ notice }) => notice);
  const latest = async () => join(home, 'backups', (await state()).kept[0]?.file ?? '');

  it('wants a passphrase first, which the lead is told', async () => {
    expect(await notices()).toEqual([]);
    await takeIn();
    expect(await notices()).toEqual([{ kind: 'no-backups' }]);
    expect(await lead.call('POST', '/api/backups', {})).toMatchObject({
      status: 503,
      body: { code: 'backup-failed', data: { why: 'no-passphrase' } },
    });
    const short = { passphrase: 'short', keep: 3 };
    expect((await lead.call('POST', '/api/backups/passphrase', short)).status).toBe(400);
  });

  it('is made as soon as there is a passphrase, by the lead’s button, and taken off the computer', async () => {
    await photograph(await takeIn(), 'a nick', 'photo-kept');
    const set = await lead.call('POST', '/api/backups/passphrase', {
      passphrase: PASSPHRASE,
      keep: 3,
    });
    expect(set).toMatchObject({ status: 200, body: { running: true, keep: 3, kept: [] } });
    await expect.poll(async () => (await state()).kept).toHaveLength(1);
    expect(await notices()).toEqual([]);
    const noted = readFileSync(join(home, 'backups/key.json'), 'utf8');
    expect(noted).not.toContain('blunt');

    const [one] = (await state()).kept;
    const taken = await lead.read(pathTo('takeBackup', { file: one?.file ?? '' }));
    expect(taken.bytes).toEqual(readFileSync(await latest()));
    await expect.poll(async () => (await state()).takenAt).not.toBeNull();
    expect((await lead.call('GET', '/api/backups/..%2Fkey.json')).status).toBe(400);
  });

  it('says nothing of what is within to whoever has no passphrase', async () => {
    await takeIn({ id: randomUUID(), name: 'Wenna Trosk', phone: '0555 0100' });
    await command('backup', home);
    const bytes = readFileSync(await latest()).toString('latin1');
    expect(bytes).not.toContain('Trosk');
    expect(bytes).not.toContain('photos/');
  });

  it('made while the shop works holds all that was acknowledged before, each photo with its entry', async () => {
    const before = await takeIn();
    const work = new AbortController();
    let acknowledged = 0;
    const working = (async () => {
      while (!work.signal.aborted) {
        await photograph(before, `picture ${acknowledged}`, 'photo-kept');
        acknowledged += 1;
      }
    })();
    await expect.poll(() => acknowledged).toBeGreaterThan(3);
    const atLeast = acknowledged;
    const { code, output } = await command('backup', home);
    work.abort();
    await working;
    expect(code, output).toBe(0);
    expect(acknowledged).toBeGreaterThan(atLeast);

    const into = join(fresh('under-work'), 'shop');
    const restored = await command('restore', into, [await latest()]);
    expect(restored.code, restored.output).toBe(0);
    const events = [...(await dumpOf(into)).matchAll(/"photo": "([0-9a-f]{64})"/g)];
    expect(events.length).toBeGreaterThanOrEqual(atLeast);
    const there = Object.values(photosIn(into));
    for (const [, photo] of events) expect(there).toContain(photo);
  });

  it('comes back equal: the database, the photos, the passwords, the customers’ links', async () => {
    const ticket = await takeIn();
    const { token } = (await lead.call('POST', `/api/tickets/${ticket}/links`, { days: 7 }))
      .body as { token: string };
    expect((await command('backup', home)).code).toBe(0);
    const file = await latest();
    await running.stop();

    const into = join(fresh('restored'), 'shop');
    const restored = await command('restore', into, [file]);
    expect(restored.code, restored.output).toBe(0);
    expect(await dumpOf(into)).toBe(await dumpOf(home));
    expect(photosIn(into)).toEqual(photosIn(home));
    expect(Object.keys(photosIn(into)).length).toBeGreaterThan(3);
    expect(readdirSync(into).toSorted()).toEqual(
      ['backups', 'photos', 'postgres', 'secrets.json', 'shop.json'].toSorted(),
    );

    const there = new StartCommand(into, port, '--new-shop');
    await there.says('Stop with Ctrl-C');
    try {
      expect(there.output).not.toMatch(/, code/);
      // Nobody is signed in there by what was saved.
      expect((await lead.call('GET', '/api/tickets')).status).toBe(401);
      const signedIn = new Client(url);
      const answer = await signedIn.call('POST', '/api/session', {
        login: 'lead',
        password: 'a test password',
      });
      expect(answer.status).toBe(200);
      expect((await new Client(url).call('GET', `/api/shared/${token}`)).status).toBe(200);
      // The next backups are opened by the same passphrase.
      expect(
        ((await signedIn.call('GET', '/api/backups')).body as BackupState).passphraseSetAt,
      ).not.toBeNull();
    } finally {
      await there.stop();
    }
    // What runs no more is saved as well, and nothing runs afterwards.
    const still = await command('backup', home);
    expect(still.code, still.output).toBe(0);
    expect(existsSync(join(home, 'postgres/postmaster.pid'))).toBe(false);
    await startHere();
    await lead.call('POST', '/api/session', { login: 'lead', password: 'a test password' });
  });

  it('is never brought into a folder that has something in it', async () => {
    const into = fresh('full');
    writeFileSync(join(into, 'letter.txt'), 'mine');
    const { code, output } = await command('restore', into, [await latest()]);
    expect(code).toBe(1);
    expect(output).toContain(`${into} is not empty`);
    expect(readdirSync(into)).toEqual(['letter.txt']);
  });

  it('keeps so many, and the newest of them', async () => {
    const before = await state();
    expect(before.kept.length).toBeLessThanOrEqual(3);
    expect((await command('backup', home)).code).toBe(0);
    const after = await state();
    expect(after.kept).toHaveLength(3);
    expect(after.kept[1]).toEqual(before.kept[0]);
  });

  it('that is damaged is refused with what is wrong, and nothing is left of it', async () => {
    const whole = readFileSync(await latest());
    const at = (place: number) => {
      const bytes = Buffer.from(whole);
      bytes[place] = (bytes[place] ?? 0) ^ 1;
      return bytes;
    };
    // Members begin at 512 bytes: a header of 512, then what is in it.
    const cases: [string, Buffer, RegExp][] = [
      ['a header', at(3), /no backup|damaged/],
      [
        'what it says of itself',
        at(whole.indexOf('madeAt') + 12),
        /damaged \(about.json, madeAt\)/,
      ],
      ['the key', at(whole.indexOf('-> scrypt') + 20), /damaged \(key\.age\)/],
      ['the content', at(whole.length - 5_000), /damaged \(content\.age, (\d+) of \1 bytes\)/],
      ['cut off', whole.subarray(0, whole.length - 20_000), /damaged/],
      ['cut off early', whole.subarray(0, 900), /damaged|no backup/],
      ['empty', Buffer.alloc(0), /no backup/],
      ['something else', Buffer.from('a letter '.repeat(500)), /no backup/],
    ];
    const folder = fresh('damaged');
    const into = join(folder, 'shop');
    for (const [name, bytes, why] of cases) {
      const file = join(folder, 'one.nodobackup');
      writeFileSync(file, bytes);
      const { code, output } = await command('restore', into, [file]);
      expect(code, `${name}: ${output}`).toBe(1);
      expect(output, name).toMatch(why);
      expect(readdirSync(folder), name).toEqual(['one.nodobackup']);
    }
  });

  it('opens with its own passphrase only', async () => {
    const into = join(fresh('locked'), 'shop');
    const { code, output } = await command('restore', into, [await latest()], {
      NODO_PASSPHRASE: 'three sharp needles',
    });
    expect(code).toBe(1);
    expect(output).toContain('not the passphrase');
    expect(existsSync(into)).toBe(false);
  });

  it('of before somebody was erased does not bring them back', async () => {
    const customer = { id: randomUUID(), name: 'Osric Venlow', phone: '0555 0177' };
    const ticket = await takeIn(customer);
    const signature = await photograph(ticket, 'a signature', 'signed');
    expect((await command('backup', home)).code).toBe(0);
    const file = await latest();
    const alone = join(fresh('carried'), basename(file));
    cpSync(file, alone);
    expect((await lead.call('DELETE', `/api/customers/${customer.id}`)).status).toBe(200);

    const into = join(fresh('after-erasing'), 'shop');
    const { code, output } = await command('restore', into, [file]);
    expect(code, output).toBe(0);
    expect(output).toContain('Erased again who was erased since: 1');
    expect(await dumpOf(into)).not.toMatch(/Venlow|0555 0177/);
    expect(Object.values(photosIn(into))).not.toContain(signature);

    // A list that cannot be read is no list: somebody would come back unseen.
    const broken = fresh('broken-list');
    cpSync(file, join(broken, basename(file)));
    writeFileSync(join(broken, `erased-${randomUUID()}.json`), '{');
    const refused = await command('restore', join(broken, 'shop'), [join(broken, basename(file))]);
    expect(refused.code).toBe(1);
    expect(refused.output).toContain('list of the erased');
    expect(existsSync(join(broken, 'shop'))).toBe(false);

    // Without the list beside it, that is said.
    const withoutList = join(fresh('no-list'), 'shop');
    const second = await command('restore', withoutList, [alone]);
    expect(second.output).toContain('No list of erased people');
    expect(await dumpOf(withoutList)).toContain('Venlow');
  });

  it('of an older version is brought up to date, one of a newer version refused', async () => {
    const cluster = running.cluster;
    await cluster.prepareDatabase('older');
    const { owner, ...older } = cluster.settings('older');
    const db = connect(older, owner, 2);
    expect((await migrate(db, '0015-desk')).at(-1)).toBe('0015-desk');
    await db.close();
    const shop = randomUUID();
    await cluster.sql('older', `insert into shop (id, name) values ('${shop}', 'Bench of Before')`);
    const source = (database: string) => ({
      home: fresh('older-home'),
      photos: '/nonexistent',
      database: {
        pgDump: join(cluster.programs, 'pg_dump'),
        host: '127.0.0.1',
        port: cluster.port,
        name: database,
        user: 'nodo_super',
        password: cluster.readSecrets().super,
      },
    });
    const notes = fresh('older-backups');
    const place = { notes, files: notes };
    const world = { now: () => new Date(), pid: process.pid };
    await doBackupJob({ job: 'set-passphrase', place, passphrase: PASSPHRASE, keep: 3 }, world);
    const save = async (schema: string) =>
      join(
        notes,
        (
          (await doBackupJob({ job: 'make', place, schema, source: source('older') }, world)) as {
            file: string;
          }
        ).file,
      );

    const into = join(fresh('older-restored'), 'shop');
    const { code, output } = await command('restore', into, [await save('0015-desk')]);
    expect(code, output).toBe(0);
    expect(output).toMatch(/Brought the tables up to date \(\d+ migrations\)/);
    expect(await dumpOf(into)).toContain('Bench of Before');

    const newer = await command('restore', join(fresh('newer'), 'shop'), [await save('9999-next')]);
    expect(newer.code).toBe(1);
    expect(newer.output).toContain('made by a newer Nodo (9999-next)');
  });

  it('that cannot be written is told to the lead until one succeeds', async () => {
    await running.stop();
    const stick = join(fresh('stick'), 'plugged-in');
    running = new StartCommand(home, port, '--new-shop');
    await running.stop();
    process.env.NODO_BACKUPS = stick;
    try {
      running = new StartCommand(home, port, '--new-shop');
      await running.says('Stop with Ctrl-C');
    } finally {
      delete process.env.NODO_BACKUPS;
    }
    expect((await lead.call('POST', '/api/backups', {})).status).toBe(200);
    await expect.poll(notices).toContainEqual({ kind: 'backup-failed', why: 'cannot-write' });
    expect(existsSync(stick)).toBe(false);
    // Told before the attempt is over; while it is not, another is not begun.
    await expect.poll(async () => (await state()).running).toBe(false);
    mkdirSync(stick);
    await lead.call('POST', '/api/backups', {});
    await expect.poll(notices).toEqual([]);
    // Who was erased goes with them.
    expect(readdirSync(stick).filter((name) => name.startsWith('erased-'))).toHaveLength(1);
    expect(readdirSync(stick).filter((name) => name.endsWith('.nodobackup'))).toHaveLength(1);
  });
});
