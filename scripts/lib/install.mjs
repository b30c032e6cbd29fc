import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { assertWritable, SetupFault } from './fault.mjs';
import { mustRun, run } from './run.mjs';
import { during } from './say.mjs';
import { hashOf, unlessStamped } from './stamp.mjs';

/**
 * Installs what the lock file names, when it changed.
 * @param {string} root
 */
export async function installPackages(root) {
  const hash = hashOf(root, ['package.json', 'package-lock.json']);
  const stamp = join(root, 'node_modules', '.nodo-installed');
  await unlessStamped(stamp, hash, () =>
    during('Installing the npm packages of the lock file (under a minute)', async () => {
      assertWritable(root);
      await mustRun('npm', ['ci', '--include=dev', '--no-audit', '--no-fund'], {
        cwd: root,
        env: { ...process.env, NODE_ENV: 'development' },
      });
    }),
  );
}

/**
 * Sees that Debian's packages are there; installs them where this user may.
 * @param {readonly { name: string, present: () => boolean }[]} wanted
 */
export async function installDebianPackages(wanted) {
  const missing = wanted.filter(({ present }) => !present()).map(({ name }) => name);
  if (missing.length === 0) return;
  const command = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  const remedy = `Have an administrator run: sudo ${command}`;
  if (process.getuid?.() !== 0) {
    throw new SetupFault(
      `Missing on this computer: ${missing.join(', ')}; and this user has no right to install.`,
      remedy,
    );
  }
  await during(`Installing Debian's ${missing.join(' and ')} (under a minute)`, async () => {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    await run('apt-get', ['update', '-qq'], { env });
    const { code, output } = await run(
      'apt-get',
      ['install', '-y', '--no-install-recommends', ...missing],
      { env },
    );
    if (code !== 0) {
      const why = output.trim().split('\n').at(-1) ?? '';
      throw new SetupFault(
        `Debian's ${missing.join(', ')} could not be installed (${why}).`,
        remedy,
      );
    }
  });
}

const POSTGRES_BASE = '/usr/lib/postgresql';

/** The versions of PostgreSQL that are installed, the newest first. */
function postgresVersions() {
  if (!existsSync(POSTGRES_BASE)) return [];
  return readdirSync(POSTGRES_BASE)
    .filter((version) => existsSync(join(POSTGRES_BASE, version, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a));
}

/** Folder of PostgreSQL's programs, of the newest version there is. */
export function postgresPrograms() {
  const [newest] = postgresVersions();
  return newest === undefined ? undefined : join(POSTGRES_BASE, newest, 'bin');
}

/**
 * Folder of the programs that a cluster was made by: no other version serves it.
 * @param {string} version
 */
export function postgresProgramsOf(version) {
  const versions = postgresVersions();
  if (versions.includes(version)) return join(POSTGRES_BASE, version, 'bin');
  throw new SetupFault(
    `The data was made by PostgreSQL ${version}, which is not on this computer (there is ${versions.join(', ')}).`,
    `Install it beside the other: sudo apt-get install postgresql-${version}`,
  );
}

export const POSTGRESQL = { name: 'postgresql', present: () => postgresPrograms() !== undefined };

/** The same browser without its own windows: a page costs it a tenth of what it costs the other. */
export const CHROMIUM_PATH = '/usr/bin/chromium-headless-shell';
export const CHROMIUM = {
  name: 'chromium-headless-shell',
  present: () => existsSync(CHROMIUM_PATH),
};
