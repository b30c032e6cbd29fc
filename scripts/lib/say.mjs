/** What the start command tells, one line a step, and a sign of life on longer ones. */

const started = Date.now();

/** @param {string} line */
export function say(line) {
  const seconds = ((Date.now() - started) / 1000).toFixed(1).padStart(5);
  process.stdout.write(`${seconds} s  ${line}\n`);
}

/**
 * Tells what is being done, and every five seconds that it still is.
 * @template Result
 * @param {string} what
 * @param {() => Promise<Result>} work
 * @param {() => string} [howFar]
 * @returns {Promise<Result>}
 */
export async function during(what, work, howFar = () => '') {
  say(what);
  const alive = setInterval(() => say(`  … still: ${what.toLowerCase()}${howFar()}`), 5_000);
  try {
    return await work();
  } finally {
    clearInterval(alive);
  }
}
