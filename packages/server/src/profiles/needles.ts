import { isDeepStrictEqual } from 'node:util';
import type { NeedleFile } from '@nodo/api';
import type { RefusalCode } from '@nodo/kernel';
import { inTimeOrder, registerOf } from '@nodo/shop';
import type { NeedleIn, RegisterEntry } from '@nodo/ticket';
import type { Sequelize, Transaction } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineModels, type Models, toEvent } from '../db/models.ts';
import { defineProfileModels, type NeedleEntryRow, type ProfileModels } from './models.ts';
import { notifyOfProfiles } from './notify.ts';

interface AloneEntry {
  readonly id: string;
  readonly machine: string;
  readonly by: string;
  readonly when: string;
  readonly entry: NeedleIn;
}

/** Which needles are in a shop's machines: from tickets and from entries made without one. */
export class Needles {
  private readonly models: Models & ProfileModels;

  constructor(private readonly db: Sequelize) {
    this.models = { ...defineModels(db), ...defineProfileModels(db) };
  }

  /** The register of one machine, and what lies opened in the shop; undefined without that machine. */
  file(shop: string, machine: string): Promise<NeedleFile | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      if (!(await this.hasMachine(shop, machine, transaction))) return undefined;
      const entries = await this.entriesOf(shop, transaction);
      return {
        entries: entries.filter((entry) => entry.machine === machine),
        opened: [...registerOf(entries).opened],
      };
    });
  }

  /** Keeps an entry made alone; one that was kept before under its id is left as it is, if it says the same. */
  register(
    shop: string,
    { id, machine, by, when, entry }: AloneEntry,
  ): Promise<
    'kept' | Extract<RefusalCode, 'no-such-machine' | 'no-such-needle' | 'id-used-otherwise'>
  > {
    return withShop(this.db, shop, async (transaction) => {
      if (!(await this.hasMachine(shop, machine, transaction))) return 'no-such-machine';
      const kept = () =>
        this.models.needleEntries.findOne({ where: { shopId: shop, id }, transaction });
      const isSame = (row: NeedleEntryRow) =>
        row.machineId === machine && isDeepStrictEqual(row.body, entry);
      const before = await kept();
      if (before) return isSame(before) ? 'kept' : 'id-used-otherwise';
      if (entry.opened !== null) {
        const { opened } = registerOf(await this.entriesOf(shop, transaction));
        if (!opened.some((one) => one.id === entry.opened)) return 'no-such-needle';
      }
      // Sent twice at once, the second comes upon the first here.
      await this.models.needleEntries.bulkCreate(
        [{ shopId: shop, id, machineId: machine, at: new Date(when), byPerson: by, body: entry }],
        { ignoreDuplicates: true, transaction },
      );
      const now = await kept();
      if (!now || !isSame(now)) return 'id-used-otherwise';
      await notifyOfProfiles(this.db, shop, transaction);
      return 'kept';
    });
  }

  private async hasMachine(shop: string, id: string, transaction: Transaction): Promise<boolean> {
    return (await this.models.machines.count({ where: { shopId: shop, id }, transaction })) > 0;
  }

  /** Every entry of a shop, without those that a ticket took back. */
  private async entriesOf(
    shop: string,
    transaction: Transaction,
  ): Promise<readonly RegisterEntry[]> {
    const alone = await this.models.needleEntries.findAll({ where: { shopId: shop }, transaction });
    const fitted = await this.models.events.findAll({
      where: { shopId: shop, type: 'needle-fitted' },
      order: [
        ['ticketId', 'ASC'],
        ['seq', 'ASC'],
      ],
      transaction,
    });
    const tickets = [...new Set(fitted.map(({ ticketId }) => ticketId))];
    const corrections = await this.models.events.findAll({
      where: { shopId: shop, ticketId: tickets, type: 'entry-corrected' },
      transaction,
    });
    const lines = await this.models.summaries.findAll({
      where: { shopId: shop, ticketId: tickets },
      attributes: ['ticketId', 'machineId'],
      transaction,
    });
    const machineOf = new Map(lines.map(({ ticketId, machineId }) => [ticketId, machineId]));
    const takenBack = new Set(
      corrections
        .map(toEvent)
        .flatMap((event) => (event.type === 'entry-corrected' ? [event.body.corrects] : [])),
    );
    const onTickets = fitted.map(toEvent).flatMap((event): RegisterEntry[] =>
      event.type !== 'needle-fitted' || takenBack.has(event.id)
        ? []
        : [
            {
              ...event.body,
              id: event.id,
              machine: machineOf.get(event.ticket) ?? null,
              ticket: event.ticket,
              by: event.actor.person,
              when: event.observedAt,
            },
          ],
    );
    return inTimeOrder([
      ...onTickets,
      ...alone.map((row) => ({
        ...row.body,
        id: row.id,
        machine: row.machineId,
        ticket: null,
        by: row.byPerson,
        when: row.at.toISOString(),
      })),
    ]);
  }
}
