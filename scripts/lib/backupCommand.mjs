import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { askSecret } from './ask.mjs';
import { backupPlaceOf, makeJob, mustDo } from './backups.mjs';
import { buildAll } from './build.mjs';
import { Cluster } from './cluster.mjs';
import { prepareFolder, wasPrepared } from './dataFolder.mjs';
import { SetupFault } from './fault.mjs';
import { installPackages } from './install.mjs';
import { built } from './paths.mjs';
import { during, say } from './say.mjs';

const ROOT = resolve(new URL('../..', import.meta.url).pathname);
const DATABASE = 'nodo';

/** Makes a backup of the data folder, whether Nodo runs from it or not. */
export async function backup() {
  const home = dataFolder();
  if (!wasPrepared(home)) {
    throw new SetupFault(
      `There is no shop in ${home}.`,
      'Name its folder: NODO_DATA=/some/where npm run backup',
    );
  }
  await installPackages(ROOT);
  const { backup: program, stamp } = built(ROOT);
  if (!existsSync(stamp)) await buildAll(ROOT);
  const place = backupPlaceOf(home);
  const status = await mustDo(program, { job: 'status', place });
  if (!status.hasPassphrase) await choosePassphrase(program, place, status);
  const made = await withDatabase(home, async (cluster) => {
    const job = await makeJob(cluster, DATABASE);
    return during('Making a backup', () => mustDo(program, job));
  });
  say(`${join(place.files, made.file)}`);
  say(`${(made.bytes / 1e6).toFixed(1)} MB, ${made.photos} photos; read back from the disk, whole`);
  for (const photo of made.damaged) say(`Damaged before it was saved: ${photo}`);
  if (made.pruned.length > 0) say(`Removed the oldest: ${made.pruned.join(', ')}`);
}

/** The shop of one's own, if there is one: the demo needs no backup. */
function dataFolder() {
  if (process.env.NODO_DATA) return resolve(process.env.NODO_DATA);
  const own = join(ROOT, 'my-shop');
  return existsSync(own) ? own : join(ROOT, 'data');
}

/**
 * @param {string} program
 * @param {ReturnType<typeof backupPlaceOf>} place
 * @param {{ usuallyKept: number, shortestPassphrase: number }} status
 */
async function choosePassphrase(program, place, { usuallyKept, shortestPassphrase }) {
  say('Backups are sealed with a passphrase. Copy it onto paper: without it nobody can open them.');
  const passphrase = await askSecret('Passphrase for the backups', 'NODO_PASSPHRASE');
  if (passphrase.length < shortestPassphrase) {
    throw new SetupFault(
      `A passphrase has at least ${shortestPassphrase} characters.`,
      'Take a longer one.',
    );
  }
  if ((await askSecret('Once more', 'NODO_PASSPHRASE')) !== passphrase) {
    throw new SetupFault('The two are not the same.', 'Nothing was changed; try again.');
  }
  await mustDo(program, { job: 'set-passphrase', place, passphrase, keep: usuallyKept });
}

/**
 * The database of a data folder: the one that runs, or else started for this and stopped again.
 * @template Result
 * @param {string} home
 * @param {(cluster: Cluster) => Promise<Result>} use
 */
async function withDatabase(home, use) {
  const running = runningCluster(home);
  if (running) return use(running);
  const release = prepareFolder(home);
  const cluster = new Cluster(home);
  try {
    await cluster.create({ servedBefore: true });
    await cluster.start();
    return await use(cluster);
  } finally {
    await cluster.stop();
    release();
  }
}

/** @param {string} home */
function runningCluster(home) {
  try {
    const [pid = '', , , port = ''] = readFileSync(
      join(home, 'postgres/postmaster.pid'),
      'utf8',
    ).split('\n');
    if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('postgres')) return undefined;
    return Cluster.attachedTo({ home, port: Number(port) });
  } catch {
    return undefined;
  }
}
