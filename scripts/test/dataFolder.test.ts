import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  chmodSync,
  cpSync,
  existsSync,
  lstatSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  realpathSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { Cluster } from '../lib/cluster.mjs';
import { notePrepared, prepareFolder, readPrepared } from '../lib/dataFolder.mjs';
import { logFile } from '../lib/log.mjs';
import { run } from '../lib/run.mjs';
import { readSecrets } from '../lib/secrets.mjs';
import { backOff } from '../lib/supervise.mjs';

const opened: Cluster[] = [];
const folders: string[] = [];
afterEach(async () => {
  await Promise.all(opened.splice(0).map((cluster) => cluster.stop()));
  for (const made of folders.splice(0)) {
    // A cluster that had to lie outside.
    for (const link of [join(made, 'data/postgres'), join(made, 'data-away/postgres')]) {
      // Two folders may lead to the same one.
      if (existsSync(link) && lstatSync(link).isSymbolicLink()) {
        rmSync(dirname(realpathSync(link)), { recursive: true });
      }
    }
    rmSync(made, { recursive: true, force: true });
  }
});

/** A folder that the database's own account may pass through, or none but root. */
function folder(mode: number): string {
  const made = mkdtempSync(join(tmpdir(), 'nodo-data-'));
  chmodSync(made, mode);
  folders.push(made);
  return made;
}
const OPEN = 0o711;
const ROOTS_OWN = 0o700;
const isRoot = process.getuid?.() === 0;

async function running(home: string, known = {}): Promise<Cluster> {
  const cluster = new Cluster(home, { throwaway: true });
  opened.push(cluster);
  await cluster.create(known);
  await cluster.start();
  return cluster;
}
const note = (cluster: Cluster, text: string) =>
  cluster.sql('postgres', `create table kept (said text); insert into kept values ('${text}')`);
const noted = async (cluster: Cluster) =>
  (await cluster.sql('postgres', 'select said from kept')).trim();
async function madeIn(home: string, text: string): Promise<void> {
  const cluster = await running(home);
  await note(cluster, text);
  await cluster.stop();
}

describe('the database of a data folder', () => {
  it('is made whole or not at all, with checksums', async () => {
    const home = folder(OPEN);
    // What a start that was killed in the middle left behind, by this version and by earlier ones.
    mkdirSync(join(home, 'postgres.new/base'), { recursive: true });
    mkdirSync(join(home, 'postgres'));
    writeFileSync(join(home, 'postgres/PG_VERSION'), '17');
    const cluster = await running(home);
    expect(await cluster.sql('postgres', 'show data_checksums')).toContain('on');
    expect(existsSync(join(home, 'postgres.new'))).toBe(false);
  });

  it.runIf(isRoot)('leaves nothing behind of one that was not finished outside', async () => {
    const home = join(folder(ROOTS_OWN), 'data');
    mkdirSync(home);
    const place = join('/var/lib/nodo', `unfinished-${process.pid}`);
    mkdirSync(join(place, 'postgres/base'), { recursive: true });
    for (const name of ['belongs-to', 'initdb.pw']) writeFileSync(join(place, name), home);
    symlinkSync(join(place, 'postgres'), join(home, 'postgres.new'));
    await running(home);
    expect(existsSync(place)).toBe(false);
    expect(readdirSync(home).sort()).toEqual(['postgres', 'secrets.json']);
  });

  it.runIf(isRoot)(
    'goes with its folder when that is moved away; another gets its own',
    async () => {
      const home = join(folder(ROOTS_OWN), 'data');
      await madeIn(home, 'first');
      const away = `${home}-away`;
      renameSync(home, away);
      const second = await running(home);
      await note(second, 'second');
      expect(await noted(await running(away))).toBe('first');
      expect(await noted(second)).toBe('second');
    },
  );

  it.runIf(isRoot)('is copied by the advice of the README, and not by halves', async () => {
    const home = join(folder(ROOTS_OWN), 'data');
    await madeIn(home, 'copied');
    const halved = join(folder(ROOTS_OWN), 'data');
    await run('cp', ['-a', home, halved]);
    await expect(running(halved)).rejects.toThrow(/is a copy of .* without its database.*cp -aL/);
    const whole = join(folder(ROOTS_OWN), 'data');
    await run('cp', ['-aL', home, whole]);
    const copy = await running(whole);
    expect(await noted(copy)).toBe('copied');
    await copy.sql('postgres', "update kept set said = 'changed in the copy'");
    expect(await noted(await running(home))).toBe('copied');
  });

  it('that was copied while it ran is not served', async () => {
    const home = folder(OPEN);
    const cluster = await running(home);
    await note(cluster, 'live');
    const copy = folder(OPEN);
    await run('cp', ['-a', `${home}/.`, copy]);
    await expect(running(copy)).rejects.toThrow(/copied from .* while it ran there/);
    expect(await noted(cluster)).toBe('live');
  });

  it('that is away is not made anew', async () => {
    const home = folder(OPEN);
    await expect(running(home, { servedBefore: true })).rejects.toThrow(/is gone/);
    symlinkSync('/var/lib/nodo/not-mounted/postgres', join(home, 'postgres'));
    await expect(running(home)).rejects.toThrow(/lies in .*not-mounted.* and that is gone/);
  });

  it('is served by the programs that made it, or not', async () => {
    const home = folder(OPEN);
    await madeIn(home, 'of another version');
    writeFileSync(join(home, 'postgres/PG_VERSION'), '9\n');
    await expect(running(home)).rejects.toThrow(
      /made by PostgreSQL 9, which is not on this computer.*apt-get install postgresql-9/,
    );
  });

  it.each([
    ['lost', undefined],
    ['damaged', '{"super": "12'],
    ['without one of them', '{"super": "1234"}'],
  ])(
    'is not locked out of by passwords that are %s: it is told, nothing is made anew',
    (_, text) => {
      const home = folder(OPEN);
      const secrets = readSecrets(home, false);
      expect(readSecrets(home, true)).toEqual(secrets);
      const file = join(home, 'secrets.json');
      if (text === undefined) rmSync(file);
      else writeFileSync(file, text);
      expect(() => readSecrets(home, true)).toThrow(/secrets.json is (missing|damaged)/);
      expect(existsSync(file) ? readFileSync(file, 'utf8') : undefined).toBe(text);
    },
  );
});

