import { SettingsFault } from './config/outside.ts';
import { connect } from './db/connect.ts';
import { migrate } from './migrations/run.ts';
import { givenSettings, runOnce } from './process.ts';

await runOnce(async () => {
  const { database } = givenSettings();
  if (!database.owner) throw new SettingsFault(['NODO_OWNER_URL: the migrations need the owner']);
  // One connection holds the turn, the other works.
  const owner = connect(database, database.owner, 2);
  try {
    process.stdout.write(`${(await migrate(owner)).length}\n`);
  } finally {
    await owner.close();
  }
});
