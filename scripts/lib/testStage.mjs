import { resolve } from 'node:path';
import { openBrowser } from './browser.mjs';
import { prepareDemoCopy } from './stage.mjs';
import { sharedCluster } from './testCluster.mjs';

/**
 * Vitest's global set-up for journeys: the demo shop, loaded once and copied for each test file,
 * and one browser, in which each screen is a context of its own.
 * @param {import('./testCluster.mjs').Project} project
 */
export default async function setup(project) {
  const root = resolve(new URL('../..', import.meta.url).pathname);
  const [{ cluster, remove }, opened] = await Promise.all([sharedCluster(), openBrowser()]);
  await prepareDemoCopy(root, cluster);
  project.provide('demoCopy', { home: cluster.home, port: cluster.port });
  project.provide('browser', opened.browser.wsEndpoint());
  return async () => {
    await opened.close();
    await remove();
  };
}
