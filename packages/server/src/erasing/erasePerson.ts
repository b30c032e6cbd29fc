import type { PhotoStore } from '../photos/photoStore.ts';
import type { Customers } from '../profiles/customers.ts';
import type { EventStore } from '../store/port.ts';

/** Erases a person with all that is kept of them outside of the database. @returns whether there is such a person */
export async function erasePerson(
  customers: Customers,
  store: EventStore,
  photos: PhotoStore,
  shop: string,
  id: string,
): Promise<boolean> {
  const tickets = await customers.erase(shop, id);
  if (!tickets) return false;
  for (const event of await store.loadAll(shop, tickets)) {
    if (event.type === 'signed') await photos.remove(shop, event.body.photo);
  }
  return true;
}
