import fc from 'fast-check';

/**
 * Property tests draw the same cases in every run, so that a run says something about the code
 * and nothing about luck. `npm run bench -- properties` draws others, and more of them.
 */
fc.configureGlobal({
  seed: Number(process.env.NODO_SEED ?? 20_261_129),
  ...(process.env.NODO_RUNS === undefined ? {} : { numRuns: Number(process.env.NODO_RUNS) }),
});
