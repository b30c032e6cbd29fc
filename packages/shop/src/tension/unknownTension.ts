import type { MachineTension } from './machineTension.ts';

/** A machine of whose tension nothing is known; apart from the schema, which the first page does without. */
export const UNKNOWN_TENSION: MachineTension = {
  screw: null,
  baseline: null,
  path: null,
  worked: [],
};
