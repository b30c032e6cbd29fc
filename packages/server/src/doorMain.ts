import { doorServer, doorSettings } from './door.ts';
import { bind, close } from './http/listening.ts';
import { runProcess } from './process.ts';

await runProcess(async (given) => {
  const known = doorSettings.parse(given);
  const server = doorServer(known);
  await bind(server, known);
  return { stop: () => close(server) };
});
