import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readFileSync,
  realpathSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { explained, SetupFault } from './fault.mjs';
import { postgresPrograms } from './install.mjs';
import { freePort } from './ports.mjs';
import { mustRun } from './run.mjs';

/** Tenths of a second that a left-over server is given to end: a minute, for a slow disk. */
const LEFT_OVER_WAITS = 600;

/** @typedef {{ super: string, owner: string, app: string, listener: string, session: string }} Secrets */

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
    cluster.secrets = cluster.readSecrets();
    return cluster;
  }

  get folder() {
    return join(this.home, 'postgres');
  }

  /** Makes the cluster unless it is there. @returns {Promise<boolean>} whether it is new */
  async create() {
    try {
      mkdirSync(this.home, { recursive: true });
      this.secrets = this.readSecrets();
      if (existsSync(join(this.folder, 'PG_VERSION'))) return false;
      this.makeFolder();
      const passwordFile = join(realpathSync(this.folder), '..', `nodo-${process.pid}.pw`);
      writeFileSync(passwordFile, this.secrets.super, { mode: 0o600 });
      if (this.account.uid) chownSync(passwordFile, this.account.uid, this.account.gid);
      try {
        await mustRun(
          join(this.programs, 'initdb'),
          [
            '-D',
            realpathSync(this.folder),
            '--username=nodo_super',
            `--pwfile=${passwordFile}`,
            '--auth=scram-sha-256',
            '--encoding=UTF8',
            '--locale=C.UTF-8',
            ...(this.throwaway ? ['--no-sync'] : []),
          ],
          { ...this.account, cwd: '/' },
        );
      } finally {
        rmSync(passwordFile, { force: true });
      }
      return true;
    } catch (fault) {
      throw explained(fault, this.home);
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
    const { owner, app, listener } = this.secrets ?? this.readSecrets();
    const roles = Object.entries({ nodo_owner: owner, nodo_app: app, nodo_listener: listener })
      .map(
        ([role, password]) => `
          do $$ begin create role ${role} login; exception when duplicate_object then null; end $$;
          alter role ${role} nosuperuser nocreatedb nocreaterole nobypassrls password '${password}';`,
      )
      .join('\n');
    await this.sql('postgres', roles);
    const there = await this.sql('postgres', `select 1 from pg_database where datname = '${name}'`);
    if (!there.includes('1')) {
      await this.sql('postgres', `create database ${name} owner nodo_owner`);
      await this.sql(
        name,
        `alter schema public owner to nodo_owner;
         revoke all on schema public from public;
         grant usage on schema public to nodo_app, nodo_listener;`,
      );
    }
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
    const { owner, app, listener } = this.secrets ?? this.readSecrets();
    return {
      host: '127.0.0.1',
      port: this.port,
      name,
      owner: { user: 'nodo_owner', password: owner },
      app: { user: 'nodo_app', password: app },
      listener: { user: 'nodo_listener', password: listener },
    };
  }

  /** @returns {Secrets} */
  readSecrets() {
    const file = join(this.home, 'secrets.json');
    if (existsSync(file)) return JSON.parse(readFileSync(file, 'utf8'));
    const fresh = () => randomBytes(24).toString('hex');
    const secrets = {
      super: fresh(),
      owner: fresh(),
      app: fresh(),
      listener: fresh(),
      session: fresh(),
    };
    writeFileSync(file, JSON.stringify(secrets, null, 2), { mode: 0o600 });
    return secrets;
  }

  /** As root the folder must be reachable for the database's own account. */
  makeFolder() {
    const { uid, gid } = this.account;
    if (existsSync(this.folder)) {
      // A half-made cluster: initdb was interrupted before it wrote its version.
      rmSync(realpathSync(this.folder), { recursive: true });
      if (isLink(this.folder)) rmSync(this.folder);
    }
    if (!uid) {
      mkdirSync(this.folder, { mode: 0o700 });
      return;
    }
    const passable = spawnSync('test', ['-x', this.home], { uid, gid, cwd: '/' }).status === 0;
    if (passable) {
      mkdirSync(this.folder, { mode: 0o700 });
      chownSync(this.folder, uid, gid);
      return;
    }
    // Inside root's own home, say. The data stays one link away from the project.
    const key = createHash('sha256').update(this.home).digest('hex').slice(0, 12);
    const elsewhere = `/var/lib/nodo/${key}/postgres`;
    rmSync(elsewhere, { recursive: true, force: true });
    mkdirSync(elsewhere, { recursive: true });
    for (const folder of ['/var/lib/nodo', dirname(elsewhere)]) chmodSync(folder, 0o711);
    chmodSync(elsewhere, 0o700);
    chownSync(elsewhere, uid, gid);
    symlinkSync(elsewhere, this.folder);
  }

  /** Ends a server that an earlier start left behind when it was killed. */
  async stopLeftOver() {
    const file = join(this.folder, 'postmaster.pid');
    if (!existsSync(file)) return;
    const pid = Number(readFileSync(file, 'utf8').split('\n')[0]);
    const isOurs = () => {
      try {
        return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(realpathSync(this.folder));
      } catch {
        return false;
      }
    };
    if (pid > 1 && isOurs()) process.kill(pid, 'SIGINT');
    for (let wait = 0; wait < LEFT_OVER_WAITS && isOurs(); wait += 1) {
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
}

/** @param {string} path */
function isLink(path) {
  try {
    return lstatSync(path).isSymbolicLink();
  } catch {
    return false;
  }
}
