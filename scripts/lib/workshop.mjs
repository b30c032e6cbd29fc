import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { built } from './paths.mjs';
import { hashOf } from './stamp.mjs';

/** The pages stand this many ports above the server. */
const PAGES_ABOVE = 10;

/**
 * Builds the server's programs anew with every change and serves the pages from their sources.
 * @typedef {object} Workshop
 * @property {ReturnType<typeof built>} programs
 * @property {() => Promise<void>} build
 * @property {(api: number, restart: () => void) => Promise<{ port: number, stop: () => Promise<void> }>} serve
 *   the pages, beside the server's port; the server is restarted whenever its program is new
 */

/** @returns {Workshop} */
export function openWorkshop() {
  const root = resolve(new URL('../..', import.meta.url).pathname);
  const out = 'packages/server/dist/dev';
  const at = (name) => join(root, out, name);
  const programs = {
    ...built(root),
    server: at('server.mjs'),
    door: at('door.mjs'),
    migrate: at('migrate.mjs'),
    demo: at('demo.mjs'),
    ownShop: at('ownShop.mjs'),
    backup: at('backup.mjs'),
    // No pages here: the ones that are shown come from their sources.
    web: at('web'),
    stamp: at('.nodo-built'),
  };
  /** What to do after each further build; the first and the watcher's own first round change nothing. */
  let whenNew = () => {};
  let rounds = 0;
  /** @type {import('esbuild').BuildContext | undefined} */
  let watched;
  return {
    programs,
    build: async () => {
      // Not before the packages are there.
      const [{ context }, { serverPrograms }] = await Promise.all([
        import('esbuild'),
        import('./programs.mjs'),
      ]);
      watched = await context({
        ...serverPrograms(`${root}/`),
        outdir: out,
        plugins: [
          {
            name: 'restart',
            setup: (build) =>
              build.onEnd(({ errors }) => {
                rounds += 1;
                if (rounds > 2 && errors.length === 0) whenNew();
              }),
          },
        ],
      });
      await watched.rebuild();
      // Tables and demo are looked at again when what makes them changed.
      writeFileSync(programs.stamp, hashOf(root, ['demo', 'packages/server/src/migrations']));
    },
    serve: async (api, restart) => {
      const { createServer } = await import('vite');
      const vite = await createServer({
        root: join(root, 'packages/web'),
        server: {
          port: api + PAGES_ABOVE,
          strictPort: true,
          // The server is told the address of the page, or it would take what comes from it as foreign.
          proxy: { '/api': { target: `http://localhost:${api}`, changeOrigin: false } },
        },
        logLevel: 'warn',
      });
      await vite.listen();
      whenNew = restart;
      await watched?.watch();
      return {
        port: api + PAGES_ABOVE,
        stop: async () => {
          await Promise.all([vite.close(), watched?.dispose()]);
        },
      };
    },
  };
}
