import { spreadOf } from './spread.mjs';
import { openStage } from './stage.mjs';
import { noteCommand, signedIn, takeIn } from './testClient.mjs';

const SHORT = 100;
const LONG = 1_200;
/** So many entries are timed, one after the other. */
const TIMED = 40;

/**
 * What one more entry costs on a long ticket and on a short one, in the same run.
 * @param {string} root
 */
export async function measureLongTicket(root) {
  const stage = await openStage(root, { durable: true });
  try {
    const screen = await signedIn(stage.url, 'halle', 'needle-halle');
    const ticket = await takeIn(screen, 7_001);
    const write = async (/** @type {number} */ count) => {
      /** @type {number[]} */
      const took = [];
      for (let note = 0; note < count; note += 1) {
        const at = performance.now();
        const { status } = await screen.record(ticket, noteCommand(`entry ${note}`));
        if (status !== 200) throw new Error(`an entry was refused: ${status}`);
        took.push(performance.now() - at);
      }
      return spreadOf(took, 2)(0.5);
    };
    await write(SHORT);
    const shortMs = await write(TIMED);
    await write(LONG - SHORT - TIMED);
    const longMs = await write(TIMED);
    return {
      bench: 'server/long-ticket',
      entries: [SHORT, LONG],
      medianMs: [shortMs, longMs],
      times: Number((longMs / shortMs).toFixed(2)),
    };
  } finally {
    await stage.close();
  }
}
