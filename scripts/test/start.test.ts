import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { DEMO_PEOPLE } from '@nodo/demo';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { explained, SetupFault } from '../lib/fault.mjs';
import { installDebianPackages } from '../lib/install.mjs';
import { freePort } from '../lib/ports.mjs';
import { run } from '../lib/run.mjs';
import { StartCommand } from '../lib/startCommand.mjs';
import { testFolder } from '../lib/testFolder.mjs';

const ROOT = new URL('../..', import.meta.url).pathname;

const serverPid = (of: StartCommand): number => Number(childrenOf(of, 'server.mjs'));
const databasePid = (home: string): number =>
  Number(readFileSync(join(home, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);

/** The process that the start command runs a program in, from the kernel's own list. */
function childrenOf(of: StartCommand, program: string): string {
  const children = readFileSync(`/proc/${of.child.pid}/task/${of.child.pid}/children`, 'utf8');
  const found = children
    .trim()
    .split(' ')
    .find((pid) => commandLineOf(pid).includes(program));
  if (found === undefined) throw new Error(`${program} does not run`);
  return found;
}

/** Empty for a process that has ended meanwhile. */
const commandLineOf = (pid: string): string => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
  } catch {
    return '';
  }
};

/** Runs still; a dead process that nobody has collected yet does not. */
const isAlive = (pid: number): boolean => {
  try {
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
};

describe('npm start', () => {
  let home = '';
  let port = 0;
  let running: StartCommand;
  beforeAll(async () => {
    home = testFolder('start');
    port = await freePort();
    running = new StartCommand(home, port);
    await running.says('Stop with Ctrl-C');
  });
  afterAll(async () => {
    await running.stop();
    rmSync(home, { recursive: true, force: true });
  });

  const answers = async (): Promise<number> =>
    (await fetch(`http://localhost:${port}/api/session`)).status;

  it('tells the address and the demo sign-ins, and serves', async () => {
    expect(running.output).toContain(`http://localhost:${port}`);
    expect(running.output).toMatch(/sign in as\s+odren\s+password\s+needle-odren/);
    expect(running.output).toContain('Loaded the demo shop: 57 tickets');
    expect(await answers()).toBe(200);
    expect(await (await fetch(`http://localhost:${port}/`)).text()).toContain(
      '<title>Nodo</title>',
    );
  });

  it('starts the server again when it is killed', async () => {
    process.kill(serverPid(running), 'SIGKILL');
    await running.says('The server is back');
    expect(await answers()).toBe(200);
  });

  it('starts the database again when it is killed, and goes on serving', async () => {
    const before = databasePid(home);
    process.kill(before, 'SIGKILL');
    await running.says('The database is back');
    expect(databasePid(home)).not.toBe(before);
    const signIn = await fetch(`http://localhost:${port}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: `http://localhost:${port}` },
      body: JSON.stringify({ login: 'odren', password: 'needle-odren' }),
    });
    expect(signIn.status).toBe(200);
  });

  it('says in one line that it runs from this folder already', async () => {
    const second = new StartCommand(home, await freePort());
    expect(await second.ended()).toBe(1);
    expect(second.output.trim()).toMatch(
      /Cannot start: Nodo already runs from this folder \(process \d+\)\. Stop that one first: kill \d+$/,
    );
  });

  it('stops with everything it started, keeps its data, and does not set it up again', async () => {
    const pids = [serverPid(running), databasePid(home)];
    expect(await running.stop('SIGINT')).toBe(0);
    expect(pids.map(isAlive)).toEqual([false, false]);

    running = new StartCommand(home, port);
    await running.says('Nodo serves at');
    expect(running.output).not.toMatch(/Installing|Building|tables up to date|demo shop/);
    expect(await answers()).toBe(200);
  });

  it('begins the demo anew when asked to', async () => {
    await running.stop();
    running = new StartCommand(home, port, '--reset-demo');
    await running.says('Nodo serves at');
    expect(running.output).toContain('beginning anew');
    expect(running.output).toContain('Loaded the demo shop: 57 tickets');
  });

  it('cleans up behind a start command that was killed itself', async () => {
    const [server, database] = [serverPid(running), databasePid(home)];
    await running.stop('SIGKILL');
    // The server ends by itself when nobody holds it any more; the database is left over.
    await expect.poll(() => isAlive(server)).toBe(false);
    expect(isAlive(database)).toBe(true);
    running = new StartCommand(home, port);
    await running.says('Nodo serves at');
    expect(isAlive(database)).toBe(false);
    expect(await answers()).toBe(200);
  });

  it('says in one line why its database refuses to start, and that the data is untouched', async () => {
    await running.stop();
    writeFileSync(join(home, 'postgres/postgresql.auto.conf'), 'shared_buffers = nonsense\n');
    const refused = new StartCommand(home, port);
    expect(await refused.ended()).toBe(1);
    expect(refused.output).toMatch(
      /Cannot start: The database refuses to start \(.*\)\. See .*postgres\.log; the data is untouched/,
    );
  });
});

