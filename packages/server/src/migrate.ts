import { settings } from './config/settings.ts';
import { connect } from './db/connect.ts';
import { migrate } from './migrations/run.ts';

const { database } = settings.parse(JSON.parse(process.env.NODO_SETTINGS ?? '{}'));
if (!database.owner) throw new Error('The migrations need the owner account.');
const owner = connect(database, database.owner, 2);
const ran = await migrate(owner);
await owner.close();
process.stdout.write(`${ran.length}\n`);
