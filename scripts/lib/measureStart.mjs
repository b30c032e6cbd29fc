import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { freePort } from './ports.mjs';
import { spreadOf } from './spread.mjs';
import { StartCommand } from './startCommand.mjs';
import { testFolder } from './testFolder.mjs';

const STARTS = 5;

/**
 * From `npm start` to a shop that is served: the first time, with the packages installed and the
 * pages built, and again with everything set up; beside a node that does nothing.
 */
export async function measureStart() {
  const home = testFolder('start');
  try {
    const firstMs = await served(home);
    /** @type {number[]} */
    const again = [];
    /** @type {number[]} */
    const bare = [];
    for (let start = 0; start < STARTS; start += 1) {
      again.push(await served(home));
      const at = performance.now();
      spawnSync(process.execPath, ['-e', '0']);
      bare.push(performance.now() - at);
    }
    const [againMs, bareMs] = [spreadOf(again)(0.5), spreadOf(bare)(0.5)];
    return { firstMs, againMs, bareMs, timesBare: Number((againMs / bareMs).toFixed(1)) };
  } finally {
    rmSync(home, { recursive: true, force: true });
  }
}

/** @param {string} home @returns {Promise<number>} milliseconds until it serves */
async function served(home) {
  const at = performance.now();
  const start = new StartCommand(home, await freePort());
  await start.says('Nodo serves at');
  const took = Math.round(performance.now() - at);
  await start.stop();
  return took;
}
