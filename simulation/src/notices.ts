import type { DatabaseSettings } from '@nodo/server';
import pg from 'pg';

const MARK = 'simulated';
const CHANNELS = ['ticket_event', 'table_event', 'card', 'people', MARK];

export interface Notice {
  readonly channel: string;
  readonly payload: string;
}

/** Hears what the database tells the server, to know what the streams still have to bring. */
export class Notices {
  private heard: Notice[] = [];
  private marks = 0;
  private wake: () => void = () => undefined;

  private constructor(
    private readonly client: pg.Client,
    private readonly shop: string,
  ) {}

  static async open({ host, port, name, listener }: DatabaseSettings, shop: string) {
    const client = new pg.Client({ host, port, database: name, ...listener });
    await client.connect();
    for (const channel of CHANNELS) await client.query(`listen ${channel}`);
    const notices = new Notices(client, shop);
    client.on('notification', ({ channel, payload = '' }) => {
      notices.heard.push({ channel, payload });
      notices.wake();
    });
    return notices;
  }

  /** All of this shop since the last time: notices come in the order of the commits. */
  async upToNow(): Promise<readonly Notice[]> {
    this.marks += 1;
    const mark = `${this.shop} ${this.marks}`;
    await this.client.query('select pg_notify($1, $2)', [MARK, mark]);
    while (!this.heard.some(({ payload }) => payload === mark)) {
      await new Promise<void>((resolve) => {
        this.wake = resolve;
      });
    }
    const heard = this.heard;
    this.heard = [];
    return heard.filter(
      ({ channel, payload }) => channel !== MARK && payload.startsWith(this.shop),
    );
  }

  close(): Promise<void> {
    return this.client.end();
  }
}
