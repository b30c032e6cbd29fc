import type { Point, PointedAt } from '@nodo/core';
import type { instruments } from '../../../messages/instruments.ts';

/** What can be pointed at in a picture where it is not found by itself. */
export const POINTED_AT = ['ruler', 'thread'] as const;
export type PointedWhat = (typeof POINTED_AT)[number];

/** A point that is set, by name. */
export type PointId = keyof (typeof instruments.sample)['pointing']['points'];
export interface SetPoint extends Point {
  readonly id: PointId;
}

/** Where the points stand before anybody moves them, as parts of the picture. */
const AT_FIRST = {
  ruler: [
    { id: 'firstMark', x: 0.25, y: 0.85 },
    { id: 'secondMark', x: 0.75, y: 0.85 },
    { id: 'start', x: 0.15, y: 0.5 },
    { id: 'end', x: 0.85, y: 0.5 },
  ],
  thread: [{ id: 'thread', x: 0.5, y: 0.5 }],
} as const satisfies Record<PointedWhat, readonly SetPoint[]>;

/** Between two marks of a ruler, in millimetres. */
export const BETWEEN = { usual: 50, least: 10, most: 300 } as const;

/** A picture's size, in pixels. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The points in a picture of this size, as they were set before or as they stand at first. */
export function pointsIn(
  { width, height }: Size,
  what: PointedWhat,
  { ruler, thread }: PointedAt,
): readonly SetPoint[] {
  if (what === 'thread' && thread) return [{ id: 'thread', ...drawn(thread) }];
  if (what === 'ruler' && ruler)
    return [
      { id: 'firstMark', ...drawn(ruler.marks[0]) },
      { id: 'secondMark', ...drawn(ruler.marks[1]) },
      { id: 'start', ...drawn(ruler.ends[0]) },
      { id: 'end', ...drawn(ruler.ends[1]) },
    ];
  return AT_FIRST[what].map(({ id, x, y }) => ({ id, x: x * width, y: y * height }));
}

/** What the points say; nothing where two that make a line lie in one place. */
export function pointedOf(points: readonly SetPoint[], millimetres: number): PointedAt | undefined {
  const at = (id: PointId) => points.find((one) => one.id === id);
  const thread = at('thread');
  if (thread) return { thread: measured(thread) };
  const [first, second, start, end] = [at('firstMark'), at('secondMark'), at('start'), at('end')];
  if (!first || !second || !start || !end) return undefined;
  const isOne = (one: Point, other: Point) => Math.hypot(one.x - other.x, one.y - other.y) < 1;
  if (isOne(first, second) || isOne(start, end)) return undefined;
  return {
    ruler: {
      marks: [measured(first), measured(second)],
      millimetres,
      ends: [measured(start), measured(end)],
    },
  };
}

/** Where a pixel's middle is drawn: measured it lies at whole numbers, drawn half a pixel farther. */
function drawn({ x, y }: Point): Point {
  return { x: x + 0.5, y: y + 0.5 };
}

function measured({ x, y }: Point): Point {
  return { x: x - 0.5, y: y - 0.5 };
}

/** Which of the points lies nearest to a place. */
export function nearest(points: readonly SetPoint[], { x, y }: Point): PointId | undefined {
  const away = (one: Point) => Math.hypot(one.x - x, one.y - y);
  return points.toSorted((one, other) => away(one) - away(other))[0]?.id;
}

/** The place itself, or the nearest one in the picture. */
export function within({ width, height }: Size, { x, y }: Point): Point {
  return {
    x: Math.min(width - 1, Math.max(0, x)),
    y: Math.min(height - 1, Math.max(0, y)),
  };
}
