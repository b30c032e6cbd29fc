import { settings } from './config/settings.ts';
import { runServer } from './run.ts';

const log = (line: string): void => {
  process.stderr.write(`${new Date().toISOString()} ${line}\n`);
};

try {
  const given = settings.parse(JSON.parse(process.env.NODO_SETTINGS ?? '{}'));
  const running = await runServer(given, {
    now: () => new Date(),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    log,
  });
  let stopping = false;
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    running.stop().then(
      () => process.exit(0),
      () => process.exit(1),
    );
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  // The start command may die without a word; a server without it would hold the port.
  process.on('disconnect', stop);
  process.send?.('serving');
} catch (fault) {
  const code = (fault as { code?: string }).code;
  log(
    code === 'EADDRINUSE' ? 'port-taken' : fault instanceof Error ? fault.message : String(fault),
  );
  process.exit(code === 'EADDRINUSE' ? 98 : 1);
}
