import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { CHROMIUM_PATH } from './install.mjs';

/**
 * Debian's Chromium, without a window and without any word to the outside.
 * @param {string} [profile] folder of one that was quit before, to go on with
 * @param {readonly string[]} [more] arguments besides the usual
 */
export async function openBrowser(
  profile = mkdtempSync(join(tmpdir(), 'nodo-browser-')),
  more = [],
) {
  const browser = await puppeteer.launch({
    executablePath: CHROMIUM_PATH,
    headless: 'shell',
    userDataDir: profile,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-dev-shm-usage',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--font-render-hinting=none',
      '--force-color-profile=srgb',
      '--lang=en-GB',
      // What lies beyond the window is never drawn: a press there would seem to be answered late.
      '--window-size=1600,1000',
      ...more,
    ],
  });
  return {
    browser,
    profile,
    /** Ends it and keeps what it keeps on the disk. */
    quit: () => browser.close(),
    async close() {
      await browser.close();
      rmSync(profile, { recursive: true, force: true, maxRetries: 3 });
    },
  };
}

/**
 * A page of a bench's size on which somebody of the demo is signed in.
 * @param {import('puppeteer-core').Browser} browser
 * @param {string} url
 * @param {string} login
 */
export async function signedInPage(browser, url, login) {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(url, { waitUntil: 'domcontentloaded' });
  await page.waitForSelector('input[name=login]');
  await page.type('input[name=login]', login);
  await page.type('input[name=password]', `needle-${login}`);
  await page.keyboard.press('Enter');
  await page.waitForSelector('nav');
  return page;
}
