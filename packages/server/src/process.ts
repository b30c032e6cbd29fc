import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import pino from 'pino';
import type { ParentLine } from './backup/runner.ts';
import { SettingsFault, type Surroundings, settingsFrom } from './config/outside.ts';
import type { Settings } from './config/settings.ts';
import { faultText, type Log } from './log.ts';

/** What a process ends with where its port is taken, and where its settings are wrong (sysexits). */
const PORT_TAKEN = 98;
const SETTINGS_WRONG = 78;

/** The line to the start command; undefined where this process was started by somebody else. */
export const parentLine: ParentLine | undefined = process.send && {
  send: (message) => void process.send?.(message),
  onMessage: (hear) => void process.on('message', hear),
};

/** What a process of the start command runs. */
export interface Program {
  stop(): Promise<void>;
}

const logger = pino(
  {
    base: { pid: process.pid },
    timestamp: pino.stdTimeFunctions.isoTime,
    formatters: { level: (level) => ({ level }) },
  },
  // Whoever reads along may go away: a line that cannot be written is lost, not the work.
  { write: (line: string) => void process.stderr.write(line) },
);
process.stderr.on('error', () => undefined);

/** A line of JSON each. */
export const log: Log = ({ level, ...entry }) => logger[level](entry);

const surroundings: Surroundings = {
  env: process.env,
  readText: (path) => readFileSync(path, 'utf8'),
  // As the build lays them: this program in packages/server/dist, the pages in packages/web/dist.
  webRoot: fileURLToPath(new URL('../../web/dist', import.meta.url)),
};

/** The settings of this process. @throws SettingsFault */
export function givenSettings(): Settings {
  return settingsFrom(surroundings);
}

/** Runs what ends by itself; what goes wrong is a line of the log. */
export async function runOnce(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (fault) {
    end(fault);
  }
}

/**
 * Runs a program until it is told to end: says when it serves, and ends in order. The start command is told by its
 * exit that a port is taken.
 */
export async function runProcess(begin: () => Promise<Program>): Promise<void> {
  try {
    const running = await begin();
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
    end(fault);
  }
}

function end(fault: unknown): void {
  if (fault instanceof SettingsFault) {
    for (const message of fault.faults) log({ level: 'error', event: 'settings-wrong', message });
    process.exit(SETTINGS_WRONG);
  }
  const isTaken = (fault as { code?: string }).code === 'EADDRINUSE';
  const message = isTaken ? 'port-taken' : fault instanceof Error ? fault.message : String(fault);
  log({ level: 'error', event: 'not-started', message, fault: faultText(fault) });
  process.exit(isTaken ? PORT_TAKEN : 1);
}
