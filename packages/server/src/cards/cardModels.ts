import type { MachineCard, ShopCard } from '@nodo/shop';
import type { NeedleIn } from '@nodo/ticket';
import type { ModelStatic, Sequelize } from 'sequelize';
import {
  AS_MIGRATED,
  document,
  id,
  instant,
  key,
  perhapsId,
  type Row,
  whole,
} from '../db/columns.ts';

export type MachineRow = Row<{
  shopId: string;
  id: string;
  customerId: string | null;
  revision: number;
  card: MachineCard;
}>;

export type MachineRevisionRow = Row<{
  shopId: string;
  machineId: string;
  revision: number;
  at: Date;
  byPerson: string;
  card: MachineCard;
}>;

export type NeedleEntryRow = Row<{
  shopId: string;
  id: string;
  machineId: string;
  at: Date;
  byPerson: string;
  body: NeedleIn;
}>;

/** As it lies in the database; before a shop has said its time zone there is none in it. */
export type StoredShopCard = Omit<ShopCard, 'timeZone'> & Partial<Pick<ShopCard, 'timeZone'>>;
export type ShopSheetRow = Row<{ shopId: string; revision: number; card: StoredShopCard }>;

export interface CardModels {
  readonly machines: ModelStatic<MachineRow>;
  readonly machineRevisions: ModelStatic<MachineRevisionRow>;
  readonly needleEntries: ModelStatic<NeedleEntryRow>;
  readonly shopSheets: ModelStatic<ShopSheetRow>;
}

/** Machines and what holds for a shop, as the migrations made them. */
export function defineCardModels(db: Sequelize): CardModels {
  return {
    machines: db.define<MachineRow>(
      'machine',
      {
        shopId: key(),
        id: key(),
        customerId: perhapsId(),
        revision: whole(),
        card: document(),
      },
      AS_MIGRATED,
    ),
    machineRevisions: db.define<MachineRevisionRow>(
      'machine_revision',
      {
        shopId: key(),
        machineId: key(),
        revision: { ...whole(), primaryKey: true },
        at: instant(),
        byPerson: id(),
        card: document(),
      },
      AS_MIGRATED,
    ),
    needleEntries: db.define<NeedleEntryRow>(
      'needle_entry',
      {
        shopId: key(),
        id: key(),
        machineId: id(),
        at: instant(),
        byPerson: id(),
        body: document(),
      },
      AS_MIGRATED,
    ),
    shopSheets: db.define<ShopSheetRow>(
      'shop_sheet',
      { shopId: key(), revision: whole(), card: document() },
      AS_MIGRATED,
    ),
  };
}
