import type { ShopRecord } from '@nodo/api';

/** Whether a shop has said nothing of itself yet and holds no machine: its lead begins it first. */
export function isBeginning(shop: ShopRecord | undefined, rack: readonly unknown[]): boolean {
  return shop?.revision === 0 && rack.length === 0;
}
