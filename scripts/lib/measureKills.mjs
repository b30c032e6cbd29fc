import { spreadOf } from './spread.mjs';
import { openStage } from './stage.mjs';
import { noteCommand, signedIn, takeIn } from './testClient.mjs';

const KILLS = 20;
const WRITERS = 8;
const BETWEEN_MS = 700;
const RECOVERS_WITHIN_MS = 30_000;

/**
 * kill -9 of the server process and of PostgreSQL by turns, while several screens write as fast
 * as they can. Each screen sends an entry again until it is acknowledged. Afterwards every
 * acknowledged entry must be there, once.
 * @param {string} root
 */
export async function measureKills(root) {
  const stage = await openStage(root, { durable: true });
  try {
    const screen = await signedIn(stage.url, 'halle', 'needle-halle');
    const tickets = [];
    for (let writer = 0; writer < WRITERS; writer += 1) {
      tickets.push(await takeIn(screen, 6_000 + writer));
    }
    /** @type {Set<string>} */
    const acknowledged = new Set();
    let writing = true;
    const writers = tickets.map(async (ticket) => {
      while (writing) {
        const note = noteCommand(`entry ${acknowledged.size}`);
        for (;;) {
          const status = await screen.record(ticket, note).then(
            (answer) => answer.status,
            () => 0,
          );
          if (status === 200) break;
          if (status >= 400 && status < 500) throw new Error(`an entry was refused: ${status}`);
          await pause(30);
        }
        acknowledged.add(note.id);
      }
    });
    /** @type {number[]} */
    const recovery = [];
    for (let kill = 0; kill < KILLS; kill += 1) {
      await pause(BETWEEN_MS);
      const at = performance.now();
      if (kill % 2 === 0) {
        await stage.killServer('SIGKILL');
        await stage.startServer();
      } else {
        await stage.killDatabase();
        await stage.startDatabase();
      }
      const before = acknowledged.size;
      while (acknowledged.size === before) {
        if (performance.now() - at > RECOVERS_WITHIN_MS) throw new Error('it did not recover');
        await pause(20);
      }
      recovery.push(performance.now() - at);
    }
    writing = false;
    await Promise.all(writers);
    const rows = await stage.cluster.sql(
      stage.database,
      "select id from ticket_event where type = 'observation-noted' and device = 'test screen'",
    );
    const stored = rows.trim().split('\n');
    const unique = new Set(stored);
    const recoveredAt = spreadOf(recovery);
    return {
      bench: 'faults/kill-9',
      kills: KILLS,
      acknowledged: acknowledged.size,
      lost: [...acknowledged].filter((id) => !unique.has(id)).length,
      doubled: stored.length - unique.size,
      recoveryMs: { median: recoveredAt(0.5), max: recoveredAt(1) },
    };
  } finally {
    await stage.close();
  }
}

/** @param {number} milliseconds */
function pause(milliseconds) {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}
