// Brings a backup into an empty folder.
//   npm run restore -- FILE
import { command } from './lib/command.mjs';

await command(async () =>
  (await import('./lib/restoreCommand.mjs')).restore(process.argv.slice(2)),
);
