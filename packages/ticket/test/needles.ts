import type { NeedleIn } from '../src/index.ts';

/** The needle of the standard proof. */
export const SHARP_80: NeedleIn['needle'] = {
  system: '130/705 H',
  size: 80,
  point: 'fine-sharp',
  coating: 'chrome',
};

/** It went in new, into a machine of which nothing else was known. */
export const FITTED: NeedleIn = {
  at: 1,
  needle: SHARP_80,
  from: 'new',
  opened: null,
  sewn: 0,
  before: 'none',
  beforeSewn: null,
};
