/**
 * By how much the pull in a thread grows where it is drawn over an edge or a guide: exp(mu phi). Source: Euler and
 * Eytelwein, any text on statics; for a thread without stiffness and a friction that does not hang on the speed.
 * @param friction coefficient between thread and what it is drawn over
 * @param wrap angle through which it is bent there, in radians, over all guides together
 */
export function capstan(friction: number, wrap: number): number {
  return Math.exp(friction * wrap);
}
