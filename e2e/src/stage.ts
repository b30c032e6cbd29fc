import puppeteer, { type Browser, type BrowserContext } from 'puppeteer-core';
import { afterAll, beforeAll, inject } from 'vitest';
import { openStage, type RunningCluster } from '../../scripts/lib/stage.mjs';
import { Screen } from './screen.ts';

declare module 'vitest' {
  interface ProvidedContext {
    demoCopy: RunningCluster;
    browser: string;
  }
}

type Stage = Awaited<ReturnType<typeof openStage>>;

/** The built server with a demo shop of its own, and the browser of this run, for one test file. */
export function useStage(options: { durable?: boolean; isOwnShop?: boolean } = {}): {
  readonly stage: () => Stage;
  screen(login: string, theme?: 'day' | 'night'): Promise<Screen>;
  /** The same screen for all tests of the file that ask for this person and theme. */
  sharedScreen(login: string, theme?: 'day' | 'night'): Promise<Screen>;
  anonymous(theme?: 'day' | 'night'): Promise<Screen>;
  /** A screen at another address of the shop's servers. */
  screenAt(url: string, login: string): Promise<Screen>;
  /** The notes of a ticket as the database has them, in their order. */
  notesOf(ticket: string): Promise<readonly string[]>;
} {
  // Undefined for as long as the set-up has not come to it, or failed.
  let stage = undefined as Stage | undefined;
  let browser = undefined as Browser | undefined;
  const contexts = new Set<BrowserContext>();
  beforeAll(async () => {
    const root = new URL('../..', import.meta.url).pathname;
    [stage, browser] = await Promise.all([
      openStage(root, { ...options, copyFrom: inject('demoCopy') }),
      puppeteer.connect({ browserWSEndpoint: inject('browser') }),
    ]);
  });
  const screens = new Map<string, Promise<Screen>>();
  afterAll(async () => {
    await Promise.all([...contexts].map((context) => context.close()));
    await browser?.disconnect();
    await stage?.close();
  });
  const opened = async (open: (browser: Browser) => Promise<Screen>) => {
    if (!browser) throw new Error('The stage is not open.');
    const screen = await open(browser);
    contexts.add(screen.page.browserContext());
    return screen;
  };
  const openedStage = () => {
    if (!stage) throw new Error('The stage is not open.');
    return stage;
  };
  const screenAt = (url: string, login: string, theme?: 'day' | 'night') =>
    opened((at) => Screen.signedIn(at, url, login, theme));
  const screen = (login: string, theme?: 'day' | 'night') =>
    screenAt(openedStage().url, login, theme);
  return {
    stage: openedStage,
    notesOf: async (ticket) => {
      const { cluster, database } = openedStage();
      const rows = await cluster.sql(
        database,
        `select body->>'words' from ticket_event where ticket_id = '${ticket}' and type = 'observation-noted' order by seq`,
      );
      return rows.trim().split('\n').filter(Boolean);
    },
    anonymous: (theme) => opened((at) => Screen.open(at, openedStage().url, theme)),
    screenAt,
    screen,
    sharedScreen: (login, theme) => {
      const key = `${login} ${theme}`;
      const open = screens.get(key) ?? screen(login, theme);
      screens.set(key, open);
      return open;
    },
  };
}
