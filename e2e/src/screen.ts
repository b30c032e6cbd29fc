import { readFileSync } from 'node:fs';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AxeResults } from 'axe-core';
import type { Browser, ElementHandle, NodeFor, Page } from 'puppeteer-core';
import { expect } from 'vitest';
import { PATIENCE_MS } from '../../scripts/lib/patience.mjs';

const require = createRequire(import.meta.url);
const axeSource = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** How to find what has this name for whoever reads the page. */
export const field = (name: string) => `::-p-aria([name="${name}"])`;

/** One person's screen: a browser of its own, with everything its console said. */
export class Screen {
  readonly complaints: string[] = [];

  private constructor(
    readonly page: Page,
    private readonly url: string,
  ) {
    page.setDefaultTimeout(PATIENCE_MS);
    page.on('console', (message) => {
      if (message.type() === 'error' || message.type() === 'warn') {
        this.complaints.push(`${message.type()}: ${message.text()}`);
      }
    });
    page.on('pageerror', (fault) => {
      this.complaints.push(`page error: ${fault instanceof Error ? fault.message : String(fault)}`);
    });
  }

  static async open(
    browser: Browser,
    url: string,
    theme: 'day' | 'night' = 'day',
  ): Promise<Screen> {
    const screen = await Screen.blank(browser, url, theme);
    await screen.go('/');
    return screen;
  }

  /**
   * A screen on which somebody signed in already. It asks the server itself: what the sign-in
   * looks like is for the tests that are about it, and costs every other one a second.
   */
  static async signedIn(
    browser: Browser,
    url: string,
    login: string,
    theme: 'day' | 'night' = 'day',
  ): Promise<Screen> {
    const screen = await Screen.blank(browser, url, theme);
    await screen.go('/api/session');
    const status = await screen.page.evaluate(
      async (body) => {
        const headers = { 'content-type': 'application/json' };
        const answer = await fetch('/api/session', { method: 'POST', headers, body });
        // The session is kept by the last byte of the answer, not by its head.
        await answer.arrayBuffer();
        return answer.status;
      },
      JSON.stringify({ login, password: `needle-${login}` }),
    );
    if (status !== 200) throw new Error(`The sign-in of ${login} answered ${status}`);
    await screen.go('/');
    await screen.sees('in the shop');
    return screen;
  }

  private static async blank(
    browser: Browser,
    url: string,
    theme: 'day' | 'night',
  ): Promise<Screen> {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.evaluateOnNewDocument((kept) => {
      if (!localStorage.getItem('nodo.theme')) localStorage.setItem('nodo.theme', kept);
    }, theme);
    return new Screen(page, url);
  }

  /** Another tab of the same browser. */
  static async onPage(page: Page, url: string): Promise<Screen> {
    await page.setViewport({ width: 1280, height: 800 });
    const screen = new Screen(page, url);
    await screen.go('/');
    return screen;
  }

  async go(path: string): Promise<void> {
    await this.page.goto(this.url + path, { waitUntil: 'domcontentloaded' });
  }

  async signIn(login: string): Promise<this> {
    await this.page.waitForSelector('input[name=login]');
    await this.page.type('input[name=login]', login);
    await this.page.type('input[name=password]', `needle-${login}`);
    await this.page.keyboard.press('Enter');
    await this.sees('in the shop');
    return this;
  }

  /** Waits until the text stands on the page. */
  async sees(text: string, patience = PATIENCE_MS): Promise<void> {
    try {
      await this.page.waitForFunction(
        (wanted) => document.body.innerText.replaceAll(/\s+/g, ' ').includes(wanted),
        { timeout: patience, polling: 50 },
        text,
      );
    } catch {
      throw new Error(`“${text}” did not come up. On the screen:\n${await this.text()}`);
    }
  }

  async seesNot(text: string): Promise<void> {
    await this.page.waitForFunction(
      (wanted) => !document.body.innerText.replaceAll(/\s+/g, ' ').includes(wanted),
      { polling: 50 },
      text,
    );
  }

  text(): Promise<string> {
    return this.page.evaluate(() => document.body.innerText.replaceAll(/\s+/g, ' '));
  }

  /** The heading of the step in the middle of the bench. */
  step(): Promise<string> {
    return this.page.evaluate(() => document.querySelector('#step-title')?.textContent ?? '');
  }

  /** Waits until the step in the middle is another than this one, and settled. */
  async stepAfter(before: string): Promise<string> {
    await this.page.waitForFunction(
      (old) => {
        const now = document.querySelector('#step-title')?.textContent ?? '';
        return now !== '' && now !== old;
      },
      { polling: 30 },
      before,
    );
    return this.step();
  }

  /** The step with its answers, as one text; empty while the next is being calculated. */
  question(): Promise<string> {
    return this.page.evaluate(() => {
      const title = document.querySelector('#step-title')?.textContent ?? '';
      const answers = [...document.querySelectorAll('[data-answer]')].map((one) => one.textContent);
      return title === '' ? '' : `${title} ${answers.join('|')}`;
    });
  }

  async questionAfter(before: string): Promise<void> {
    await expect
      .poll(() => this.question(), { interval: 33, message: `still asked: ${before}` })
      .not.toBeOneOf(['', before]);
  }

  /** Clicks what a person would name by this text. */
  async click(text: string): Promise<void> {
    await this.page.locator(field(text)).click();
  }

  /** Clicks the first button or link with the text in it, within a part of the page, once it is there. */
  async clickWithin(within: string, text: string): Promise<void> {
    await this.clickLine(`${within} button, ${within} a`, text);
  }

