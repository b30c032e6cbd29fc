import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ADDRESSES } from '@nodo/api';
import {
  connect,
  type DatabaseSettings,
  defineModels,
  hashPassword,
  PostgresEventStore,
  type Running,
  runServer,
  withShop,
} from '@nodo/server';
import { foldChangeRequests, versionInForce } from '@nodo/tables';
import type { RackEntry, TicketEvent } from '@nodo/ticket';
import { Line } from './network.ts';
import { Notices } from './notices.ts';
import { Witness } from './witness.ts';
import type { World } from './world.ts';

const PASSWORD = 'a simulated password';
const PIN = '2468';
/** Of both; made once, since making them takes long. */
let hashes: Promise<readonly [string, string]> | undefined;

export interface SimulatedPerson {
  readonly id: string;
  readonly login: string;
  readonly role: 'technician' | 'lead';
}

/** A real server on a real database, with an invented shop and the lines of its screens. */
export class SimulatedShop {
  readonly id: string;
  readonly people: readonly SimulatedPerson[];
  /** What the server complained of. */
  readonly log: string[] = [];
  private readonly store: PostgresEventStore;
  private readonly db;
  private readonly photos = mkdtempSync(join(tmpdir(), 'nodo-simulated-'));
  private readonly lines: Line[] = [];
  private witness: Witness | undefined;
  private running: Running | undefined;
  /** Any that is free, at the first start. */
  private port = 0;
  private tags = 0;

  private constructor(
    private readonly world: World,
    private readonly database: DatabaseSettings,
  ) {
    this.id = world.id();
    this.db = connect(database, database.app, 3);
    this.store = new PostgresEventStore(this.db);
    const person = (name: string, role: SimulatedPerson['role']): SimulatedPerson => ({
      id: world.id(),
      login: `${name}-${this.id.slice(0, 8)}`,
      role,
    });
    this.people = [person('ona', 'technician'), person('ben', 'technician'), person('lea', 'lead')];
  }

  /** @param database with its tables made. */
  static async open(world: World, database: DatabaseSettings): Promise<SimulatedShop> {
    const shop = new SimulatedShop(world, database);
    await world.real(() => shop.settleIn());
    await shop.callWitness();
    return shop;
  }

  private async settleIn(): Promise<void> {
    const { shops, people } = defineModels(this.db);
    hashes ??= Promise.all([hashPassword(PASSWORD), hashPassword(PIN)]);
    const [passwordHash, pinHash] = await hashes;
    const common = { initials: 'XX', thread: 0, passwordHash, pinHash };
    await withShop(this.db, this.id, async (transaction) => {
      await shops.create({ id: this.id, name: 'Bench Nowhere' }, { transaction });
      for (const { id, login, role } of this.people) {
        const given = { shopId: this.id, id, login, name: login, role, ...common };
        await people.create(given, { transaction });
      }
    });
    await this.start();
  }

  /** One more screen, without a fault and without a page: what it hears, the others must hear. */
  private async callWitness(): Promise<void> {
    const line = await this.lineFor(...this.people.slice(-1));
    line.calm = true;
    const follow = (): void => {
      line.openStream(ADDRESSES.live.path, {
        onOpen: () => undefined,
        onFrame: () => undefined,
        onLost: follow,
      });
    };
    follow();
    const notices = await this.world.real(() => Notices.open(this.database, this.id));
    const witness = new Witness(line, this.lines, notices);
    this.world.afterWork = () => witness.hearAll();
    this.witness = witness;
  }

  /** A line on which these people signed in, the last one standing there; all have the same PIN. */
  async lineFor(...people: readonly SimulatedPerson[]): Promise<Line> {
    const name = `screen ${this.lines.length}`;
    const line = new Line(name, this.world, () => `http://127.0.0.1:${this.port}`);
    this.lines.push(line);
    for (const { login } of people) {
      await post(line, ADDRESSES.signIn.path, { login, password: PASSWORD, device: 'simulated' });
    }
    return line;
  }

  nextTag(): number {
    this.tags += 1;
    return this.tags;
  }

  takeOver(line: Line, person: string): Promise<unknown> {
    return post(line, ADDRESSES.changePerson.path, { person, pin: PIN });
  }

  events(ticket: string): Promise<readonly TicketEvent[]> {
    return this.world.real(() => this.store.load(this.id, ticket));
  }

  rack(): Promise<readonly RackEntry[]> {
    return this.world.real(() => this.store.rack(this.id));
  }

  /** The tables that the shop judges with now. */
  async version(): Promise<ReturnType<typeof versionInForce>> {
    const events = await this.world.real(() => this.store.tableEvents(this.id));
    return versionInForce(foldChangeRequests(events));
  }

  restart(): Promise<void> {
    return this.world.real(async () => {
      const open = this.lines.flatMap(({ openStreams }) => openStreams);
      await this.running?.stop();
      for (const stream of open) await stream.hasEnded();
      await this.start();
    });
  }

  close(): Promise<void> {
    this.world.afterWork = () => Promise.resolve();
    return this.world.real(async () => {
      for (const line of this.lines) line.end();
      await this.running?.stop();
      await this.witness?.close();
      await this.db.close();
      rmSync(this.photos, { recursive: true, force: true });
    });
  }

  private async start(): Promise<void> {
    const { owner: _owner, ...database } = this.database;
    this.running = await runServer(
      {
        host: '127.0.0.1',
        port: this.port,
        names: [],
        webRoot: '/nonexistent',
        photos: this.photos,
        sessionSecret: 'x'.repeat(40),
        database,
      },
      {
        now: () => this.world.now(),
        zone: 'Europe/Vienna',
        wait: () => Promise.resolve(),
        room: () => Promise.resolve(1e12),
        log: (entry) => this.log.push(JSON.stringify(entry)),
      },
    );
    // The screens look for it at the same address after a restart.
    this.port = this.running.port;
  }
}

/** Without any fault of the line. @throws when the server refuses. */
export async function post(line: Line, path: string, body: object): Promise<unknown> {
  const response = await line.send(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  const answer: unknown = await response.json();
  if (!response.ok) throw new Error(`${path}: ${JSON.stringify(answer)}`);
  return answer;
}
