import pg from 'pg';
import type { DatabaseSettings } from '../config/settings.ts';
import { reachOf } from '../db/connect.ts';
import { faultText, type Log } from '../log.ts';
import type { EventStore } from '../store/port.ts';
import type { LiveHub } from './hub.ts';
import type { PresenceTracker } from './presence.ts';

const RETRY_MS = 500;
/** Tickets on which something happened lately; the others are read from their notice on. */
const MOST_REMEMBERED = 500;
const CHANNELS = ['ticket_event', 'table_event', 'card', 'people', 'presence'];

/**
 * One LISTEN connection for the whole process. A notice carries ids only; the events are
 * read once and pushed to every follower. After a lost connection everybody has to
 * read again, since what was said meanwhile was not heard.
 * @returns how to stop.
 */
export function listen(
  database: DatabaseSettings,
  store: EventStore,
  hub: LiveHub,
  presence: PresenceTracker,
  log: Log,
): {
  readonly stop: () => Promise<void>;
  readonly ready: Promise<void>;
  /** Whether it hears what is said now. */
  readonly isHearing: () => boolean;
} {
  let client: pg.Client | undefined;
  let stopped = false;
  // Notices of one ticket must be passed on in their order, so they wait for each other.
  const inOrder = new Map<string, Promise<void>>();
  // Up to which event each ticket was passed on: under load one reading serves many notices.
  const passedOn = new Map<string, number>();
  let tellReady: () => void = () => undefined;
  const ready = new Promise<void>((resolve) => {
    tellReady = resolve;
  });

  const passOn = async (channel: string, notice: string): Promise<void> => {
    if (channel === 'table_event') {
      hub.push(notice, { kind: 'tables' });
      return;
    }
    if (channel === 'card') {
      hub.push(notice, { kind: 'cards' });
      return;
    }
    if (channel === 'people') {
      hub.lookAgain(notice);
      return;
    }
    if (channel === 'presence') {
      presence.hear(notice);
      return;
    }
    const [shop, ticket, first, last] = notice.split(' ');
    if (shop === undefined || ticket === undefined) return;
    const after = passedOn.get(ticket) ?? Number(first) - 1;
    if (Number(last) <= after) return;
    if (!hub.isFollowed(shop)) {
      passedOn.delete(ticket);
      return;
    }
    const { events, rack } = await store.newsOf(shop, ticket, after);
    passedOn.delete(ticket);
    passedOn.set(ticket, events.at(-1)?.seq ?? after);
    const [quietest] = passedOn.keys();
    if (passedOn.size > MOST_REMEMBERED && quietest !== undefined) passedOn.delete(quietest);
    if (rack) hub.push(shop, { kind: 'events', ticket, events: [...events], rack });
  };

  const connectOnce = async (): Promise<void> => {
    const fresh = new pg.Client({
      ...reachOf(database, database.listener),
      keepAlive: true,
    });
    let over = false;
    const again = (): void => {
      if (over) return;
      over = true;
      if (client === fresh) client = undefined;
      fresh.end().catch(() => undefined);
      if (!stopped) setTimeout(attempt, RETRY_MS).unref();
    };
    fresh.on('error', again);
    fresh.on('end', again);
    fresh.on('notification', ({ channel, payload = '' }) => {
      const subject = channel === 'ticket_event' ? (payload.split(' ')[1] ?? '') : channel;
      const turn = (inOrder.get(subject) ?? Promise.resolve())
        .then(() => passOn(channel, payload))
        .catch((fault: unknown) => {
          log({ level: 'warn', event: 'notice-not-passed-on', fault: faultText(fault) });
          passedOn.clear();
          hub.pushAll({ kind: 'resync' });
        })
        .finally(() => {
          if (inOrder.get(subject) === turn) inOrder.delete(subject);
        });
      inOrder.set(subject, turn);
    });
    try {
      await fresh.connect();
      for (const channel of CHANNELS) await fresh.query(`listen ${channel}`);
    } catch {
      again();
      return;
    }
    client = fresh;
    // What was said while nobody listened was not passed on; everybody reads again.
    passedOn.clear();
    tellReady();
    hub.pushAll({ kind: 'resync' });
  };
  const attempt = (): void => {
    connectOnce().catch((fault: unknown) =>
      log({ level: 'warn', event: 'not-listening', fault: faultText(fault) }),
    );
  };
  attempt();

  return {
    ready,
    isHearing: () => client !== undefined && !stopped,
    stop: async () => {
      stopped = true;
      await client?.end().catch(() => undefined);
    },
  };
}
