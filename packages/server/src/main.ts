import { statfs } from 'node:fs/promises';
import { setTimeout as wait } from 'node:timers/promises';
import { askParent } from './backup/runner.ts';
import { givenSettings, log, parentLine, runProcess } from './process.ts';
import { runServer } from './run.ts';

await runProcess(() =>
  runServer(givenSettings(), {
    now: () => new Date(),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    wait: (ms) => wait(ms),
    room: async (folder) => {
      const { bavail, bsize } = await statfs(folder);
      return bavail * bsize;
    },
    log,
    backups: parentLine && askParent(parentLine),
  }),
);
