import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join, relative, resolve } from 'node:path';
import { backupPlaceOf, keepBackups } from './backups.mjs';
import { buildAll } from './build.mjs';
import { Cluster } from './cluster.mjs';
import {
  forgetPrepared,
  notePrepared,
  ownShopIn,
  prepareFolder,
  readPrepared,
  wasPrepared,
} from './dataFolder.mjs';
import { explained, SetupFault } from './fault.mjs';
import { installDebianPackages, installPackages, POSTGRESQL } from './install.mjs';
import { logFile } from './log.mjs';
import { built } from './paths.mjs';
import { mustRun } from './run.mjs';
import { during, say } from './say.mjs';
import { keepDatabase, keepProgram } from './supervise.mjs';

const DEFAULT_PORT = 4680;
const DATABASE = 'nodo';
const HIGHEST_PORT = 65_535;

/**
 * @param {readonly string[]} args
 * @param {import('./workshop.mjs').Workshop} [workshop] builds and serves anew with every change;
 *   without one everything is built once
 */
export async function start(args, workshop) {
  const root = resolve(new URL('../..', import.meta.url).pathname);
  const wantsOwn = args.includes('--new-shop');
  const usual = wantsOwn ? 'my-shop' : workshop ? 'data/dev' : 'data';
  const home = resolve(process.env.NODO_DATA ?? join(root, usual));
  const programs = workshop?.programs ?? built(root);
  const below = relative(root, home);
  const shownPath = below.startsWith('..') ? home : below;
  const resetDemo = args.includes('--reset-demo');
  let release = () => {};
  /** @type {(() => Promise<void>)[]} */
  const stops = [];
  let stopping = false;
  const stopAll = async () => {
    stopping = true;
    for (const stop of stops.splice(0).reverse()) await stop();
    release();
  };
  stopOnSignal(stopAll);
  // Whoever reads along may go away; the database must not be left behind by anything else either.
  process.stdout.on('error', () => undefined);
  process.on('uncaughtException', (fault) => {
    process.stderr.write(`${fault.stack ?? String(fault)}\n`);
    stopAll().finally(() => process.exit(1));
  });

  try {
    const port = portIn(process.env.PORT);
    release = prepareFolder(home);
    const ownShop = ownShopIn(home, wantsOwn);
    if (ownShop !== undefined && resetDemo) {
      throw new SetupFault(
        `A shop of your own lies in ${home}: it is not thrown away.`,
        'Leave --reset-demo out.',
      );
    }
    await assertPortFree(port);
    await installPackages(root);
    await installDebianPackages([POSTGRESQL]);
    await (workshop ? workshop.build() : buildAll(root));

    const log = logFile(join(home, 'log'), 'postgres');
    const cluster = new Cluster(home, { log });
    if (await cluster.create({ servedBefore: wasPrepared(home) })) {
      say(`Made a private database in ${shownPath}/postgres`);
    }
    stops.push(() => cluster.stop());
    await cluster.start();
    keepDatabase(cluster, log);
    say(`Database runs on 127.0.0.1:${cluster.port}`);
    const database = cluster.settings(DATABASE);
    const settings = {
      host: '127.0.0.1',
      port,
      names: (process.env.NODO_NAMES ?? '').split(/[ ,]+/).filter(Boolean),
      webRoot: programs.web,
      photos: join(home, 'photos'),
      sessionSecret: cluster.readSecrets().session,
      database,
      backups: { ...backupPlaceOf(home), isOwnShop: ownShop !== undefined },
    };
    const environment = (value) => ({ ...process.env, NODO_SETTINGS: JSON.stringify(value) });
    if (resetDemo) {
      forgetPrepared(home);
      await cluster.dropDatabase(DATABASE);
      say('Threw the demo shop away, beginning anew');
    }
    const prepare = environment(settings);
    const signIns = await prepareOnce(home, programs, cluster, prepare, ownShop === undefined);
    const own =
      ownShop === undefined || readPrepared(home)?.isTaken
        ? undefined
        : await openOwnShop(home, programs.ownShop, prepare, ownShop);

    const { owner: _owner, ...withoutOwner } = database;
    const lan = args.includes('--lan') ? await lanSettings(home, port, signIns) : undefined;
    const backups = keepBackups({
      program: programs.backup,
      cluster,
      database: DATABASE,
      log: logFile(join(home, 'log'), 'backup'),
    });
    stops.push(backups.stop);
    const { stop, restart } = await keepProgram(
      'server',
      programs.server,
      environment({
        ...settings,
        names: [...settings.names, ...(lan?.names ?? [])],
        database: withoutOwner,
        ...(lan ? { lan: lan.server } : {}),
      }),
      logFile(join(home, 'log'), 'server'),
      backups.hear,
    );
    stops.push(stop);
    if (lan) {
      const doorLog = logFile(join(home, 'log'), 'door');
      const door = await keepProgram('door', programs.door, environment(lan.door), doorLog);
      stops.push(door.stop);
    }
    const shown = workshop ? await workshop.serve(port, restart) : undefined;
    if (shown) stops.push(shown.stop);
    say(`Nodo serves at  http://localhost:${shown?.port ?? port}`);
    for (const { login, password, role, name } of signIns) {
      say(`  sign in as  ${login.padEnd(8)} password  ${password}   (${name}, ${role})`);
    }
    if (own?.code) {
      say(
        `  your own shop is empty. Choose “I have a code from the lead”, sign-in name  ${own.login}, code  ${own.code}`,
      );
      say('  (good once, for seven days; a new start gives a new one until it is taken)');
    }
    if (lan) await tellLan(lan.server, signIns.length > 0);
    say(`Stop with Ctrl-C. Your data stays in ${shownPath}/.`);
  } catch (fault) {
    // What fails because we were told to stop needs no word.
    if (stopping) return;
    await stopAll();
    tellFault(explained(fault, home), home);
    process.exit(1);
  }
}

