import { CoreError } from '../errors/coreError.ts';
import { positive } from '../units/quantities.ts';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/**
 * Length of a taut thread from one place to another that may not go through a round disc about the origin: straight
 * where nothing is in its way, else along both tangents and the arc between.
 * @param radius of the disc, in the same unit as the places
 * @throws CoreFault `within-the-disc` for a place inside it.
 */
export function aroundDisc(from: Point, to: Point, radius: number): number {
  positive('radius', radius);
  const [near, far] = [Math.hypot(from.x, from.y), Math.hypot(to.x, to.y)];
  if (near < radius || far < radius) throw new CoreError('within-the-disc', { from, to, radius });
  const between = Math.abs(
    Math.atan2(from.x * to.y - from.y * to.x, from.x * to.x + from.y * to.y),
  );
  const arc = between - Math.acos(radius / near) - Math.acos(radius / far);
  if (arc <= 0) return Math.hypot(to.x - from.x, to.y - from.y);
  return (
    Math.sqrt(near * near - radius * radius) + Math.sqrt(far * far - radius * radius) + radius * arc
  );
}
