import { doorServer, doorSettings } from './door.ts';
import { bind, close } from './http/listening.ts';
import { runProcess } from './process.ts';

await runProcess(async () => {
  const known = doorSettings.parse(JSON.parse(process.env.NODO_SETTINGS ?? '{}'));
  const server = doorServer(known);
  await bind(server, known);
  return { stop: () => close(server) };
});
