export { hashPassword } from './auth/passwords.ts';
export { ShopSheets } from './cards/shopSheets.ts';
export { type Account, type DatabaseSettings, type Settings, settings } from './config/settings.ts';
export { connect, withShop } from './db/connect.ts';
export { defineModels } from './db/models.ts';
export { migrate } from './migrations/run.ts';
export { type Running, runServer } from './run.ts';
export { rebuildWords } from './search/rebuild.ts';
export { derivedId } from './store/derivedId.ts';
export { MemoryEventStore } from './store/memory.ts';
export type { EventStore } from './store/port.ts';
export { PostgresEventStore } from './store/postgres.ts';
export {
  editionIn,
  type Recorded,
  type RecordRequest,
  rebuildSummaries,
  recordDrafts,
} from './store/record.ts';
export { recordTables } from './store/recordTables.ts';
