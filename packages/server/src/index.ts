export { hashPassword } from './auth/passwords.ts';
export { migrate } from './migrations/run.ts';
export { type Running, runServer } from './run.ts';
export { type Account, type DatabaseSettings, type Settings, settings } from './settings.ts';
export { connect, withShop } from './store/connect.ts';
export { defineModels } from './store/models.ts';
export type { EventStore } from './store/port.ts';
export { PostgresEventStore } from './store/postgres.ts';
export { type Recorded, rebuildSummaries, recordDrafts } from './store/record.ts';
