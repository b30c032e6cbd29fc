import { throwawayCluster } from './stage.mjs';

/**
 * Vitest's global set-up: one throwaway cluster for the whole run, with the three accounts
 * that each test file makes its own database with.
 * @param {{ provide: (key: string, value: unknown) => void }} project
 */
export default async function setup(project) {
  const { cluster, remove } = await throwawayCluster();
  await cluster.prepareDatabase('nodo_template');
  project.provide('database', cluster.settings('nodo_template'));
  project.provide('superPassword', cluster.readSecrets().super);
  return remove;
}
