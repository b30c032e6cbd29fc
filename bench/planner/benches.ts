import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { type Job, type Result, WAYS } from './compare.ts';
import type { PhoneJob, PhoneResult } from './phone.ts';
import { EDITIONS } from './truth.ts';

/** The families that the tables call household machines. */
const HOUSEHOLD = ['drop-in', 'drop-in-magnet', 'front-loading'] as const;

/** Every run that `npm run bench -- planner` makes. */
export function plannerJobs(machines: number): readonly (Job | PhoneJob)[] {
  return HOUSEHOLD.flatMap((family) =>
    EDITIONS.flatMap((from) =>
      ([...WAYS, 'phone'] as const).map((way) => ({ family, from, way, machines })),
    ),
  );
}

/** Runs the jobs on all processors; tells each result as it comes. */
export async function runPlannerJobs(
  jobs: readonly (Job | PhoneJob)[],
  workerFile: string,
  tell: (result: Result | PhoneResult) => void,
): Promise<void> {
  const left = [...jobs];
  const lane = async (): Promise<void> => {
    for (let job = left.shift(); job; job = left.shift()) tell(await runOne(job, workerFile));
  };
  await Promise.all(Array.from({ length: availableParallelism() }, lane));
}

function runOne(job: Job | PhoneJob, workerFile: string): Promise<Result | PhoneResult> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(workerFile, { workerData: job });
    worker.once('message', resolve);
    worker.once('error', reject);
  });
}
