import { type Remote, wrap } from 'comlink';
import type { SampleReader } from '../../../workers/sample.worker.ts';

let worker: Worker | undefined;
let reader: Remote<SampleReader> | undefined;

/** The worker that measures pictures, begun when it is first asked. */
export function theReader(): Remote<SampleReader> {
  worker ??= new Worker(new URL('../../../workers/sample.worker.ts', import.meta.url), {
    type: 'module',
  });
  reader ??= wrap<SampleReader>(worker);
  return reader;
}

/** Ends what the worker does; what it was asked is never answered. */
export function stopReader(): void {
  worker?.terminate();
  worker = undefined;
  reader = undefined;
}
