import { afterAll, beforeAll } from 'vitest';
import { openBrowser } from '../../scripts/lib/browser.mjs';
import { openStage } from '../../scripts/lib/stage.mjs';
import { Screen } from './screen.ts';

type Stage = Awaited<ReturnType<typeof openStage>>;
type OpenBrowser = Awaited<ReturnType<typeof openBrowser>>;

/** The built server with the demo shop, and a browser, for one test file. */
export function useStage(options: { durable?: boolean } = {}): {
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
  let opened = undefined as OpenBrowser | undefined;
  beforeAll(async () => {
    const root = new URL('../..', import.meta.url).pathname;
    [stage, opened] = await Promise.all([openStage(root, options), openBrowser()]);
  });
  const screens = new Map<string, Promise<Screen>>();
  afterAll(async () => {
    await opened?.close();
    await stage?.close();
  });
  const anonymous = (theme?: 'day' | 'night') => {
    if (!opened || !stage) throw new Error('The stage is not open.');
    return Screen.open(opened.browser, stage.url, theme);
  };
  const openedStage = () => {
    if (!stage) throw new Error('The stage is not open.');
    return stage;
  };
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
    anonymous,
    screenAt: async (url, login) => {
      if (!opened) throw new Error('The stage is not open.');
      return (await Screen.open(opened.browser, url)).signIn(login);
    },
    screen: async (login, theme) => (await anonymous(theme)).signIn(login),
    sharedScreen: (login, theme) => {
      const key = `${login} ${theme}`;
      const open = screens.get(key) ?? anonymous(theme).then((screen) => screen.signIn(login));
      screens.set(key, open);
      return open;
    },
  };
}
