import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Sequelize } from 'sequelize';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Backups } from '../src/backup/backups.ts';
import { BackupFolder, backupName } from '../src/backup/folder.ts';
import { BackupFault } from '../src/backup/format.ts';
import { newKey, openKey } from '../src/backup/keys.ts';
import { type AskedJob, askParent } from '../src/backup/runner.ts';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'nodo-backups-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const at = (text: string) => new Date(text);
const place = () => ({ notes: folder, files: folder });
const keep = (instant: string, bytes = 'x') =>
  writeFileSync(join(folder, backupName(at(instant))), bytes);

describe('the folder of backups', () => {
  it('lists what is whole, the latest first, and nothing else', async () => {
    keep('2026-03-01T18:00:00Z');
    keep('2026-03-02T18:00:00Z', 'longer');
    writeFileSync(join(folder, `${backupName(at('2026-03-03T18:00:00Z'))}.part`), 'half');
    writeFileSync(join(folder, 'letter.nodobackup'), 'not ours');
    const kept = await new BackupFolder(place()).kept();
    expect(kept).toEqual([
      {
        file: 'nodo-20260302-180000Z.nodobackup',
        at: at('2026-03-02T18:00:00Z'),
        bytes: 6,
      },
      { file: 'nodo-20260301-180000Z.nodobackup', at: at('2026-03-01T18:00:00Z'), bytes: 1 },
    ]);
  });

  it('hands out no path but that of a backup', async () => {
    keep('2026-03-01T18:00:00Z');
    writeFileSync(join(folder, 'key.json'), '{}');
    const files = new BackupFolder(place());
    expect(await files.pathOf('nodo-20260301-180000Z.nodobackup')).toBe(
      join(folder, 'nodo-20260301-180000Z.nodobackup'),
    );
    for (const other of ['key.json', '../key.json', '', 'nodo-20260302-180000Z.nodobackup']) {
      expect(await files.pathOf(other)).toBeUndefined();
    }
  });

  it('leaves those of another shop on the same disk alone', async () => {
    const [own, other] = ['0a1b2c3d', '4e5f6071'].map(
      (mark) => new BackupFolder({ ...place(), mark }),
    );
    if (!own || !other) throw new Error('Two shops are wanted.');
    const instants = ['2026-03-01T18:00:00Z', '2026-03-02T18:00:00Z'].map(at);
    const names = [own, other].map((one) => instants.map((instant) => one.nameAt(instant)));
    for (const name of names.flat()) writeFileSync(join(folder, name), 'x');
    writeFileSync(join(folder, `${names[1]?.[0] ?? ''}.part`), 'half');
    keep('2026-02-28T18:00:00Z');
    await own.removeUnfinished();
    // The one without a mark is of before there were marks.
    expect(await own.prune(1)).toEqual([names[0]?.[0], 'nodo-20260228-180000Z.nodobackup']);
    const left = [names[0]?.[1], ...(names[1] ?? []), `${names[1]?.[0] ?? ''}.part`];
    expect(readdirSync(folder).toSorted()).toEqual(left.toSorted());
    expect((await other.kept()).map(({ file }) => file)).toEqual(names[1]?.toReversed());
    expect(await other.pathOf(names[0]?.[1] ?? '')).toBeUndefined();
  });

  it('removes the oldest beyond so many, and what was left unfinished', async () => {
    for (const day of ['01', '02', '03']) keep(`2026-03-${day}T18:00:00Z`);
    writeFileSync(join(folder, 'nodo-20260304-180000Z.nodobackup.part'), 'half');
    const files = new BackupFolder(place());
    await files.removeUnfinished();
    expect(await files.prune(2)).toEqual(['nodo-20260301-180000Z.nodobackup']);
    expect(readdirSync(folder)).toEqual([
      'nodo-20260302-180000Z.nodobackup',
      'nodo-20260303-180000Z.nodobackup',
    ]);
  });

  it('takes a damaged note for none, and writes the next over it', async () => {
    const files = new BackupFolder(place());
    writeFileSync(join(folder, 'last-run.json'), '{"at": "soon');
    expect(await files.lastRun()).toBeUndefined();
    const run = { at: '2026-03-01T18:00:00.000Z', failed: null, what: '' };
    await files.noteRun(run);
    expect(await files.lastRun()).toEqual(run);
  });

  it('makes up no disk that is not there', async () => {
    const stick = join(folder, 'stick');
    const files = new BackupFolder({ notes: join(folder, 'notes'), files: stick });
    await expect(files.open()).rejects.toMatchObject({ code: 'ENOENT' });
    expect(readdirSync(folder)).toEqual(['notes']);
  });
});

