import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { dueIn, keepBackups } from '../lib/backups.mjs';
import { Cluster } from '../lib/cluster.mjs';
import { testFolder } from '../lib/testFolder.mjs';

describe('the daily backup', () => {
  const NOON = Date.parse('2026-03-02T12:00:00Z');
  const HOUR = 3_600_000;
  const status = (latest: string | null, hasPassphrase = true) => ({
    hasPassphrase,
    keep: 14,
    latest,
  });

  it('is due a day after the last, at once where there is none, and never without a passphrase', () => {
    expect(dueIn(status(null), undefined, NOON)).toBe(0);
    expect(dueIn(status('2026-03-02T11:00:00Z'), undefined, NOON)).toBe(23 * HOUR);
    expect(dueIn(status('2026-02-20T11:00:00Z'), undefined, NOON)).toBe(0);
    expect(dueIn(status(null, false), undefined, NOON)).toBeUndefined();
  });

  it('comes by itself, as soon as it is due, and one at a time', async () => {
    const home = testFolder('daily');
    const program = join(home, 'program.mjs');
    // Notes what it is asked, has nothing yet, and makes each backup fail.
    writeFileSync(
      program,
      `import { appendFileSync, readFileSync } from 'node:fs';
       const asked = JSON.parse(readFileSync(0, 'utf8'));
       appendFileSync(${JSON.stringify(join(home, 'asked'))}, asked.job + ' ' + (asked.schema ?? '') + '\\n');
       const status = { hasPassphrase: true, keep: 14, latest: null };
       const answer = asked.job === 'status' ? { done: status } : { fault: { code: 'no-room', what: '' } };
       console.log(JSON.stringify(answer));`,
    );
    const cluster = Object.assign(new Cluster(home), { sql: () => Promise.resolve('0001-test\n') });
    cluster.secrets = { super: '', owner: '', app: '', listener: '', session: '' };
    const log: string[] = [];
    const kept = keepBackups({
      program,
      cluster,
      database: 'nodo',
      log: (line) => log.push(line),
      firstLookMs: 0,
    });
    const asked = () => readFileSync(join(home, 'asked'), 'utf8').trim().split('\n');
    await expect.poll(() => log).toHaveLength(1);
    expect(asked()).toEqual(['status ', 'make 0001-test']);
    expect(log[0]).toContain('no-room');
    const answers: object[] = [];
    const make = (asks: string) =>
      kept.hear({ asks, backup: { job: 'make' } }, (answer: object) => answers.push(answer));
    make('a');
    make('b');
    kept.hear('serving', (answer: object) => answers.push(answer));
    await expect.poll(() => answers).toHaveLength(2);
    const fault = { code: 'no-room', what: '' };
    expect(answers).toEqual([
      { answers: 'a', fault },
      { answers: 'b', fault },
    ]);
    expect(asked()).toHaveLength(3);
    await kept.stop();
    rmSync(home, { recursive: true });
  });

  it('is tried again an hour after one that failed', () => {
    expect(dueIn(status(null), NOON - HOUR / 2, NOON)).toBe(HOUR / 2);
    expect(dueIn(status('2026-02-20T11:00:00Z'), NOON - 2 * HOUR, NOON)).toBe(0);
  });
});
