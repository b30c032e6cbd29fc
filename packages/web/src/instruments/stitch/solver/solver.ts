import { type Remote, wrap } from 'comlink';
import type { StitchSolver } from '../../../workers/stitch.worker.ts';

let solver: Remote<StitchSolver> | undefined;

/** The solver's worker, begun when it is first asked. */
export function theSolver(): Remote<StitchSolver> {
  solver ??= wrap<StitchSolver>(
    new Worker(new URL('../../../workers/stitch.worker.ts', import.meta.url), { type: 'module' }),
  );
  return solver;
}
