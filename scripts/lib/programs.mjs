import { readFileSync } from 'node:fs';
import { builtinModules } from 'node:module';

/**
 * How the server's programs are bundled. What the server itself names in its package.json is
 * loaded from node_modules.
 * @param {string} root
 * @returns {import('esbuild').BuildOptions}
 */
export function serverPrograms(root) {
  const { dependencies } = JSON.parse(readFileSync(`${root}packages/server/package.json`, 'utf8'));
  const external = [
    ...builtinModules.flatMap((name) => [name, `node:${name}`]),
    ...Object.keys(dependencies).filter((name) => !name.startsWith('@nodo/')),
  ].flatMap((name) => [name, `${name}/*`]);
  return {
    absWorkingDir: root,
    entryPoints: {
      server: 'packages/server/src/main.ts',
      door: 'packages/server/src/doorMain.ts',
      migrate: 'packages/server/src/migrate.ts',
      demo: 'demo/src/main.ts',
      ownShop: 'packages/server/src/ownShopMain.ts',
      backup: 'packages/server/src/backupMain.ts',
    },
    // Beside the server's own node_modules, wherever npm put a package.
    outdir: 'packages/server/dist',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    splitting: false,
    sourcemap: true,
    external,
    logLevel: 'warning',
  };
}