/** What a start prints, in its order; each is printed before its step is over. */
const STEPS = [
  'Made a private database',
  'Database runs on',
  'Brought the tables up to date',
  'Filling the demo shop',
];

describe.each(['SIGKILL', 'SIGTERM', 'SIGINT'] as const)(
  'a first start that is interrupted by %s',
  (signal) => {
    const home = testFolder('interrupted');
    const started: StartCommand[] = [];
    afterAll(async () => {
      for (const start of started) await start.stop();
      rmSync(home, { recursive: true, force: true });
    });

    it('at each of its steps is gone on with, to the whole shop', async () => {
      const port = await freePort();
      for (const step of STEPS) {
        const start = new StartCommand(home, port);
        started.push(start);
        await start.says(step);
        await start.stop(signal);
        expect(start.output).not.toContain('Nodo serves at');
        expect(start.output).not.toContain('Cannot start');
      }
      const whole = new StartCommand(home, port);
      started.push(whole);
      await whole.says('Nodo serves at');
      const tickets = await whole.cluster.sql('nodo', 'select count(*) from ticket_summary');
      expect(Number(tickets)).toBe(57);
    });
  },
);

describe('a first start that is killed', () => {
  const home = testFolder('interrupted');
  const started: StartCommand[] = [];
  let port = 0;
  beforeAll(async () => {
    port = await freePort();
  });
  afterAll(async () => {
    for (const start of started) await start.stop();
    rmSync(home, { recursive: true, force: true });
  });

  it('while the demo is half filled ends with the whole shop', async () => {
    const start = new StartCommand(home, port);
    started.push(start);
    await start.says('Filling the demo shop');
    const cluster = start.cluster;
    const count = (table: string) =>
      cluster.sql('nodo', `select count(*) from ${table}`).then(Number, () => 0);
    await expect.poll(() => count('ticket_summary')).toBeGreaterThan(5);
    process.kill(Number(childrenOf(start, 'demo.mjs')), 'SIGKILL');
    await start.stop('SIGKILL');

    const again = new StartCommand(home, port);
    started.push(again);
    await again.says('Nodo serves at');
    expect(again.output).toMatch(/left unfinished by an earlier start.*: [1-5]\d tickets/);
    const now = again.cluster;
    const rows = async (of: string) => Number(await now.sql('nodo', `select count(*) from ${of}`));
    expect(await rows('ticket_summary')).toBe(57);
    expect(await rows('person')).toBe(Object.keys(DEMO_PEOPLE).length);
    expect(await rows('table_event')).toBe(1);
    expect(await rows("notice where body ->> 'kind' = 'demo-completed'")).toBe(1);
    expect(await rows('shop where filled_at is not null')).toBe(1);
  });
});

describe('on a computer that lacks something', () => {
  it('a Node that is too old is told in one line', async () => {
    const { code, output } = await run(process.execPath, [
      '--input-type=module',
      '-e',
      `Object.defineProperty(process.versions, 'node', { value: '18.20.0' });
       const { assertNode } = await import('${ROOT}scripts/lib/node.mjs'); assertNode();`,
    ]);
    expect(code).toBe(1);
    expect(output.trim()).toBe(
      'Nodo needs Node 20.19 or newer; this is 18.20.0. Install Node 20 and start again.',
    );
  });

  it('a user without the right to install is told which packages are missing', async () => {
    vi.spyOn(process, 'getuid').mockReturnValue(1000);
    const missing = ['postgresql', 'chromium'].map((name) => ({ name, present: () => false }));
    await expect(installDebianPackages(missing)).rejects.toThrow(
      'Missing on this computer: postgresql, chromium; and this user has no right to install. Have an administrator run: sudo apt-get install -y --no-install-recommends postgresql chromium',
    );
  });
  afterEach(() => {
    vi.restoreAllMocks();
  });

  it('nothing is installed where nothing is missing', async () => {
    await expect(
      installDebianPackages([{ name: 'x', present: () => true }]),
    ).resolves.toBeUndefined();
  });
});

