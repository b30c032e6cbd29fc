/**
 * Upper tail of the standard normal distribution, P(Z > x): by its series near the middle and
 * by Laplace's continued fraction further out. About twelve figures count.
 * Source: Abramowitz and Stegun 1964, 26.2.11 and 26.2.14.
 */
export function normalTail(x: number): number {
  if (x < 0) return 1 - normalTail(-x);
  const density = Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
  if (x < SERIES_UNTIL) {
    let term = x;
    let sum = x;
    for (let odd = 3; term > sum * 1e-17 && term > 0; odd += 2) {
      term *= (x * x) / odd;
      sum += term;
    }
    return 0.5 - density * sum;
  }
  let fraction = 0;
  for (let level = Math.ceil(LEVELS / x); level > 0; level -= 1) fraction = level / (x + fraction);
  return density / (x + fraction);
}

/** There the series still has thirteen figures and the fraction has them already. */
const SERIES_UNTIL = 2.5;
/** Levels of the fraction, over x: it converges the sooner the further out. */
const LEVELS = 300;
