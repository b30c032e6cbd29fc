import { text } from 'node:stream/consumers';
import { asBackupFault } from './backup/format.ts';
import { doBackupJob } from './backup/jobs.ts';

// Read from stdin: a passphrase stands neither in the environment nor among the arguments.
try {
  const done = await doBackupJob(JSON.parse(await text(process.stdin)), {
    now: () => new Date(),
    pid: process.pid,
  });
  process.stdout.write(`${JSON.stringify({ done })}\n`);
} catch (fault) {
  const { code, what } = asBackupFault(fault);
  process.stdout.write(`${JSON.stringify({ fault: { code, what } })}\n`);
  process.exitCode = 1;
}
