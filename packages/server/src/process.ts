import type { ParentLine } from './backup/runner.ts';

/** The line to the start command; undefined where this process was started by somebody else. */
export const parentLine: ParentLine | undefined = process.send && {
  send: (message) => void process.send?.(message),
  onMessage: (hear) => void process.on('message', hear),
};

/** What a process of the start command runs. */
export interface Program {
  stop(): Promise<void>;
}

export const log = (line: string): void => {
  process.stderr.write(`${new Date().toISOString()} ${line}\n`);
};

/**
 * Runs a program until the start command ends it: says when it serves, ends with it, and exits
 * with 98 where its port is taken.
 * @param begin is given the settings as the start command wrote them
 */
export async function runProcess(begin: (settings: unknown) => Promise<Program>): Promise<void> {
  try {
    const running = await begin(JSON.parse(process.env.NODO_SETTINGS ?? '{}'));
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
    const isTaken = (fault as { code?: string }).code === 'EADDRINUSE';
    log(isTaken ? 'port-taken' : fault instanceof Error ? fault.message : String(fault));
    process.exit(isTaken ? 98 : 1);
  }
}