/**
 * Says in a line why there is no start. What only a developer reads stands in the log.
 * @param {unknown} fault
 * @param {string} home
 */
function tellFault(fault, home) {
  const message = fault instanceof Error ? fault.message : String(fault);
  process.stderr.write(`\nCannot start: ${message}\n`);
  if (fault instanceof SetupFault || !(fault instanceof Error)) return;
  try {
    logFile(join(home, 'log'), 'start')(`${new Date().toISOString()} ${fault.stack}`);
    process.stderr.write(`More of it: ${join(home, 'log', 'start.log')}\n`);
  } catch {
    // The folder itself may be what is wrong.
  }
}

/**
 * What the server needs to be reached from the other benches.
 * @param {string} home
 * @param {number} port
 * @param {import('./dataFolder.mjs').SignIn[]} signIns
 */
async function lanSettings(home, port, signIns) {
  // Not before the packages are there.
  const { certificatesIn, ownNames } = await import('./certificates.mjs');
  const made = await certificatesIn(join(home, 'tls'), ownNames(), new Date());
  await assertPortFree(port + 1);
  await assertPortFree(port + 2);
  const [name] = made.names;
  const { authority, cert, key } = made;
  const host = '0.0.0.0';
  const [appPort, doorPort] = [port + 1, port + 2];
  return {
    server: {
      host,
      port: appPort,
      address: `https://${name}:${appPort}/`,
      door: `http://${name}:${doorPort}/`,
      cert,
      key,
      refused: signIns.map(({ id, password }) => ({ person: id, password })),
    },
    door: { host, port: doorPort, appPort, authority },
    names: made.names,
  };
}

/**
 * @param {Awaited<ReturnType<typeof lanSettings>>['server']} lan
 * @param {boolean} isDemo
 */
async function tellLan({ address, door }, isDemo) {
  const { default: qrcode } = await import('qrcode');
  say(`Other benches reach it at  ${address}`);
  say(`Once per device, the shop's certificate:  ${door}`);
  process.stdout.write(`${await qrcode.toString(door, { type: 'terminal', small: true })}\n`);
  if (isDemo) say('The demo passwords are good on this computer only.');
}

/**
 * Accounts, tables and the demo shop: done once for each build, then remembered beside the
 * data, so that an ordinary start does not wait for it.
 * @param {string} home
 * @param {ReturnType<typeof built>} programs
 * @param {Cluster} cluster
 * @param {NodeJS.ProcessEnv} env
 * @param {boolean} isDemo
 * @returns {Promise<import('./dataFolder.mjs').SignIn[]>}
 */
async function prepareOnce(home, programs, cluster, env, isDemo) {
  const build = readFileSync(programs.stamp, 'utf8');
  const prepared = readPrepared(home);
  if (prepared?.build === build) return prepared.signIns;
  await cluster.prepareDatabase(DATABASE);
  const ran = await mustRun(process.execPath, [programs.migrate], { env });
  if (Number(ran) > 0) say(`Brought the tables up to date (${ran.trim()} migrations)`);
  if (!isDemo) {
    notePrepared(home, { build, signIns: [], isOwn: true });
    return [];
  }
  const { before, tickets, signIns } = await loadDemo(programs.demo, env);
  if (before === 'nothing') say(`Loaded the demo shop: ${tickets} tickets`);
  if (before === 'unfinished' && tickets > 0) {
    say(
      `The demo shop was left unfinished by an earlier start; added what was missing: ${tickets} tickets`,
    );
  }
  notePrepared(home, { build, signIns });
  return signIns;
}

/**
 * Runs the program that makes the shop of one's own, unless it is there.
 * @param {string} home
 * @param {string} program
 * @param {NodeJS.ProcessEnv} env
 * @param {string} shop
 * @returns {Promise<{ before: string, login: string, code?: string }>}
 */
async function openOwnShop(home, program, env, shop) {
  const made = await mustRun(process.execPath, [program], { env: { ...env, NODO_SHOP: shop } });
  const own = JSON.parse(made.trim().split('\n').at(-1) ?? '');
  if (own.before === 'nothing') say('Made a shop of your own, with nothing in it');
  const prepared = readPrepared(home);
  // Nobody loses all passwords again, so the next start need not ask.
  if (own.before === 'taken' && prepared) notePrepared(home, { ...prepared, isTaken: true });
  return own;
}

/**
 * Runs the program that loads the demo shop, and tells how far it is.
 * @param {string} program
 * @param {NodeJS.ProcessEnv} env
 * @returns {Promise<{ before: string, tickets: number, signIns: import('./dataFolder.mjs').SignIn[] }>}
 */
async function loadDemo(program, env) {
  let howFar = '';
  const onOutput = (/** @type {string} */ text) => {
    const found = [...text.matchAll(/"done":(\d+),"of":(\d+)/g)].at(-1);
    if (found) howFar = ` (${found[1]} of ${found[2]} machines)`;
  };
  const output = await during(
    'Filling the demo shop, unless that is done',
    () => mustRun(process.execPath, [program], { env, onOutput }),
    () => howFar,
  );
  return JSON.parse(output.trim().split('\n').at(-1) ?? '');
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

/** @param {string | undefined} given */
function portIn(given) {
  if (given === undefined || given === '') return DEFAULT_PORT;
  const port = Number(given);
  if (Number.isInteger(port) && port > 0 && port <= HIGHEST_PORT) return port;
  throw new SetupFault(
    `PORT is “${given}”, which is no port: a number from 1 to ${HIGHEST_PORT}.`,
    `Start on another one: PORT=${DEFAULT_PORT} npm start`,
  );
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
