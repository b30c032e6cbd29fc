import { openBrowser, signedInPage } from './browser.mjs';
import { spreadOf } from './spread.mjs';
import { openStage } from './stage.mjs';

const MOVES = 240;
/** Hands move a mouse so often. */
const BETWEEN_MS = 8;
/** A frame that lasts longer is seen as a stumble: two of sixty a second and a half. */
const LONG_MS = 50;

/**
 * What is dragged in the stitch instrument at 1280 x 800: the hand wheel beside the settings, a setting, the wheel beside
 * the chart. Frames from one to the next, and the longest task of the main thread meanwhile.
 * @param {string} root
 */
export async function measureStitchDrag(root) {
  const stage = await openStage(root);
  const { browser, close } = await openBrowser();
  try {
    const page = await signedInPage(browser, stage.url, 'odren');
    const results = [];
    for (const [name, path, held] of [
      ['wheel', '/stitch/why?turned=60', '[data-wheel]'],
      ['setting', '/stitch/why?turned=60', 'input[type=range]'],
      ['wheel-and-chart', '/stitch/turn', '[data-wheel]'],
    ]) {
      await page.goto(`${stage.url}${path ?? ''}`, { waitUntil: 'domcontentloaded' });
      await page.waitForSelector(path === '/stitch/turn' ? 'canvas' : '[data-least]');
      // Let what loading began come to rest, so that only the drag is measured.
      await new Promise((resolve) => setTimeout(resolve, 2_000));
      const box = await (await page.$(held ?? ''))?.boundingBox();
      if (!box) throw new Error(`Nothing to drag at ${path}`);
      await page.evaluate(watch);
      const at = name === 'setting' ? alongSlider : roundWheel;
      await page.mouse.move(...at(box, 0));
      await page.mouse.down();
      for (let move = 1; move <= MOVES; move += 1) {
        await page.mouse.move(...at(box, move / MOVES));
        await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));
      }
      await page.mouse.up();
      const { frames, tasks } = await page.evaluate(() =>
        /** @type {Watched} */ (/** @type {unknown} */ (window)).nodoDragged(),
      );
      const spread = spreadOf(frames, 1);
      results.push({
        bench: `stitch/drag-${name}`,
        frames: frames.length,
        medianMs: spread(0.5),
        p95Ms: spread(0.95),
        longestMs: spread(1),
        longFrames: frames.filter((frame) => frame > LONG_MS).length,
        longTasks: tasks.length,
        longestTaskMs: Number(Math.max(0, ...tasks).toFixed(1)),
      });
    }
    return results;
  } finally {
    await close();
    await stage.close();
  }
}

/**
 * @typedef {Window & { nodoDragged: () => { frames: number[], tasks: number[] } }} Watched
 * @typedef {{ x: number, y: number, width: number, height: number }} Box
 */

/**
 * Three times round the wheel.
 * @param {Box} box @param {number} share @returns {[number, number]}
 */
function roundWheel({ x, y, width, height }, share) {
  const angle = -share * 3 * 2 * Math.PI;
  const reach = width * 0.4;
  return [x + width / 2 + reach * Math.cos(angle), y + height / 2 + reach * Math.sin(angle)];
}

/**
 * There and back along a slider, from where it stands.
 * @param {Box} box @param {number} share @returns {[number, number]}
 */
function alongSlider({ x, y, width, height }, share) {
  const there = 0.5 + 0.45 * Math.sin(share * 2 * Math.PI);
  return [x + width * there, y + height / 2];
}

/** Runs in the page: notes every frame and every long task from now on. */
function watch() {
  const watched = /** @type {Watched} */ (/** @type {unknown} */ (window));
  /** @type {number[]} */
  const frames = [];
  /** @type {number[]} */
  const tasks = [];
  const observer = new PerformanceObserver((list) => {
    for (const task of list.getEntries()) tasks.push(task.duration);
  });
  observer.observe({ type: 'longtask' });
  let before = performance.now();
  let isOn = true;
  const note = (/** @type {number} */ now) => {
    frames.push(now - before);
    before = now;
    if (isOn) requestAnimationFrame(note);
  };
  requestAnimationFrame(note);
  watched.nodoDragged = () => {
    isOn = false;
    observer.disconnect();
    return { frames: frames.slice(1), tasks };
  };
}
