import { existsSync, mkdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join, relative, resolve } from 'node:path';
import { buildAll } from './build.mjs';
import { Cluster } from './cluster.mjs';
import { explained, SetupFault } from './fault.mjs';
import { installDebianPackages, installPackages, POSTGRESQL } from './install.mjs';
import { logFile } from './log.mjs';
import { built } from './paths.mjs';
import { mustRun } from './run.mjs';
import { during, say } from './say.mjs';
import { keepDatabase, keepServer } from './supervise.mjs';

const DEFAULT_PORT = 4680;
const DATABASE = 'nodo';
/** What the database was last prepared by and with. */
const PREPARED = 'prepared.json';
const LEAST_FREE_BYTES = 200e6;

/**
 * @param {readonly string[]} args
 * @param {import('./workshop.mjs').Workshop} [workshop] builds and serves anew with every change;
 *   without one everything is built once
 */
export async function start(args, workshop) {
  const root = resolve(new URL('../..', import.meta.url).pathname);
  const home = resolve(process.env.NODO_DATA ?? join(root, workshop ? 'data/dev' : 'data'));
  const programs = workshop?.programs ?? built(root);
  const below = relative(root, home);
  const shownPath = below.startsWith('..') ? home : below;
  const resetDemo = args.includes('--reset-demo');
  const port = Number(process.env.PORT ?? DEFAULT_PORT);
  let release = () => {};
  /** @type {(() => Promise<void>)[]} */
  const stops = [];
  const stopAll = async () => {
    for (const stop of stops.splice(0).reverse()) await stop();
    release();
  };
  const giveUp = () => {
    stopAll().finally(() => process.exit(1));
  };
  stopOnSignal(stopAll);

  try {
    release = prepareFolder(home);
    await assertPortFree(port);
    await installPackages(root);
    await installDebianPackages([POSTGRESQL]);
    await (workshop ? workshop.build() : buildAll(root));

    const log = logFile(join(home, 'log'), 'postgres');
    const cluster = new Cluster(home, { log });
    if (await cluster.create()) {
      rmSync(join(home, PREPARED), { force: true });
      say(`Made a private database in ${shownPath}/postgres`);
    }
    await cluster.start();
    stops.push(keepDatabase(cluster, log, giveUp));
    say(`Database runs on 127.0.0.1:${cluster.port}`);
    const database = cluster.settings(DATABASE);
    const settings = {
      host: '127.0.0.1',
      port,
      webRoot: programs.web,
      photos: join(home, 'photos'),
      sessionSecret: cluster.readSecrets().session,
      database,
    };
    const environment = (value) => ({ ...process.env, NODO_SETTINGS: JSON.stringify(value) });
    if (resetDemo) {
      rmSync(join(home, PREPARED), { force: true });
      await cluster.dropDatabase(DATABASE);
      say('Threw the demo shop away, beginning anew');
    }
    const signIns = await prepareOnce(home, programs, cluster, environment(settings));

    const { owner: _owner, ...withoutOwner } = database;
    const lan = args.includes('--lan') ? await lanSettings(home, port, signIns) : undefined;
    const { stop, restart } = await keepServer(
      programs.server,
      environment({ ...settings, database: withoutOwner, ...(lan ? { lan } : {}) }),
      logFile(join(home, 'log'), 'server'),
      giveUp,
    );
    stops.push(stop);
    const shown = workshop ? await workshop.serve(port, restart) : undefined;
    if (shown) stops.push(shown.stop);
    say(`Nodo serves at  http://localhost:${shown?.port ?? port}`);
    for (const { login, password, role, name } of signIns) {
      say(`  sign in as  ${login.padEnd(8)} password  ${password}   (${name}, ${role})`);
    }
    if (lan) await tellLan(lan);
    say(`Stop with Ctrl-C. Your data stays in ${shownPath}/.`);
  } catch (fault) {
    await stopAll();
    const told = explained(fault, home);
    process.stderr.write(
      `\n${told instanceof SetupFault ? `Cannot start: ${told.message}` : `Cannot start: ${told instanceof Error ? (told.stack ?? told.message) : String(told)}`}\n`,
    );
    process.exit(1);
  }
}

/**
 * What the server needs to be reached from the other benches.
 * @param {string} home
 * @param {number} port
 * @param {{ login: string, password: string }[]} signIns
 */
