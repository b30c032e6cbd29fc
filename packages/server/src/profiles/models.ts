import type { MachineProfile, ShopProfile } from '@nodo/shop';
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
  card: MachineProfile;
}>;

export type MachineRevisionRow = Row<{
  shopId: string;
  machineId: string;
  revision: number;
  at: Date;
  byPerson: string;
  card: MachineProfile;
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
export type StoredShopProfile = Omit<ShopProfile, 'timeZone'> &
  Partial<Pick<ShopProfile, 'timeZone'>>;
export type ShopProfileRow = Row<{ shopId: string; revision: number; card: StoredShopProfile }>;

export interface ProfileModels {
  readonly machines: ModelStatic<MachineRow>;
  readonly machineRevisions: ModelStatic<MachineRevisionRow>;
  readonly needleEntries: ModelStatic<NeedleEntryRow>;
  readonly shopSheets: ModelStatic<ShopProfileRow>;
}

/** Machines and what holds for a shop, as the migrations made them. */
export function defineProfileModels(db: Sequelize): ProfileModels {
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
    shopSheets: db.define<ShopProfileRow>(
      'shop_sheet',
      { shopId: key(), revision: whole(), card: document() },
      AS_MIGRATED,
    ),
  };
}