describe('a data folder', () => {
  it('is used by one start command at a time; a copy of it is another folder', async () => {
    const home = folder(OPEN);
    // As the kernel lists it, a start command.
    const other = spawn(process.execPath, ['-e', 'setInterval(() => 0, 1e6)', 'start.mjs']);
    await once(other, 'spawn');
    writeFileSync(join(home, 'running.pid'), `${other.pid}\n${home}`);
    expect(() => prepareFolder(home)).toThrow(
      `Nodo already runs from this folder (process ${other.pid}). Stop that one first: kill ${other.pid}`,
    );
    const copy = join(folder(OPEN), 'copy');
    cpSync(home, copy, { recursive: true });
    const release = prepareFolder(copy);
    expect(readFileSync(join(copy, 'running.pid'), 'utf8')).toBe(`${process.pid}\n${copy}`);
    release();
    other.kill();
  });

  it('looks everything through again when what it noted is damaged', () => {
    const home = folder(OPEN);
    expect(readPrepared(home)).toBeUndefined();
    notePrepared(home, { build: 'a', signIns: [] });
    expect(readPrepared(home)).toEqual({ build: 'a', signIns: [] });
    writeFileSync(join(home, 'prepared.json'), '{"build": ');
    expect(readPrepared(home)).toBeUndefined();
  });
});

describe('a log', () => {
  it('is the owner’s alone, those of earlier versions too', () => {
    const home = folder(OPEN);
    writeFileSync(join(home, 'server.log'), 'of before\n', { mode: 0o644 });
    const log = logFile(home, 'server');
    log('a line');
    expect(readFileSync(join(home, 'server.log'), 'utf8')).toBe('of before\na line\n');
    expect(statSync(join(home, 'server.log')).mode & 0o077).toBe(0);
    expect(statSync(home).mode & 0o077).toBe(0);
  });

  it('on a full disk loses its line and nothing else', () => {
    const home = folder(OPEN);
    const log = logFile(home, 'server');
    symlinkSync('/dev/full', join(home, 'server.log'));
    expect(() => writeFileSync(join(home, 'server.log'), 'x')).toThrow('ENOSPC');
    expect(() => log('nowhere to write it')).not.toThrow();
    rmSync(join(home, 'server.log'));
    log('there is room again');
    expect(readFileSync(join(home, 'server.log'), 'utf8')).toBe('there is room again\n');
  });
});

describe('what dies again and again', () => {
  it('is started again after longer and longer pauses, for ever', () => {
    const clock = { now: 0 };
    const wait = backOff(() => clock.now);
    const pauses = Array.from({ length: 12 }, () => {
      const pause = wait();
      clock.now += pause + 10;
      return pause;
    });
    expect(pauses.slice(0, 4)).toEqual([300, 600, 1200, 2400]);
    expect(pauses.slice(-3)).toEqual([30_000, 30_000, 30_000]);
    // Whoever lived for a minute begins anew.
    clock.now += 61_000;
    expect(wait()).toBe(300);
  });
});
