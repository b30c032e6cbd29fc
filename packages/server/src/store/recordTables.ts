import { type Actor, refuse } from '@nodo/kernel';
import {
  applyTableEvent,
  decideTableCommand,
  foldChangeRequests,
  type TableCommand,
  type TableVerdict,
} from '@nodo/tables';
import type { EventStore } from './port.ts';
import { isSame, MOST_RACES, rebuildSummaries } from './record.ts';

export interface TablesRequest {
  readonly shop: string;
  readonly command: TableCommand;
  readonly actor: Actor;
}

/**
 * Decides one command about the shop's tables and appends it. A command that is stored already
 * counts as done. When the tables moved, the summary of every open ticket is projected again.
 */
export async function recordTables(
  store: EventStore,
  { shop, command, actor }: TablesRequest,
  now: () => Date,
): Promise<TableVerdict> {
  for (let race = 0; race < MOST_RACES; race += 1) {
    const events = await store.tableEvents(shop);
    const before = events.find(({ id }) => id === command.id);
    if (before) {
      return isSame(before, command)
        ? { ok: true, event: before }
        : { ok: false, refusal: refuse('id-used-otherwise', 'id') };
    }
    const requests = foldChangeRequests(events);
    const verdict = decideTableCommand(requests, command, actor, now().toISOString());
    if (!verdict.ok) return verdict;
    if ((await store.appendTableEvent(shop, verdict.event)) !== 'appended') continue;
    if (applyTableEvent(requests, verdict.event).inForce.length !== requests.inForce.length) {
      await rebuildSummaries(store, shop, 'open');
      await store.announceTables(shop);
    }
    return verdict;
  }
  throw new Error(`Tables of shop ${shop}: lost ${MOST_RACES} races to append`);
}
