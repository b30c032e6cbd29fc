import { openBrowser, signedInPage } from './browser.mjs';
import { spreadOf } from './spread.mjs';
import { openStage } from './stage.mjs';

const TAPS = 60;
/** Machines of the demo that are still searched, by their shelf tags' labels. */
const MACHINES = ['Teal zigzag', 'Ivory compact', 'Slate straight stitch', 'Ochre zigzag'];

/**
 * From a key on an answer to the next check painted, in the real interface on the demo shop;
 * and the longest task of the main thread meanwhile.
 * @param {string} root
 */
export async function measureInteraction(root) {
  const stage = await openStage(root);
  const { browser, close } = await openBrowser();
  try {
    const page = await signedInPage(browser, stage.url, 'odren');
    /** @type {number[]} */
    const times = [];
    /** @type {number[]} */
    const tasks = [];
    for (let round = 0; times.length < TAPS && round < MACHINES.length; round += 1) {
      await page.goto(stage.url, { waitUntil: 'domcontentloaded' });
      await page.waitForSelector('section ul a');
      await page.evaluate((label) => {
        const links = [...document.querySelectorAll('main a')];
        const link = links.find((one) => one.textContent?.includes(label ?? ''));
        if (link instanceof HTMLElement) link.click();
      }, MACHINES[round]);
      await page.waitForSelector('[data-answer]');
      // Let what loading began come to rest, so that only the loop is measured.
      await new Promise((resolve) => setTimeout(resolve, 1500));
      await page.evaluate(watch);
      for (let tap = 0; tap < TAPS / MACHINES.length; tap += 1) {
        await page.keyboard.press('1');
        const took = await page.evaluate(() =>
          /** @type {Watched} */ (/** @type {unknown} */ (window)).nodoNextPainted(),
        );
        if (took === undefined) break;
        // The first tap warms the worker up; hands are slower than this anyway.
        if (tap > 0) times.push(took);
        await new Promise((resolve) => setTimeout(resolve, 250));
      }
      tasks.push(
        ...(await page.evaluate(
          () => /** @type {Watched} */ (/** @type {unknown} */ (window)).nodoLongTasks,
        )),
      );
    }
    const at = spreadOf(times, 1);
    return {
      bench: 'interaction/tap-to-next-check',
      taps: times.length,
      medianMs: at(0.5),
      p95Ms: at(0.95),
      maxMs: at(1),
      longTasks: tasks.length,
      longestTaskMs: Number(Math.max(0, ...tasks).toFixed(1)),
    };
  } finally {
    await close();
    await stage.close();
  }
}

/**
 * @typedef {Window & { nodoLongTasks: number[], nodoNextPainted: () => Promise<number | undefined> }} Watched
 */

/** Runs in the page: notes when a key fell and when another question was painted. */
function watch() {
  const watched = /** @type {Watched} */ (/** @type {unknown} */ (window));
  const question = () =>
    `${document.querySelector('#step-title')?.textContent ?? ''} ${[...document.querySelectorAll('[data-answer]')].map((one) => one.textContent).join('|')}`;
  watched.nodoLongTasks = [];
  new PerformanceObserver((list) => {
    for (const task of list.getEntries()) watched.nodoLongTasks.push(task.duration);
  }).observe({ type: 'longtask' });
  let pressedAt = 0;
  let before = '';
  window.addEventListener(
    'keydown',
    ({ timeStamp }) => {
      pressedAt = timeStamp;
      before = question();
    },
    true,
  );
  watched.nodoNextPainted = () =>
    new Promise((resolve) => {
      const look = () => {
        const now = question();
        const asks = document.querySelector('[data-answer]') !== null;
        if (asks && now !== before) {
          requestAnimationFrame((painted) => resolve(painted - pressedAt));
        } else if (performance.now() - pressedAt > 5_000) resolve(undefined);
        else requestAnimationFrame(look);
      };
      look();
    });
}
