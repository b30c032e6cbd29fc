import { Boundary } from '../src/boundary.ts';

// Loads the checks of what comes from outside, which a page loads when it first needs them: the
// test runner asks another process for each `import()`, and that takes as long as it takes.
await new Boundary(() => Promise.resolve()).urgently();
