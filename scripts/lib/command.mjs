import { assertNode } from './node.mjs';

/**
 * Runs a command of one person at a terminal, and says in a line why it failed.
 * @param {() => Promise<void>} work
 */
export async function command(work) {
  assertNode();
  try {
    await work();
  } catch (fault) {
    process.stderr.write(`\n${fault instanceof Error ? fault.message : String(fault)}\n`);
    process.exitCode = 1;
  }
}
