import type { Sale } from '@nodo/api';
import type { BillContent, MachineProfile, ShopProfile } from '@nodo/shop';
import type { NeedleIn } from '@nodo/ticket';
import type { Sequelize } from 'sequelize';
import {
  document,
  id,
  ids,
  inKey,
  instant,
  key,
  perhaps,
  type Row,
  table,
  text,
  whole,
} from '../db/columns.ts';

/** As it lies in the database; before a shop has said its time zone there is none in it. */
export type StoredShopProfile = Omit<ShopProfile, 'timeZone'> &
  Partial<Pick<ShopProfile, 'timeZone'>>;

/** Machines and what holds for a shop, as the migrations made them. */
export function defineProfileModels(db: Sequelize) {
  return {
    machines: table(db, 'machine', {
      shopId: key(),
      id: key(),
      customerId: perhaps(id()),
      revision: whole(),
      card: document<MachineProfile>(),
    }),
    machineRevisions: table(db, 'machine_revision', {
      shopId: key(),
      machineId: key(),
      revision: inKey(whole()),
      at: instant(),
      byPerson: id(),
      card: document<MachineProfile>(),
    }),
    needleEntries: table(db, 'needle_entry', {
      shopId: key(),
      id: key(),
      machineId: id(),
      at: instant(),
      byPerson: id(),
      body: document<NeedleIn>(),
    }),
    bills: table(db, 'bill', {
      shopId: key(),
      number: inKey(whole()),
      id: id(),
      ticketId: id(),
      also: ids(),
      kind: text(),
      ofNumber: perhaps(whole()),
      reason: text(),
      at: instant(),
      byPerson: id(),
      content: document<BillContent>(),
    }),
    tillSales: table(db, 'till_sale', {
      shopId: key(),
      id: key(),
      day: text(),
      lines: document<Sale['lines']>(),
      how: text(),
      total: whole(),
      taxed: perhaps(document<NonNullable<Sale['taxed']>>()),
      at: instant(),
      byPerson: id(),
    }),
    tillCounts: table(db, 'till_count', {
      shopId: key(),
      id: key(),
      day: text(),
      counted: whole(),
      taken: whole(),
      note: text(),
      at: instant(),
      byPerson: id(),
    }),
    shopSheets: table(db, 'shop_sheet', {
      shopId: key(),
      revision: whole(),
      card: document<StoredShopProfile>(),
    }),
  };
}

export type ProfileModels = ReturnType<typeof defineProfileModels>;
export type MachineRow = Row<ProfileModels['machines']>;
export type MachineRevisionRow = Row<ProfileModels['machineRevisions']>;
export type NeedleEntryRow = Row<ProfileModels['needleEntries']>;
export type TillSaleRow = Row<ProfileModels['tillSales']>;
export type TillCountRow = Row<ProfileModels['tillCounts']>;