describe('what only a person can put right, in one line with its remedy', () => {
  const home = testFolder('start');
  afterAll(() => rmSync(home, { recursive: true, force: true }));

  it('a port that is taken', async () => {
    const taken = createServer();
    const port = await freePort();
    await new Promise<void>((resolve) => taken.listen(port, '127.0.0.1', () => resolve()));
    const start = new StartCommand(home, port);
    expect(await start.ended()).toBe(1);
    expect(start.output.trim()).toBe(
      `Cannot start: Port ${port} is taken by another program. Start on another one: PORT=${port + 1} npm start`,
    );
    taken.close();
  });

  it('a data folder that is a file, without a trace of the program', async () => {
    const file = join(home, 'file');
    writeFileSync(file, '');
    const start = new StartCommand(join(file, 'data'), await freePort());
    expect(await start.ended()).toBe(1);
    expect(start.output.trim()).toMatch(/^Cannot start: ENOTDIR: not a directory, [^\n]*$/);
  });

  it('a port that is none', async () => {
    const start = new StartCommand(home, 0);
    expect(await start.ended()).toBe(1);
    expect(start.output.trim()).toBe(
      'Cannot start: PORT is “0”, which is no port: a number from 1 to 65535. Start on another one: PORT=4680 npm start',
    );
  });

  it.each([
    ['a disk that can only be read', { code: 'EROFS' }, /can only be read\. Make it writable/],
    [
      'data of a newer version',
      { message: 'migrate failed (1):\nError: newer-data 0099-later' },
      /used by a newer Nodo \(0099-later\).*Start that newer one; the data is untouched/,
    ],
    ['a full disk', { code: 'ENOSPC' }, /is full\. Free at least 500 MB/],
    [
      'a full disk that the database met',
      { message: 'could not write: No space left on device' },
      /is full/,
    ],
    [
      'a folder of another user',
      { code: 'EACCES' },
      /belongs to somebody else\. Start as its owner, or hand it over: sudo chown/,
    ],
  ])('%s', (_, fault, line) => {
    const told = explained(fault, '/some/folder');
    expect(told).toBeInstanceOf(SetupFault);
    expect((told as Error).message).toMatch(line);
    expect((told as Error).message).not.toContain('\n');
  });

  it('anything else is left as it is', () => {
    const fault = new Error('odd');
    expect(explained(fault, '/some/folder')).toBe(fault);
  });
});

describe('npm start -- --new-shop', () => {
  let home = '';
  beforeAll(() => {
    home = testFolder('own-shop');
  });
  afterAll(() => rmSync(home, { recursive: true, force: true }));

  it('makes an empty shop with a code for its lead, and nothing of the demo; the folder stays one', async () => {
    const port = await freePort();
    const first = new StartCommand(home, port, '--new-shop');
    await first.says('Stop with Ctrl-C');
    expect(first.output).toContain('Made a shop of your own, with nothing in it');
    const [, code = ''] = /sign-in name {2}lead, code {2}(\S+)/.exec(first.output) ?? [];
    expect(code).toMatch(/^[a-z0-9]{4}(-[a-z0-9]{4}){3}$/);
    expect(first.output).not.toContain('needle-');
    expect(await first.cluster.sql('nodo', 'select count(*) from ticket_event')).toMatch(/^\s*0/);
    expect(await first.cluster.sql('nodo', 'select login from person')).toMatch(/^\s*lead\s*$/);
    const headers = { 'content-type': 'application/json', origin: `http://localhost:${port}` };
    const redeemed = await fetch(`http://localhost:${port}/api/codes`, {
      method: 'POST',
      headers,
      body: JSON.stringify({ login: 'lead', code, password: 'a long password' }),
    });
    expect(redeemed.status).toBe(200);
    await first.stop();
    // Without the word too: never the demo beside it.
    const again = new StartCommand(home, port);
    await again.says('Stop with Ctrl-C');
    expect(again.output).not.toMatch(/demo shop|code {2}/);
    expect(await again.cluster.sql('nodo', 'select count(*) from shop')).toMatch(/^\s*1/);
    await again.stop();
  });

  it('is not thrown away, nor made anew where its file is lost, and does not begin beside the demo', async () => {
    const thrown = new StartCommand(home, await freePort(), '--reset-demo');
    expect(await thrown.ended()).toBe(1);
    expect(thrown.output).toMatch(/A shop of your own lies in .* not thrown away/);
    rmSync(join(home, 'shop.json'));
    const lost = new StartCommand(home, await freePort());
    expect(await lost.ended()).toBe(1);
    expect(lost.output).toMatch(/shop\.json is missing: it says which shop lies in this folder/);
    writeFileSync(join(home, 'shop.json'), '{');
    const damaged = new StartCommand(home, await freePort());
    expect(await damaged.ended()).toBe(1);
    expect(damaged.output).toMatch(/shop\.json is damaged\. Put it back/);
    const demo = testFolder('demo-there');
    writeFileSync(join(demo, 'prepared.json'), JSON.stringify({ build: '', signIns: [] }));
    const beside = new StartCommand(demo, await freePort(), '--new-shop');
    expect(await beside.ended()).toBe(1);
    expect(beside.output).toMatch(/The demo shop lies in .*NODO_DATA=/);
    rmSync(demo, { recursive: true, force: true });
  });
});
