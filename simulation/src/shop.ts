import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ADDRESSES, BEAT_MS } from '@nodo/api';
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
import { FASTER } from './device.ts';
import { Line } from './network.ts';

const PASSWORD = 'a simulated password';
const PIN = '2468';

export interface SimulatedPerson {
  readonly id: string;
  readonly login: string;
  readonly role: 'technician' | 'lead';
}

/** A real server on a real database, with an invented shop and the lines of its screens. */
export class SimulatedShop {
  readonly id = randomUUID();
  readonly people: readonly SimulatedPerson[];
  readonly store: PostgresEventStore;
  /** What the server complained of. */
  readonly log: string[] = [];
  private readonly db;
  private readonly photos = mkdtempSync(join(tmpdir(), 'nodo-simulated-'));
  private running: Running | undefined;
  /** Any that is free, at the first start. */
  private port = 0;
  private tags = 0;

  private constructor(private readonly database: DatabaseSettings) {
    this.db = connect(database, database.app, 3);
    this.store = new PostgresEventStore(this.db);
    const person = (name: string, role: SimulatedPerson['role']): SimulatedPerson => ({
      id: randomUUID(),
      login: `${name}-${this.id.slice(0, 8)}`,
      role,
    });
    this.people = [person('ona', 'technician'), person('ben', 'technician'), person('lea', 'lead')];
  }

  /** @param database with its tables made. */
  static async open(database: DatabaseSettings): Promise<SimulatedShop> {
    const shop = new SimulatedShop(database);
    const models = defineModels(shop.db);
    const passwordHash = await hashPassword(PASSWORD);
    await withShop(shop.db, shop.id, async (transaction) => {
      await models.shops.create({ id: shop.id, name: 'Bench Nowhere' }, { transaction });
      for (const { id, login, role } of shop.people) {
        const given = { name: login, initials: 'XX', role, thread: 0, passwordHash };
        await models.people.create({ shopId: shop.id, id, login, ...given }, { transaction });
      }
    });
    await shop.start();
    return shop;
  }

  /** A line on which these people signed in, the last one standing there; all have the same PIN. */
  async lineFor(...people: readonly SimulatedPerson[]): Promise<Line> {
    const line = new Line(() => `http://127.0.0.1:${this.port}`);
    for (const { login } of people) {
      await post(line, ADDRESSES.signIn.path, { login, password: PASSWORD, device: 'simulated' });
      await post(line, ADDRESSES.setPin.path, { password: PASSWORD, pin: PIN });
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

  async start(): Promise<void> {
    const { owner: _owner, ...database } = this.database;
    this.running = await runServer(
      {
        host: '127.0.0.1',
        port: this.port,
        webRoot: '/nonexistent',
        photos: this.photos,
        sessionSecret: 'x'.repeat(40),
        // As much quicker than usual as the screens' pauses are.
        beatMs: BEAT_MS / FASTER,
        database,
      },
      { now: () => new Date(), zone: 'Europe/Vienna', log: (line) => this.log.push(line) },
    );
    // The screens look for it at the same address after a restart.
    this.port = this.running.port;
  }

  async restart(): Promise<void> {
    await this.running?.stop();
    await this.start();
  }

  async close(): Promise<void> {
    await this.running?.stop();
    await this.db.close();
    rmSync(this.photos, { recursive: true, force: true });
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
