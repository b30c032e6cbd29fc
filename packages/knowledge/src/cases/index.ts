import { BELOW_CASES } from './below.ts';
import type { WorkedCase } from './case.ts';
import { NEEDLE_CASES } from './needle.ts';
import { THREAD_CASES } from './threading.ts';

/** Told after the handbook; what the tables must get right. */
export const WORKED_CASES: readonly WorkedCase[] = [
  ...THREAD_CASES,
  ...NEEDLE_CASES,
  ...BELOW_CASES,
];
