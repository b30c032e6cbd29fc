import type { Presence } from '@nodo/api';
import { QueryTypes, type Sequelize } from 'sequelize';
import type { LiveHub } from './hub.ts';

/** A screen that says nothing for so long looks at nothing any more. */
const SILENT_AFTER_MS = 45_000;

/** What one screen sends to all server processes. */
export interface Glance extends Presence {
  readonly shop: string;
}

interface Heard extends Presence {
  readonly heardAt: number;
}

/**
 * Who looks at what. Nothing of it is stored: each process hears all screens over the
 * database's notices, and forgets those that fell silent.
 */
export class PresenceTracker {
  private readonly shops = new Map<string, Map<string, Heard>>();

  constructor(
    private readonly db: Sequelize,
    private readonly hub: LiveHub,
    private readonly now: () => Date,
  ) {}

  async tell(glance: Glance): Promise<void> {
    await this.db.query("select pg_notify('presence', $1)", {
      bind: [JSON.stringify(glance)],
      type: QueryTypes.SELECT,
    });
  }

  hear(notice: string): void {
    const { shop, ...presence } = JSON.parse(notice) as Glance;
    const screens = this.shops.get(shop) ?? new Map<string, Heard>();
    this.shops.set(shop, screens);
    const before = JSON.stringify(this.in(shop));
    if (presence.ticket === null) screens.delete(presence.screen);
    else screens.set(presence.screen, { ...presence, heardAt: this.now().getTime() });
    this.pushIfNot(before, shop);
  }

  in(shop: string): Presence[] {
    return [...(this.shops.get(shop)?.values() ?? [])].map(
      ({ heardAt: _heardAt, ...presence }) => presence,
    );
  }

  /** Forgets who fell silent; to be called now and then. */
  sweep(): void {
    const latest = this.now().getTime() - SILENT_AFTER_MS;
    for (const [shop, screens] of this.shops) {
      const before = JSON.stringify(this.in(shop));
      for (const [screen, { heardAt }] of screens) if (heardAt < latest) screens.delete(screen);
      if (screens.size === 0) this.shops.delete(shop);
      this.pushIfNot(before, shop);
    }
  }

  private pushIfNot(before: string, shop: string): void {
    const who = this.in(shop);
    if (JSON.stringify(who) !== before) this.hub.push(shop, { kind: 'presence', who });
  }
}
