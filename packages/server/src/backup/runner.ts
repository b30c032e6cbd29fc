import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { BACKUP_FAULTS, BackupFault } from './format.ts';

/** What a server asks of the start command, which alone may read the whole database. */
export type AskedJob =
  | { readonly job: 'make' }
  | { readonly job: 'set-passphrase'; readonly passphrase: string; readonly keep: number };

export interface BackupRunner {
  /** @throws BackupFault */
  run(job: AskedJob): Promise<void>;
}

/** The line between a server and the start command. */
export interface ParentLine {
  send(message: object): void;
  onMessage(hear: (message: unknown) => void): void;
}

const answer = z.object({
  answers: z.string(),
  fault: z.object({ code: z.enum(BACKUP_FAULTS), what: z.string() }).optional(),
});

/** Asks the start command for each job and waits for its answer. */
export function askParent(line: ParentLine): BackupRunner {
  const waiting = new Map<string, (fault: BackupFault | undefined) => void>();
  line.onMessage((message) => {
    const heard = answer.safeParse(message);
    if (!heard.success) return;
    const { answers, fault } = heard.data;
    waiting.get(answers)?.(fault && new BackupFault(fault.code, fault.what));
    waiting.delete(answers);
  });
  return {
    run: (job) =>
      new Promise((resolve, reject) => {
        const asks = randomUUID();
        waiting.set(asks, (fault) => (fault ? reject(fault) : resolve()));
        line.send({ asks, backup: job });
      }),
  };
}
