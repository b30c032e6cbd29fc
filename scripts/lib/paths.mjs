import { join } from 'node:path';

/**
 * Where the build puts what the other commands run.
 * @param {string} root
 */
export function built(root) {
  const server = join(root, 'packages', 'server', 'dist');
  return {
    server: join(server, 'server.mjs'),
    door: join(server, 'door.mjs'),
    migrate: join(server, 'migrate.mjs'),
    demo: join(server, 'demo.mjs'),
    ownShop: join(server, 'ownShop.mjs'),
    backup: join(server, 'backup.mjs'),
    diagnose: join(root, 'packages', 'diagnose', 'dist', 'diagnose.cjs'),
    web: join(root, 'packages', 'web', 'dist'),
    stamp: join(server, '.nodo-built'),
  };
}
