import { spawn, spawnSync } from 'node:child_process';
import {
  chownSync,
  existsSync,
  mkdirSync,
  readFileSync,
  realpathSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { clusterFolder, findCluster, INITDB_PASSWORD, makeCluster } from './clusterFolder.mjs';
import { explained, SetupFault } from './fault.mjs';
import { postgresPrograms, postgresProgramsOf } from './install.mjs';
import { freePort } from './ports.mjs';
import { mustRun } from './run.mjs';
import { readSecrets } from './secrets.mjs';

const ROLES = new URL('../../deploy/roles.sql', import.meta.url);
/** Tenths of a second that a left-over server is given to end: a minute, for a slow disk. */
const LEFT_OVER_WAITS = 600;

/** PostgreSQL refuses to run as root; then its own account runs it. */
function databaseAccount() {
  if (process.getuid?.() !== 0) return {};
  const number = (flag) => Number(spawnSync('id', [flag, 'postgres']).stdout?.toString().trim());
  const [uid, gid] = [number('-u'), number('-g')];
  if (!uid || !gid) {
    throw new SetupFault(
      'There is no account named postgres, which runs the database when you are root.',
      'Start as an ordinary user, or reinstall: apt-get install --reinstall postgresql',
    );
  }
  return { uid, gid };
}

/** A private PostgreSQL cluster in one folder, on loopback, with no unix socket. */
export class Cluster {
  /**
   * @param {string} home folder that holds `postgres/` and `secrets.json`
   * @param {{ throwaway?: boolean, log?: (line: string) => void }} [options]
   *   throwaway: nothing needs to survive a crash of the computer (tests)
   */
  constructor(home, { throwaway = false, log = () => undefined } = {}) {
    this.home = home;
    this.throwaway = throwaway;
    this.log = log;
    this.account = databaseAccount();
    this.programs = postgresPrograms() ?? '';
    this.port = 0;
    /** @type {import('node:child_process').ChildProcess | undefined} */
    this.process = undefined;
    this.stopping = false;
  }

  /**
   * A cluster that another process made and runs.
   * @param {{ home: string, port: number }} running
   */
  static attachedTo({ home, port }) {
    const cluster = new Cluster(home);
    cluster.port = port;
    cluster.secrets = readSecrets(home, true);
    return cluster;
  }

  get folder() {
    return clusterFolder(this.home);
  }

  /**
   * Makes the cluster unless it is there.
   * @param {{ servedBefore?: boolean }} [known] whether a shop was ever served from this folder
   * @returns {Promise<boolean>} whether it is new
   */
  async create({ servedBefore = false } = {}) {
    try {
      mkdirSync(this.home, { recursive: true });
      const isThere = await findCluster(this.home, this.account, servedBefore);
      this.secrets = readSecrets(this.home, isThere);
      if (!isThere) await makeCluster(this.home, this.account, (folder) => this.init(folder));
      const version = readFileSync(join(this.folder, 'PG_VERSION'), 'utf8').trim();
      this.programs = postgresProgramsOf(version);
      return !isThere;
    } catch (fault) {
      throw explained(fault, this.home);
    }
  }

  /** @param {string} folder */
  async init(folder) {
    const passwordFile = join(folder, '..', INITDB_PASSWORD);
    writeFileSync(passwordFile, this.secrets?.super ?? '', { mode: 0o600 });
    if (this.account.uid) chownSync(passwordFile, this.account.uid, this.account.gid);
    try {
      await mustRun(
        join(this.programs, 'initdb'),
        [
          '-D',
          folder,
          '--username=nodo_super',
          `--pwfile=${passwordFile}`,
          '--auth=scram-sha-256',
          '--encoding=UTF8',
          '--locale=C.UTF-8',
          '--data-checksums',
          ...(this.throwaway ? ['--no-sync'] : []),
        ],
        { ...this.account, cwd: '/' },
      );
    } finally {
      rmSync(passwordFile, { force: true });
    }
  }

  /** Starts the server process and waits until it takes connections. */
  async start() {
    await this.stopLeftOver();
    this.stopping = false;
    this.port ||= await freePort();
    const fast = this.throwaway
      ? ['-c', 'fsync=off', '-c', 'synchronous_commit=off', '-c', 'full_page_writes=off']
      : [];
    // One that is thrown away serves many tests at a time.
    const connections = this.throwaway ? 300 : 60;
    const child = spawn(
      join(this.programs, 'postgres'),
      [
        '-D',
        realpathSync(this.folder),
        '-p',
        String(this.port),
        '-c',
        'listen_addresses=127.0.0.1',
        '-c',
        'unix_socket_directories=',
        '-c',
        `max_connections=${connections}`,
        // What people wrote stands in statements and details; the log is for faults.
        '-c',
        'log_min_error_statement=panic',
        '-c',
        'log_error_verbosity=terse',
        ...fast,
      ],
      // A session of its own: Ctrl-C is for the start command, which then stops it in order.
      { ...this.account, cwd: '/', detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
    );
    this.process = child;
    await new Promise((resolve, reject) => {
      let said = '';
      child.stderr?.on('data', (chunk) => {
        said = (said + String(chunk)).slice(-4_000);
        this.log(String(chunk).trimEnd());
        if (said.includes('ready to accept connections')) resolve(undefined);
      });
      child.once('error', reject);
      child.once('exit', (code) => {
        const why = said
          .trim()
          .split('\n')
          .filter((line) => /FATAL|ERROR|PANIC|HINT/.test(line))
          .at(-1);
        const fault = explained({ message: said }, this.home);
        reject(
          fault instanceof SetupFault
            ? fault
            : new SetupFault(
                `The database refuses to start (${why ?? `exit ${code}`}).`,
                `See ${join(this.home, 'log', 'postgres.log')}; the data is untouched in ${this.folder}.`,
              ),
        );
      });
    });
  }

  /** Stops it in order: open transactions are rolled back, what was committed is on disk. */
  async stop() {
    this.stopping = true;
    const child = this.process;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    await new Promise((resolve) => {
      child.once('exit', resolve);
      child.kill('SIGINT');
    });
  }

  /**
   * The accounts and the database: owner for the migrations, an application account that
   * owns nothing, and one that only listens.
   * @param {string} name
   */
  async prepareDatabase(name) {
    const { owner, app, listener } = this.readSecrets();
    const there = await this.sql('postgres', `select 1 from pg_database where datname = '${name}'`);
    if (!there.includes('1')) await this.sql('postgres', `create database ${name}`);
    const variables = Object.entries({ owner, app, listener }).map(
      ([variable, password]) => `\\set ${variable} '${password}'\n`,
    );
    // Here nobody else made the accounts: whatever they were given since is taken away.
    const least = ['nodo_owner', 'nodo_app', 'nodo_listener'].map(
      (role) => `alter role ${role} nosuperuser nocreatedb nocreaterole nobypassrls;\n`,
    );
    // Each time: a start may have been interrupted just after the line before.
    await this.sql(name, variables.join('') + (await readFile(ROLES, 'utf8')) + least.join(''));
  }

  /** @param {string} name */
  async dropDatabase(name) {
    await this.sql('postgres', `drop database if exists ${name} with (force)`);
  }

  /**
   * @param {string} database
   * @param {string} text
   */
  sql(database, text) {
    return this.program('psql', database, ['-qtA', '-v', 'ON_ERROR_STOP=1', '-f', '-'], text);
  }

  /**
   * @param {string} database
   * @returns what `sql` makes the same database of again, accounts aside
   */
  dump(database) {
    return this.program('pg_dump', database, []);
  }

  /**
   * Runs one of PostgreSQL's own programs as the superuser.
   * @param {string} name
   * @param {string} database
   * @param {readonly string[]} args
   * @param {string} [input]
   */
  program(name, database, args, input = '') {
    const at = ['-h', '127.0.0.1', '-p', String(this.port), '-U', 'nodo_super', '-d', database];
    return mustRun(join(this.programs, name), [...at, ...args], {
      input,
      env: { ...process.env, PGPASSWORD: this.secrets?.super ?? '' },
    });
  }

  /** @param {string} name @returns what the server's programs need to reach the database */
  settings(name) {
    const { owner, app, listener } = this.readSecrets();
    return {
      host: '127.0.0.1',
      port: this.port,
      name,
      owner: { user: 'nodo_owner', password: owner },
      app: { user: 'nodo_app', password: app },
      listener: { user: 'nodo_listener', password: listener },
    };
  }

  readSecrets() {
    return this.secrets ?? readSecrets(this.home, true);
  }

  /** Ends a server that an earlier start left behind when it was killed. */
  async stopLeftOver() {
    const file = join(this.folder, 'postmaster.pid');
    if (!existsSync(file)) return;
    const [pid = '', lies = ''] = readFileSync(file, 'utf8').split('\n');
    const runs = () => {
      try {
        return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(lies);
      } catch {
        return false;
      }
    };
    if (lies !== realpathSync(this.folder)) {
      if (runs()) {
        throw new SetupFault(
          `The database in ${this.folder} was copied from ${lies} while it ran there, so parts of it may not fit together.`,
          'Stop Nodo there and copy once more; nothing was changed.',
        );
      }
      rmSync(file);
      return;
    }
    if (Number(pid) > 1 && runs()) process.kill(Number(pid), 'SIGINT');
    for (let wait = 0; wait < LEFT_OVER_WAITS && runs(); wait += 1) {
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
}
