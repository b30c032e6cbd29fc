import type { PointId, SetPoint, Size } from './points.ts';

/** A line in both of the page's extremes is seen on any picture. */
const LINES = [
  { stroke: 'var(--paper)', wide: 3 },
  { stroke: 'var(--ink)', wide: 1.2 },
] as const;
/** So many pixels of the picture are seen from near, each way. */
const NEAR = 60;
/** Half of a cross, in widths of a thin line: the chosen one's is larger. */
const REACH = { chosen: 11, other: 7 } as const;

/** Points over a picture, with a line between those that make one. */
export function PointMarks({
  size: { width, height },
  points,
  chosen,
}: {
  readonly size: Size;
  readonly points: readonly SetPoint[];
  readonly chosen: PointId | undefined;
}) {
  const unit = width / 480;
  const pairs = [points.slice(0, 2), points.slice(2, 4)];
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
      className="pointer-events-none absolute inset-0 size-full"
    >
      {LINES.map(({ stroke, wide }) => (
        <g key={stroke} stroke={stroke} strokeWidth={wide * unit} fill="none">
          {pairs.map(([from, to]) =>
            from && to ? <line key={from.id} x1={from.x} y1={from.y} x2={to.x} y2={to.y} /> : null,
          )}
          {points.map((point) => (
            <path
              key={point.id}
              d={cross(point, unit * (point.id === chosen ? REACH.chosen : REACH.other))}
            />
          ))}
        </g>
      ))}
    </svg>
  );
}

/** The picture about a point, large enough to lay it on a mark. */
export function PointSeenNear({
  size: { width, height },
  point,
  address,
  account,
}: {
  readonly size: Size;
  readonly point: SetPoint;
  readonly address: string;
  readonly account: string;
}) {
  const unit = NEAR / 160;
  return (
    <svg
      viewBox={`${point.x - NEAR / 2} ${point.y - NEAR / 2} ${NEAR} ${NEAR}`}
      role="img"
      aria-label={account}
      className="size-40 rounded-md border-2 border-edge bg-sunk"
    >
      <image href={address} width={width} height={height} />
      {LINES.map(({ stroke, wide }) => (
        <path
          key={stroke}
          stroke={stroke}
          strokeWidth={wide * unit}
          fill="none"
          d={cross(point, unit * REACH.chosen)}
        />
      ))}
    </svg>
  );
}

/** Four arms that leave the place itself bare. */
function cross({ x, y }: SetPoint, reach: number): string {
  const arm = 0.7 * reach;
  return `M${x - reach} ${y}h${arm}M${x + reach} ${y}h${-arm}M${x} ${y - reach}v${arm}M${x} ${y + reach}v${-arm}`;
}
