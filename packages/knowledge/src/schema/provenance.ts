/** Where a number comes from; shown to the user wherever the number is used. */
export type Standing = 'published' | 'common-practice' | 'typical' | 'derived' | 'tuned' | 'shop';

export interface MechanismStanding {
  readonly priors: Standing;
  readonly strengths: Standing;
  readonly leaks: Standing;
  readonly minutes: Standing;
}

/** First edition: chances tuned by hand on worked cases, minutes as the trade reckons them. */
export const FIRST_EDITION: MechanismStanding = {
  priors: 'tuned',
  strengths: 'tuned',
  leaks: 'tuned',
  minutes: 'common-practice',
};