  /**
   * Clicks the first element of this selector with the text in it, once it is there and can be pressed: found and
   * clicked at once, for a list that is still being read may be written anew in between.
   */
  async clickLine(selector: string, text: string): Promise<void> {
    try {
      await this.page.waitForFunction(
        (lines, wanted) => {
          const found = [...document.querySelectorAll<HTMLElement>(lines)].find((line) =>
            line.innerText.includes(wanted),
          );
          if (!found || found.matches(':disabled')) return false;
          found.click();
          return true;
        },
        { polling: 50 },
        selector,
        text,
      );
    } catch {
      throw new Error(`Nothing to click in ${selector} with “${text}”:\n${await this.text()}`);
    }
  }

  /** Chooses a file of this content in the view's own file picker. */
  async giveFile(content: string | Uint8Array, name = 'list.csv'): Promise<void> {
    const folder = await mkdtemp(join(tmpdir(), 'nodo-file-'));
    const path = join(folder, name);
    await writeFile(path, content);
    const picker = await this.page.waitForSelector('main input[type=file]');
    await (picker as ElementHandle<HTMLInputElement>).uploadFile(path);
  }

  /** Reads something off the first element of this selector, once it is there. */
  async read<Selector extends string, Value>(
    selector: Selector,
    value: (element: NodeFor<Selector>) => Value,
  ): Promise<Awaited<Value>> {
    await this.page.waitForSelector(selector);
    return this.page.$eval(selector, value);
  }

  /**
   * Keeps the answers of one address from the next page that is opened, as a slow line does.
   * @returns how to let them come
   */
  async holdBack(path: RegExp): Promise<() => Promise<void>> {
    const { identifier } = await this.page.evaluateOnNewDocument((held) => {
      const ask = window.fetch.bind(window);
      const gate = new Promise<void>((open) => {
        Object.assign(window, { letCome: open });
      });
      window.fetch = async (input, init) => {
        const { pathname } = new URL(input instanceof Request ? input.url : input, location.href);
        if (new RegExp(held).test(pathname)) await gate;
        return ask(input, init);
      };
    }, path.source);
    return async () => {
      await this.page.removeScriptToEvaluateOnNewDocument(identifier);
      await this.page.evaluate(() => {
        (window as unknown as { letCome: () => void }).letCome();
      });
    };
  }

  /** Puts a long text into a field at once, as from a clipboard. */
  async paste(selector: string, text: string): Promise<void> {
    await (await this.page.waitForSelector(selector))?.focus();
    await this.page.keyboard.sendCharacter(text);
  }

  async press(key: string): Promise<void> {
    await this.page.keyboard.press(key as Parameters<Page['keyboard']['press']>[0]);
  }

  /** Begins a search with the slash key, wherever one is, and types these letters. */
  async searches(letters: string): Promise<void> {
    await expect
      .poll(async () => {
        await this.press('/');
        return this.page.evaluate(() => document.activeElement?.matches('header input'));
      })
      .toBe(true);
    await this.page.keyboard.type(letters);
  }

  /** Writes a note through the interface, as fast as a person could. */
  async note(words: string): Promise<void> {
    await this.press('s');
    await this.page.waitForSelector('[role="dialog"] input');
    await this.page.keyboard.type(words);
    await this.clickWithin('[role="dialog"]', 'Save');
    await this.page.waitForSelector('[role="dialog"]', { hidden: true });
    await this.sees(`“${words}”`);
  }

  /** Chooses from a list by its label and the text of the option. */
  async selects(label: string, option: string): Promise<void> {
    await this.page.locator(`::-p-aria([name="${label}"][role="combobox"])`).click();
    await this.page.locator(`::-p-aria([name="${option}"][role="option"])`).click();
    await this.page.waitForSelector('[data-radix-select-viewport]', { hidden: true });
  }

  /** Opens the ticket's history, all entries as a list. */
  async readHistory(): Promise<void> {
    const isOpen = (await this.text()).includes('Read as a list');
    if (!isOpen) await this.press('h');
    await this.click('Read as a list');
    await this.sees('All entries, the latest first');
  }

  /** Hands the machine out, with what is chosen; without a bill where no price was worked out. */
  async handsOut(...choices: readonly string[]): Promise<void> {
    const dialog = '[role="dialog"]';
    await this.click('Hand out');
    await this.page.waitForSelector(dialog);
    for (const choice of choices) await this.clickLine(`${dialog} :is(label, button)`, choice);
    const why = await this.page.$(field('Why without a bill'));
    await why?.type('Settled otherwise');
    await this.clickWithin(dialog, 'Handed over');
    await this.page.waitForSelector(dialog, { hidden: true });
  }

  /** Takes the first way on, step after step, until the ticket is closed. */
  async workToTheKnot(): Promise<void> {
    for (let steps = 0; steps < 40; steps += 1) {
      await this.page.waitForFunction(
        () =>
          document.querySelector('[data-answer="1"]') !== null ||
          document.body.innerText.includes('Ticket closed'),
      );
      if ((await this.text()).includes('Ticket closed')) return;
      const before = await this.question();
      await this.press('1');
      await this.questionAfter(before);
    }
    throw new Error(`Never came to the knot, last at: ${await this.step()}`);
  }

  /** What the audit holds against the page: rule, and where. */
  async audit(): Promise<readonly string[]> {
    await this.page.evaluate(axeSource);
    const { violations } = await this.page.evaluate(async () => {
      const { axe } = window as unknown as { axe: { run(options: object): Promise<AxeResults> } };
      return axe.run({
        runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
      });
    });
    return violations.flatMap(({ id, nodes }) =>
      nodes.map(
        ({ target, failureSummary }) => `${id} at ${target.join(' ')}: ${failureSummary ?? ''}`,
      ),
    );
  }
}
