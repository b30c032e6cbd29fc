import type { Point } from '../linkage/aroundDisc.ts';
import type { Box } from './field.ts';
import { type PlaneView, through } from './homography.ts';
import type { Picture } from './picture.ts';
import { refused } from './refusal.ts';

/** Two marks of a ruler that lies beside a seam, and about its ends, in pixels of the picture. */
export interface RulerMarks {
  readonly marks: readonly [Point, Point];
  /** Between the marks. */
  readonly millimetres: number;
  /** The seam's, in the order it was sewn. */
  readonly ends: readonly [Point, Point];
}

/** Looked at this far beside the seam and beyond its ends, in millimetres, as far as the picture goes. */
const ACROSS = [7, 6, 5, 4] as const;
const BEYOND = [4, 3, 2, 1] as const;

/**
 * The plane of a sample that is seen from straight above, along its seam; and the piece of it to be read.
 * @throws CoreFault `not-on-picture`
 */
export function ruledPlane(
  picture: Pick<Picture, 'width' | 'height'>,
  { marks, millimetres, ends }: RulerMarks,
): { readonly view: PlaneView; readonly box: Box } {
  const scale = distance(marks) / millimetres;
  const [from, to] = ends;
  const heading = Math.atan2(to.y - from.y, to.x - from.x);
  const [cos, sin] = [scale * Math.cos(heading), scale * Math.sin(heading)];
  const toPicture = [cos, -sin, from.x, sin, cos, from.y, 0, 0, 1];
  const length = distance(ends) / scale;
  const isInPicture = (place: Point) => {
    const { x, y } = through(toPicture, place);
    return x >= 0 && y >= 0 && x <= picture.width - 1 && y <= picture.height - 1;
  };
  const boxes = ACROSS.flatMap((across) =>
    BEYOND.map((beyond) => ({
      left: -beyond,
      top: -across,
      right: length + beyond,
      bottom: across,
    })),
  );
  const box = boxes.find(({ left, top, right, bottom }) =>
    [left, right].every((x) => [top, bottom].every((y) => isInPicture({ x, y }))),
  );
  if (!(scale > 0 && length > 0 && box)) throw refused('not-on-picture');
  return { view: { toPicture, scale }, box };
}

function distance([one, other]: readonly [Point, Point]): number {
  return Math.hypot(other.x - one.x, other.y - one.y);
}
