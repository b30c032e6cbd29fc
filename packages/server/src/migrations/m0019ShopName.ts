import type { Migration } from './migration.ts';

/** A shop may be called otherwise than on its first day. */
export const m0019ShopName: Migration = {
  name: '0019-shop-name',
  statements: ['grant update (name) on shop to nodo_app'],
};
