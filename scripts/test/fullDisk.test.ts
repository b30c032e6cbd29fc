import { spawnSync } from 'node:child_process';
import { appendFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { freePort } from '../lib/ports.mjs';
import { StartCommand } from '../lib/startCommand.mjs';
import { noteCommand, signedIn, takeIn } from '../lib/testClient.mjs';

/** A disk of its own; only root makes one, and not in every container. */
const disk = mkdtempSync(join(tmpdir(), 'nodo-disk-'));
const isMounted =
  spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=600m,mode=0711', 'tmpfs', disk]).status === 0;
let start: StartCommand | undefined;
afterAll(async () => {
  await start?.stop();
  if (isMounted) spawnSync('umount', ['-l', disk]);
  rmSync(disk, { recursive: true, force: true });
});

const MANY = 3_000;
const CHUNK = Buffer.alloc(1_000_000);

/** Writes until nothing more goes onto the disk. */
function fill(file: string): void {
  writeFileSync(file, '');
  for (const chunk of [CHUNK, CHUNK.subarray(0, 4_096)]) {
    try {
      for (;;) appendFileSync(file, chunk);
    } catch (fault) {
      expect((fault as { code?: string }).code).toBe('ENOSPC');
    }
  }
}

describe.runIf(isMounted)('a disk that fills up while the shop works', () => {
  it('ends nothing and loses nothing, is told to the lead before, and all goes on with room', async () => {
    const home = join(disk, 'data');
    const port = await freePort();
    start = new StartCommand(home, port);
    await start.says('Stop with Ctrl-C');
    const lead = await signedIn(`http://localhost:${port}`, 'halle', 'needle-halle');
    const notices = await lead.get('/api/notices');
    expect(notices.body).toMatchObject([{ id: null, notice: { kind: 'low-space' } }]);

    const ticket = await takeIn(lead, 6_400);
    const rubbish = join(disk, 'rubbish');
    fill(rubbish);
    const record = (words: string) =>
      lead.record(ticket, noteCommand(words)).then(
        ({ status }) => status,
        () => 0,
      );
    // The database has some room of its own before it needs the disk's.
    const acknowledged: string[] = [];
    let refused = 0;
    for (let entry = 0; entry < MANY && refused < 3; entry += 1) {
      const words = `${entry} ${'of many words '.repeat(30)}`.trim();
      const status = await record(words);
      if (status === 200) acknowledged.push(words);
      // Nothing says that the entry itself is at fault: a screen keeps it and tries again.
      else expect([0, 503]).toContain(status);
      if (status !== 200) refused += 1;
    }
    expect(refused).toBe(3);
    expect(start.isOver).toBe(false);

    rmSync(rubbish);
    await expect.poll(() => record('with room again'), { timeout: 60_000 }).toBe(200);
    expect(start.isOver).toBe(false);
    const stored = await start.cluster.sql(
      'nodo',
      `select body ->> 'words' from ticket_event where ticket_id = '${ticket}' and type = 'observation-noted' order by seq`,
    );
    const words = stored.trim().split('\n');
    expect(words.slice(0, acknowledged.length)).toEqual(acknowledged);
    expect(words.at(-1)).toBe('with room again');
    expect(await start.stop()).toBe(0);
  });
});
