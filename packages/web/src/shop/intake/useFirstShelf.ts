import { useShopQuery } from '../../api/client.ts';

/** Where no shelf is named yet. */
const ANY = 'A';

/** Where a machine is put unless somebody says otherwise: the first of the shop's shelves. */
export function useFirstShelf(): string {
  return useShopQuery().data?.card.shelves[0] ?? ANY;
}
