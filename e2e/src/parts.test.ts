import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser } from 'puppeteer-core';
import { build, type PreviewServer, preview } from 'vite';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { badlyDrawnTexts } from './drawnTexts.ts';
import { Screen } from './screen.ts';

declare module 'vitest' {
  interface ProvidedContext {
    browser: string;
  }
}

const web = new URL('../../packages/web', import.meta.url).pathname;
const outDir = mkdtempSync(join(tmpdir(), 'nodo-parts-'));

/** What the parts for every view are called. */
function exportedParts(): readonly string[] {
  return readdirSync(join(web, 'src/ui'))
    .filter((file) => file.endsWith('.tsx'))
    .flatMap((file) => readFileSync(join(web, 'src/ui', file), 'utf8').split('\n'))
    .flatMap((line) => /^export (?:function|class) ([A-Z]\w+)/.exec(line)?.[1] ?? []);
}

describe('the page of all parts', () => {
  let server = undefined as PreviewServer | undefined;
  let browser = undefined as Browser | undefined;
  beforeAll(async () => {
    const common = { root: web, logLevel: 'error' } as const;
    const input = join(web, 'parts/index.html');
    await build({ ...common, build: { outDir, rolldownOptions: { input } } });
    server = await preview({
      ...common,
      build: { outDir },
      preview: { port: 0, host: '127.0.0.1' },
    });
    browser = await puppeteer.connect({ browserWSEndpoint: inject('browser') });
  });
  afterAll(async () => {
    await browser?.disconnect();
    await server?.close();
    rmSync(outDir, { recursive: true });
  });
  const pageIn = async (theme: 'day' | 'night'): Promise<Screen> => {
    const origin = server?.resolvedUrls?.local[0];
    if (!browser || origin === undefined) throw new Error('The page is not served.');
    const screen = await Screen.open(browser, `${origin}parts`, theme);
    await screen.sees('Parts of the interface');
    return screen;
  };

  it.each(['day', 'night'] as const)('passes the audit, %s bench, its sheet too', async (theme) => {
    const screen = await pageIn(theme);
    const ground = await screen.page.evaluate(() => document.documentElement.dataset.theme);
    expect(ground).toBe(theme);
    expect(await screen.audit()).toEqual([]);
    await screen.click('Open the sheet');
    await screen.sees('A sheet over the page');
    expect(await screen.audit()).toEqual([]);
    await screen.page.keyboard.press('Escape');
    await screen.page.waitForSelector('[role="dialog"]', { hidden: true });
    await screen.page.browserContext().close();
  });

  it('shows every drawing with its words whole and large enough, however wide it is', async () => {
    const screen = await pageIn('day');
    for (const width of [1280, 768, 390]) {
      await screen.page.setViewport({ width, height: 800 });
      await expect.poll(() => badlyDrawnTexts(screen.page), { message: `at ${width}` }).toEqual([]);
    }
    await screen.page.browserContext().close();
  });

  it('shows every part that views are built of', async () => {
    const screen = await pageIn('day');
    const shown = await screen.page.$$eval('[data-part]', (parts) =>
      parts.map((part) => part.getAttribute('data-part')),
    );
    expect(exportedParts()).toContain('Button');
    expect(exportedParts().filter((name) => !shown.includes(name))).toEqual([]);
    await screen.page.browserContext().close();
  });
});
