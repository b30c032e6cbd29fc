import { randomBytes } from 'node:crypto';
import { Transformer } from '@napi-rs/image';
import { openStage } from './stage.mjs';
import { signedIn, takeIn } from './testClient.mjs';

/** Twenty megapixels, as a telephone takes them. */
const [WIDTH, HEIGHT] = [5_472, 3_648];
const AT_ONCE = 6;
const LOOK_EVERY_MS = 20;
/** Pixels of one colour, along and across. */
const BLOCK = 16;

/**
 * Six screens ask at once for the preview of a picture that nobody has asked for yet.
 * @param {string} root
 */
export async function measurePreviews(root) {
  const stage = await openStage(root);
  try {
    const screen = await signedIn(stage.url, 'halle', 'needle-halle');
    const ticket = await takeIn(screen, 7_002);
    const picture = await screen.picture(ticket, await largePicture());
    const before = stage.memoryMb();
    let most = before;
    const watching = setInterval(() => {
      most = Math.max(most, stage.memoryMb());
    }, LOOK_EVERY_MS);
    const ask = async () => {
      const at = performance.now();
      const bytes = await screen.preview(ticket, picture);
      if (bytes === 0) throw new Error('there is no preview');
      return performance.now() - at;
    };
    const took = await Promise.all(Array.from({ length: AT_ONCE }, ask));
    clearInterval(watching);
    const again = await ask();
    return {
      bench: 'server/previews',
      atOnce: AT_ONCE,
      slowestMs: Math.round(Math.max(...took)),
      keptMs: Math.round(again),
      memoryMb: { before, most },
    };
  } finally {
    await stage.close();
  }
}

/** Noise in blocks, so that it is neither flat nor larger than the server takes. */
async function largePicture() {
  const pixels = Buffer.alloc(WIDTH * HEIGHT * 4);
  const line = Buffer.alloc(WIDTH * 4);
  for (let row = 0; row < HEIGHT; row += 1) {
    if (row % BLOCK === 0) {
      for (let column = 0; column < WIDTH; column += BLOCK) {
        line.fill(randomBytes(4), column * 4, (column + BLOCK) * 4);
      }
    }
    line.copy(pixels, row * WIDTH * 4);
  }
  return Transformer.fromRgbaPixels(pixels, WIDTH, HEIGHT).jpeg(60);
}
