import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

const root = resolve(new URL('..', import.meta.url).pathname);
const { openStage } = await import('./lib/stage.mjs');
const { openBrowser } = await import('./lib/browser.mjs');
const stage = await openStage(root);
const { browser, close } = await openBrowser();
try {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(stage.url, { waitUntil: 'domcontentloaded' });
  const signIn = async (login) => {
    await page.waitForSelector('input[name=login]');
    await page.type('input[name=login]', login);
    await page.type('input[name=password]', `needle-${login}`);
    await page.keyboard.press('Enter');
    await page.waitForSelector('nav');
  };
  const shot = async (name) => {
    await new Promise((d) => setTimeout(d, 700));
    await page.screenshot({ path: `/tmp/pics/${name}.png` });
    console.log(
      'shot',
      name,
      await page.evaluate(() => document.querySelector('#step-title')?.textContent),
    );
  };
  const press = async (text) => {
    await page.waitForFunction(
      (t) =>
        [...document.querySelectorAll('button,a,label,summary')].some(
          (b) => b.textContent?.trim().includes(t) || b.getAttribute('aria-label')?.includes(t),
        ),
      { timeout: 8000 },
      text,
    );
    await page.evaluate((t) => {
      const b = [...document.querySelectorAll('button,a,label,summary')].find(
        (b) => b.textContent?.trim().includes(t) || b.getAttribute('aria-label')?.includes(t),
      );
      b.click();
    }, text);
    await new Promise((d) => setTimeout(d, 500));
  };
  const open = async (label) => {
    await page.goto(stage.url, { waitUntil: 'domcontentloaded' });
    await page.waitForSelector('section ul a');
    await page.evaluate((wanted) => {
      [...document.querySelectorAll('main a')]
        .find((c) => c.textContent?.includes(wanted))
        ?.click();
    }, label);
    await page.waitForSelector('#step-title');
    await new Promise((d) => setTimeout(d, 800));
  };
  const title = () => page.evaluate(() => document.querySelector('#step-title')?.textContent);
  const answers = () =>
    page.evaluate(() => [...document.querySelectorAll('[data-answer]')].map((b) => b.textContent));
  await (await import(pathToFileURL(process.argv[2]).href)).default({
    page,
    stage,
    signIn,
    shot,
    press,
    open,
    title,
    answers,
  });
} finally {
  await close();
  await stage.close();
}
