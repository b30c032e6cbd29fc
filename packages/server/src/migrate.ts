import { settings } from './config/settings.ts';
import { connect } from './db/connect.ts';
import { migrate } from './migrations/run.ts';

const { database } = settings.parse(JSON.parse(process.env.NODO_SETTINGS ?? '{}'));
if (!database.owner) throw new Error('The migrations need the owner account.');
const owner = connect(database, database.owner, 2);
try {
  process.stdout.write(`${(await migrate(owner)).length}\n`);
} finally {
  await owner.close();
}