describe('the key of backups', () => {
  it('opens with its passphrase, and with no other', async () => {
    const key = await newKey('three blunt needles', 3, at('2026-03-01T18:00:00Z'));
    const sealed = Buffer.from(key.sealed, 'base64');
    expect(await openKey(sealed, 'three blunt needles')).toMatch(/^AGE-SECRET-KEY-1/);
    await expect(openKey(sealed, 'three blunt needle')).rejects.toMatchObject({
      code: 'wrong-passphrase',
    });
    expect(JSON.stringify(key)).not.toMatch(/AGE-SECRET|blunt/);
  });
});

describe('what a lead is told of the backups', () => {
  /** A shop with this many tickets. */
  const withTickets = (count: number) =>
    ({
      transaction: (work: (transaction: unknown) => unknown) => work({}),
      query: (sql: string) =>
        Promise.resolve(sql.includes('ticket_summary') ? Array(count).fill({}) : []),
    }) as unknown as Sequelize;
  const told = async (
    now: string,
    { isOwn = true, tickets = 1 }: { isOwn?: boolean; tickets?: number } = {},
  ) => {
    const runner = { run: () => Promise.resolve() };
    const backups = new Backups(
      place(),
      isOwn,
      runner,
      withTickets(tickets),
      () => at(now),
      () => undefined,
    );
    return (await backups.notices('shop')).map(({ notice }) => notice);
  };
  const SHOP = '2026-03-10T12:00:00Z';
  const seal = async (instant: string) =>
    new BackupFolder(place()).setKey(await newKey('three blunt needles', 3, at(instant)));

  it('that there are none, once there is something to lose; the demo is left alone', async () => {
    expect(await told(SHOP, { tickets: 0 })).toEqual([]);
    expect(await told(SHOP)).toEqual([{ kind: 'no-backups' }]);
    expect(await told(SHOP, { isOwn: false })).toEqual([]);
  });

  it('that the last is old: from five days on, counted from the passphrase where there is none', async () => {
    await seal('2026-03-05T13:00:00Z');
    expect(await told(SHOP)).toEqual([]);
    expect(await told('2026-03-10T13:00:00Z')).toEqual([{ kind: 'backup-old', days: 5 }]);
    keep('2026-03-09T12:00:00Z');
    expect(await told('2026-03-10T13:00:00Z')).toEqual([]);
    expect(await told('2026-03-15T12:00:00Z')).toEqual([{ kind: 'backup-old', days: 6 }]);
  });

  it('that the last attempt failed, until one succeeds', async () => {
    await seal('2026-03-09T12:00:00Z');
    const files = new BackupFolder(place());
    await files.noteRun({ at: SHOP, failed: 'no-room', what: '' });
    expect(await told(SHOP)).toEqual([{ kind: 'backup-failed', why: 'no-room' }]);
    await files.noteRun({ at: SHOP, failed: null, what: '' });
    expect(await told(SHOP)).toEqual([]);
  });
});

describe('what a server asks of the start command', () => {
  const line = () => {
    const sent: { asks: string; backup: AskedJob }[] = [];
    let hear: (message: unknown) => void = () => undefined;
    const runner = askParent({
      send: (message) => sent.push(message as (typeof sent)[0]),
      onMessage: (given) => {
        hear = given;
      },
    });
    return { sent, runner, say: (message: unknown) => hear(message) };
  };

  it('waits for the answer to its own question', async () => {
    const { sent, runner, say } = line();
    const first = runner.run({ job: 'make' });
    const second = runner.run({ job: 'set-passphrase', passphrase: 'p', keep: 3 });
    expect(sent.map(({ backup }) => backup.job)).toEqual(['make', 'set-passphrase']);
    say({ answers: sent[1]?.asks });
    await second;
    say('something else');
    say({ answers: sent[0]?.asks, fault: { code: 'no-room', what: '5 MB' } });
    await expect(first).rejects.toEqual(new BackupFault('no-room', '5 MB'));
  });
});
