import { connect, migrate } from '@nodo/server';
import { throwawayCluster } from './stage.mjs';

const TEMPLATE = 'nodo_template';

/** @typedef {{ provide: (key: string, value: unknown) => void }} Project */
/** @typedef {{ cluster: import('./cluster.mjs').Cluster, remove: () => Promise<void> }} Made */

/**
 * The cluster of this run, one for all projects: each project loads this file for itself, so
 * what they share hangs on the process.
 * @typedef {{ made?: Promise<Made>, users: number }} Shared
 */
const KEY = Symbol.for('nodo.testCluster');
const holder = /** @type {Record<symbol, Shared>} */ (/** @type {unknown} */ (globalThis));
holder[KEY] ??= { users: 0 };
const shared = holder[KEY];

/**
 * One throwaway cluster for the whole run. It is removed when the last project that uses it ends.
 * @returns {Promise<Made>}
 */
export async function sharedCluster() {
  shared.users += 1;
  shared.made ??= throwawayCluster();
  const { cluster, remove } = await shared.made;
  return {
    cluster,
    async remove() {
      shared.users -= 1;
      if (shared.users === 0) await remove();
    },
  };
}

/**
 * Vitest's global set-up for tests of the server: a migrated database from which each test file
 * makes a copy of its own.
 * @param {Project} project
 */
export default async function setup(project) {
  const { cluster, remove } = await sharedCluster();
  await cluster.prepareDatabase(TEMPLATE);
  const database = cluster.settings(TEMPLATE);
  const owner = connect(database, database.owner, 2);
  await migrate(owner);
  await owner.close();
  project.provide('database', database);
  project.provide('superPassword', cluster.readSecrets().super);
  return remove;
}
