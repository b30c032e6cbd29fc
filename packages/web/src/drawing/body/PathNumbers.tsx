import { DrawnText } from '../DrawnText.tsx';
import { type At, type Body, PATH_POINTS, type PathPoint } from './body.ts';

/** The points of the way on this body, in its order, with the number each is told by. */
export function pathOf(body: Body): readonly { readonly point: PathPoint; readonly at: At }[] {
  return PATH_POINTS.flatMap((point) => {
    const at = body.path[point];
    return at ? [{ point, at }] : [];
  });
}

/** What the numbers take to the left of the machine. */
export const NUMBERS_WIDE = 48;

/** A point that is numbered, and how far above it its number stands where it lies apart. */
export interface NumberedPoint {
  readonly id: string;
  readonly at: At;
  readonly over: number;
}

/** The points of a body's own way. */
export function numberedOn(body: Body): readonly NumberedPoint[] {
  return pathOf(body).map(({ point, at }) => ({
    id: point,
    at,
    over: point === 'spool' ? OVER_SPOOL[body.spool.kind] : OVER_POINT,
  }));
}

/**
 * Every point of the way with its number, on the machine itself. What lies close together on the head is numbered
 * in a column beside it, each with a line to its point.
 */
export function PathNumbers({
  points,
  lit,
  radius,
}: {
  readonly points: readonly NumberedPoint[];
  /** Those that a check is about. */
  readonly lit: ReadonlySet<string>;
  /** Of a number, in the units of the drawing. */
  readonly radius: number;
}) {
  const inColumn = points.filter(({ at: [x] }) => x < APART_FROM);
  const gap = 2 * radius + 3;
  const column = spreadOut(
    inColumn.map(({ at }) => at[1]),
    gap,
  );
  return (
    <g>
      {points.map(({ id, at: [x, y], over }, index) => {
        const place = inColumn.findIndex((one) => one.id === id);
        const at: At =
          place < 0 ? [x, y - radius - over] : [-NUMBERS_WIDE + radius + 2, column[place] ?? y];
        const isLit = lit.has(id);
        return (
          <g key={id} data-point={id}>
            <path
              d={`M${at[0]} ${at[1]}L${x} ${y}`}
              stroke={isLit ? 'var(--lit)' : 'var(--edge)'}
              strokeWidth="1.2"
            />
            <circle
              cx={x}
              cy={y}
              r="4"
              fill={isLit ? 'var(--lit)' : 'var(--paper)'}
              stroke="var(--lit)"
            />
            <circle
              cx={at[0]}
              cy={at[1]}
              r={radius}
              fill={isLit ? 'var(--lit)' : 'var(--paper)'}
              stroke={isLit ? 'none' : 'var(--edge)'}
              strokeWidth="2"
            />
            <DrawnText
              x={at[0]}
              y={at[1] + radius * 0.42}
              textAnchor="middle"
              size={radius * 1.15}
              fontWeight="700"
              fill={isLit ? 'var(--paper)' : 'var(--ink)'}
              stroke="none"
            >
              {index + 1}
            </DrawnText>
          </g>
        );
      })}
    </g>
  );
}

/** From here on points lie apart, on top of the machine: numbered where they are. */
const APART_FROM = 150;
/** From the middle of a spool to above it, its cap and pin; from any other point. */
const OVER_SPOOL = { lying: 15, upright: 30, cone: 30 } as const;
const OVER_POINT = 8;

/** Heights as near to these as may be, in the same order from above, each at least so far from the last. */
function spreadOut(heights: readonly number[], gap: number): readonly number[] {
  const order = heights
    .map((_, index) => index)
    .toSorted((a, b) => (heights[a] ?? 0) - (heights[b] ?? 0));
  const placed = [...heights];
  const last = order.at(-1);
  if (last === undefined) return placed;
  // From the needle upwards: below it there is no room.
  let below = Number.POSITIVE_INFINITY;
  for (const index of order.toReversed()) {
    below = Math.min(placed[index] ?? 0, below - gap);
    placed[index] = below;
  }
  return placed;
}
