/**
 * How long a test waits for what must come, in milliseconds: far longer than a slow and busy
 * machine needs. A wait ends as soon as its condition holds, so this costs nothing where all is
 * well, and a wait that runs out means that something never came, not that it came late.
 * Below the 35 s after which a screen gives up a silent stream and reads everything again: what
 * should come live must not be taken for granted because it comes that way.
 */
export const PATIENCE_MS = 30_000;

/** The same for what is long work: setting up a shop, weighing a change on all open tickets. */
export const LONG_PATIENCE_MS = 600_000;
