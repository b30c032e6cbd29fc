// Makes a backup of the shop's data, also while it works.
import { command } from './lib/command.mjs';

await command(async () => (await import('./lib/backupCommand.mjs')).backup());
