/** Where a number comes from; shown to the user wherever the number is used. */
export type Provenance = 'published' | 'common-practice' | 'typical' | 'derived' | 'tuned' | 'shop';

export interface MechanismProvenance {
  readonly priors: Provenance;
  readonly strengths: Provenance;
  readonly leaks: Provenance;
  readonly minutes: Provenance;
}

/** First version: chances tuned by hand on worked cases, minutes as the trade estimates them. */
export const FIRST_VERSION: MechanismProvenance = {
  priors: 'tuned',
  strengths: 'tuned',
  leaks: 'tuned',
  minutes: 'common-practice',
};
