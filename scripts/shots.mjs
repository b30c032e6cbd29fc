// One current picture of each main view, made from the demo shop, into docs/screenshots/.
import { resolve } from 'node:path';
import { buildAll } from './lib/build.mjs';
import { CHROMIUM, installDebianPackages, installPackages, POSTGRESQL } from './lib/install.mjs';
import { say } from './lib/say.mjs';

const root = resolve(new URL('..', import.meta.url).pathname);
await installPackages(root);
await installDebianPackages([POSTGRESQL, CHROMIUM]);
await buildAll(root);
const { openStage } = await import('./lib/stage.mjs');
const { openBrowser } = await import('./lib/browser.mjs');

const stage = await openStage(root);
const { browser, close } = await openBrowser();
try {
  /** @type {Map<string, import('puppeteer-core').Page>} */
  const pages = new Map();

  /**
   * @param {string} login
   * @param {'day' | 'night'} theme
   */
  const pageOf = async (login, theme) => {
    const key = `${login} ${theme}`;
    const known = pages.get(key);
    if (known) return known;
    const page = await (await browser.createBrowserContext()).newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.evaluateOnNewDocument((kept) => localStorage.setItem('nodo.theme', kept), theme);
    await page.goto(stage.url, { waitUntil: 'domcontentloaded' });
    await page.waitForSelector('input[name=login]');
    await page.type('input[name=login]', login);
    await page.type('input[name=password]', `needle-${login}`);
    await page.keyboard.press('Enter');
    await page.waitForSelector('nav');
    pages.set(key, page);
    return page;
  };

  /** @param {import('puppeteer-core').Page} page @param {string} label */
  const clickOnShelf = async (page, label) => {
    await page.goto(stage.url, { waitUntil: 'domcontentloaded' });
    await page.waitForFunction(
      (wanted) => {
        const links = document.querySelectorAll('section[aria-labelledby="rack-title"] ul a');
        const link = [...links].find((one) => one.textContent?.includes(wanted));
        if (link instanceof HTMLElement) link.click();
        return link !== undefined;
      },
      {},
      label,
    );
  };

  /** @param {import('puppeteer-core').Page} page @param {string} label */
  const openFromRack = async (page, label) => {
    await clickOnShelf(page, label);
    await page.waitForSelector('#step-title');
  };

  /** @param {import('puppeteer-core').Page} page @param {string} name */
  const shoot = async (page, name) => {
    await page.evaluate(() => document.fonts.ready);
    await new Promise((done) => setTimeout(done, 700));
    await page.screenshot({ path: `${root}/docs/screenshots/${name}.png` });
    say(`docs/screenshots/${name}.png`);
  };

  const rack = await pageOf('odren', 'day');
  await rack.waitForSelector('section[aria-labelledby="rack-title"] ul a');
  await shoot(rack, 'rack');

  const counter = await pageOf('mirra', 'day');
  await clickOnShelf(counter, 'Rose zigzag');
  await counter.waitForSelector('dl dt');
  await shoot(counter, 'ticket');

  await counter.goto(`${stage.url}/counter`, { waitUntil: 'domcontentloaded' });
  await counter.waitForSelector('input[type=checkbox]');
  await counter.type('::-p-aria([name="Name"])', 'Mrs Ilvane-Ostrander');
  await counter.type('::-p-aria([name="Short description"])', 'Violet zigzag');
  await counter.type('::-p-aria([name="In the customer’s own words"])', 'It knots up below.');
  for (const tick of ['Thread bunches up under the fabric', 'Loops of top thread underneath']) {
    await counter.locator(`::-p-aria([name="${tick}"])`).click();
  }
  await counter.evaluate(() => window.scrollTo(0, 0));
  await shoot(counter, 'counter');

  await counter.goto(`${stage.url}/phone`, { waitUntil: 'domcontentloaded' });
  await counter.waitForSelector('input[type=checkbox]');
  await counter.locator('::-p-aria([name="Stitches are skipped"])').click();
  await counter.locator('::-p-aria([name="Begin the questions"])').click();
  await counter.waitForSelector('#step-title');
  await shoot(counter, 'phone');

  // A day with a payment on it.
  await clickOnShelf(counter, 'Fern zigzag');
  await counter.locator('::-p-aria([name="Hand out"])').click();
  await counter.locator('::-p-aria([name="cash"])').click();
  await counter.locator('::-p-aria([name="Handed over"])').click();
  await counter.locator('::-p-text(The customer has it back)').wait();
  await counter.goto(`${stage.url}/day`, { waitUntil: 'domcontentloaded' });
  await counter.waitForSelector('section[aria-label="Takings"] li');
  await shoot(counter, 'day');

  await openFromRack(rack, 'Teal zigzag');
  await shoot(rack, 'bench');
  await rack.locator('::-p-aria([name="Free it first"])').click();
  await shoot(rack, 'freeing');
  await openFromRack(rack, 'Black straight stitch');
  await shoot(rack, 'bench-closed');
  await rack.goto(`${stage.url}/knowledge/check/needle-facing`, { waitUntil: 'domcontentloaded' });
  await rack.waitForSelector('article h2');
  await shoot(rack, 'knowledge');

  const lead = await pageOf('halle', 'day');
  await lead.goto(`${stage.url}/knowledge/changes`, { waitUntil: 'domcontentloaded' });
  await lead.locator('article li a').click();
  await lead.locator('::-p-text(On open tickets)').setTimeout(60_000).wait();
  await shoot(lead, 'knowledge-change');

  const odren = await pageOf('odren', 'day');
  await openFromRack(odren, 'Rose zigzag');
  await odren.locator('::-p-aria([name="Job sheet"])').click();
  await odren.locator('::-p-text(Another day)').wait();
  await shoot(odren, 'job-sheet');
  await lead.goto(stage.url, { waitUntil: 'domcontentloaded' });
  await lead.waitForSelector('section ul a');
  await lead.keyboard.press('/');
  await lead.waitForSelector('[cmdk-input]');
  await lead.type('[cmdk-input]', 'ash zigzag');
  await lead.waitForSelector('[cmdk-item]');
  await lead.locator('[cmdk-item] ::-p-text(Ash)').click();
  await lead.waitForSelector('form h1, aside h2');
  await shoot(lead, 'machine');
  await lead.goto(`${stage.url}/shop`, { waitUntil: 'domcontentloaded' });
  await lead.waitForSelector('table input');
  await shoot(lead, 'shop');

  await openFromRack(odren, 'Teal zigzag');
  await odren.goto(`${odren.url()}/needle/seat`, { waitUntil: 'domcontentloaded' });
  await odren.waitForSelector('fieldset label');
  await odren.evaluate(() => {
    const answers = ['Tight', '1.5', 'front'];
    for (const label of document.querySelectorAll('fieldset label')) {
      const isWanted = answers.includes(label.textContent?.trim() ?? '');
      if (isWanted && label instanceof HTMLElement) label.click();
    }
  });
  await shoot(odren, 'needle');
  await openFromRack(odren, 'Teal zigzag');
  await odren.goto(`${odren.url()}/bobbin/marks?on=case-inside`, { waitUntil: 'domcontentloaded' });
  await odren.waitForSelector('[data-earlier]');
  await odren.locator('::-p-aria([name="It is off and unplugged"])').click();
  for (const [x, y, kind, length] of [
    [0.56, 0.2, 'pierced', '1'],
    [0.74, 0.3, 'raised', '2'],
  ]) {
    const pad = await odren.$('button[aria-label^="Put a mark"]');
    const { x: left = 0, y: top = 0, width = 0 } = (await pad?.boundingBox()) ?? {};
    await odren.mouse.click(left + width * Number(x), top + width * Number(y));
    for (const answer of [kind, length]) {
      await odren.locator(`fieldset label ::-p-text(${answer})`).click();
    }
    await odren.locator('::-p-aria([name="Put it on the map"])').click();
  }
  await odren.waitForSelector('[data-mark=raised]:not([data-earlier])');
  await shoot(odren, 'bobbin');

  await openFromRack(odren, 'Copper zigzag');
  await odren.goto(`${odren.url()}/stitch/why?late=3.5`, { waitUntil: 'domcontentloaded' });
  await odren.waitForSelector('[data-least]');
  await shoot(odren, 'stitch');

  await openFromRack(odren, 'Red portable');
  await odren.goto(`${odren.url()}/tension`, { waitUntil: 'domcontentloaded' });
  // Sewn as it came, threaded anew and sewn again, sewn at what was proposed.
  for (const [dial, knot] of [
    ['2', 'Knot clearly below'],
    ['2', 'Knot clearly below'],
    ['', 'Knot a little on top'],
  ]) {
    const readings = odren.locator(`fieldset button ::-p-text(${knot})`);
    for (let place = 0; place < 3; place += 1) await readings.click();
    const box = odren.locator('::-p-aria([name="Dial stands at"][role="textbox"])');
    if (dial) await box.fill(dial);
    await odren.locator('::-p-aria([name="Save this try"])').click();
    await odren.waitForSelector('[data-curve-chart] canvas');
    for (const done of ['Threaded anew', 'Under its spring, light even drag']) {
      const button = await odren.$(`::-p-aria([name="${done}"])`);
      await button?.click();
    }
  }
  await odren.evaluate(() => document.querySelector('h1')?.scrollIntoView({ block: 'nearest' }));
  await shoot(odren, 'tension');

  // Made up by the stand-in: a zigzag that skips twice at one swing.
  await openFromRack(odren, 'Cream zigzag');
  await odren.goto(`${odren.url()}/sample`, { waitUntil: 'domcontentloaded' });
  await odren.locator('summary ::-p-text(No sample at hand?)').click();
  for (const answer of ['zigzag', 'twice'])
    await odren.locator(`fieldset label ::-p-text(${answer})`).click();
  await odren.locator('::-p-aria([name="Take its pictures"])').click();
  await odren.locator('::-p-text(left swing alone)').wait();
  await odren.waitForFunction(() => /stitches, balance/.test(document.body.innerText));
  await odren.waitForSelector('[data-length-chart] canvas');
  await odren.evaluate(() => document.querySelector('h1')?.scrollIntoView({ block: 'nearest' }));
  await shoot(odren, 'sample');

  const night = await pageOf('tavi', 'night');
  await night.waitForSelector('section ul a');
  await openFromRack(night, 'White zigzag');
  await shoot(night, 'bench-night');
} finally {
  await close();
  await stage.close();
}
