import { spawnSync } from 'node:child_process';
import { built } from './paths.mjs';
import { spreadOf } from './spread.mjs';

const RUNS = 20;

/**
 * The command from its start to its end, beside a node that does nothing: by turns, so that
 * both meet the same moods of the machine.
 * @param {string} root
 */
export function measureCommand(root) {
  const example = `${root}/packages/diagnose/example.json`;
  /** @type {number[]} */
  const command = [];
  /** @type {number[]} */
  const bare = [];
  for (let run = 0; run < RUNS; run += 1) {
    command.push(timed([built(root).diagnose, example]));
    bare.push(timed(['-e', '0']));
  }
  const [medianMs, bareMedianMs] = [spreadOf(command)(0.5), spreadOf(bare)(0.5)];
  return { medianMs, bareMedianMs, timesBare: Number((medianMs / bareMedianMs).toFixed(2)) };
}

/** @param {string[]} args */
function timed(args) {
  const started = performance.now();
  const { status, stderr } = spawnSync(process.execPath, args);
  const took = performance.now() - started;
  if (status !== 0) throw new Error(`node ${args.join(' ')}: ${stderr}`);
  return took;
}
