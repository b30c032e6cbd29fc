import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { type Job, type Result, WAYS } from './compare.ts';

/** The families that the tables call household machines. */
const HOUSEHOLD = ['drop-in', 'drop-in-magnet', 'front-loading'] as const;

/** Every run that `npm run bench -- planner` makes. */
export function plannerJobs(machines: number): readonly Job[] {
  return HOUSEHOLD.flatMap((family) =>
    [false, true].flatMap((moved) => WAYS.map((way) => ({ family, moved, way, machines }))),
  );
}

/** Runs the jobs on all processors; tells each result as it comes. */
export async function runPlannerJobs(
  jobs: readonly Job[],
  workerFile: string,
  tell: (result: Result) => void,
): Promise<void> {
  const left = [...jobs];
  const lane = async (): Promise<void> => {
    for (let job = left.shift(); job; job = left.shift()) tell(await runOne(job, workerFile));
  };
  await Promise.all(Array.from({ length: availableParallelism() }, lane));
}

function runOne(job: Job, workerFile: string): Promise<Result> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(workerFile, { workerData: job });
    worker.once('message', resolve);
    worker.once('error', reject);
  });
}