async function lanSettings(home, port, signIns) {
  // Not before the packages are there.
  const { certificatesIn, ownNames } = await import('./certificates.mjs');
  const made = await certificatesIn(join(home, 'tls'), ownNames(), new Date());
  await assertPortFree(port + 1);
  await assertPortFree(port + 2);
  const [name] = made.names;
  return {
    host: '0.0.0.0',
    port: port + 1,
    doorPort: port + 2,
    address: `https://${name}:${port + 1}/`,
    door: `http://${name}:${port + 2}/`,
    ...made,
    refused: signIns.map(({ login, password }) => ({ login, password })),
  };
}

/** @param {Awaited<ReturnType<typeof lanSettings>>} lan */
async function tellLan({ address, door }) {
  const { default: qrcode } = await import('qrcode');
  say(`Other benches reach it at  ${address}`);
  say(`Once per device, the shop's certificate:  ${door}`);
  process.stdout.write(`${await qrcode.toString(door, { type: 'terminal', small: true })}\n`);
  say('The demo passwords are good on this computer only.');
}

/**
 * Accounts, tables and the demo shop: done once for each build, then remembered beside the
 * data, so that an ordinary start does not wait for it.
 * @param {string} home
 * @param {ReturnType<typeof built>} programs
 * @param {Cluster} cluster
 * @param {NodeJS.ProcessEnv} env
 * @returns {Promise<{ login: string, password: string, role: string, name: string }[]>}
 */
async function prepareOnce(home, programs, cluster, env) {
  const file = join(home, PREPARED);
  const build = readFileSync(programs.stamp, 'utf8');
  if (existsSync(file)) {
    const prepared = JSON.parse(readFileSync(file, 'utf8'));
    if (prepared.build === build) return prepared.signIns;
  }
  await cluster.prepareDatabase(DATABASE);
  const ran = await mustRun(process.execPath, [programs.migrate], { env });
  if (Number(ran) > 0) say(`Brought the tables up to date (${ran.trim()} migrations)`);
  const { loaded, signIns } = JSON.parse(
    await during('Looking whether the demo shop is there', () =>
      mustRun(process.execPath, [programs.demo], { env }),
    ),
  );
  if (loaded > 0) say(`Loaded the demo shop: ${loaded} tickets`);
  writeFileSync(file, JSON.stringify({ build, signIns }));
  return signIns;
}

/** @param {() => Promise<void>} stopAll */
function stopOnSignal(stopAll) {
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      say('Stopping');
      stopAll().then(
        () => {
          say('Stopped; everything is kept');
          process.exit(0);
        },
        (fault) => {
          process.stderr.write(`${String(fault)}\n`);
          process.exit(1);
        },
      );
    });
  }
}

/**
 * Sees that the data folder is ours, has room, and is used by one start command at a time.
 * @param {string} home
 * @returns {() => void} how to let go of it
 */
function prepareFolder(home) {
  mkdirSync(home, { recursive: true });
  const lock = join(home, 'running.pid');
  if (existsSync(lock)) {
    const pid = Number(readFileSync(lock, 'utf8'));
    if (pid !== process.pid && isStartCommand(pid)) {
      throw new SetupFault(
        `Nodo already runs from this folder (process ${pid}).`,
        `Stop that one first: kill ${pid}`,
      );
    }
  }
  writeFileSync(lock, String(process.pid));
  const { bavail, bsize } = statfsSync(home);
  if (bavail * bsize < LEAST_FREE_BYTES) {
    rmSync(lock, { force: true });
    throw explained({ code: 'ENOSPC' }, home);
  }
  return () => rmSync(lock, { force: true });
}

/** @param {number} pid */
function isStartCommand(pid) {
  try {
    return /(start|dev)\.mjs/.test(readFileSync(`/proc/${pid}/cmdline`, 'utf8'));
  } catch {
    return false;
  }
}

/** @param {number} port */
function assertPortFree(port) {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', (fault) => {
      const { code } = /** @type {{ code?: string }} */ (fault);
      reject(
        code === 'EADDRINUSE'
          ? new SetupFault(
              `Port ${port} is taken by another program.`,
              `Start on another one: PORT=${port + 1} npm start`,
            )
          : new SetupFault(
              `This user may not listen on port ${port} (${code}).`,
              `Start on a higher one: PORT=${DEFAULT_PORT} npm start`,
            ),
      );
    });
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(undefined)));
  });
}
