import type { SampleSide } from '@nodo/core';
import { instruments } from '../../../messages/instruments.ts';
import { useBlobAddress } from '../../../ui/useBlobAddress.ts';
import type { FaceRead } from '../../../workers/sample.worker.ts';

/** So much of the picture is shown beside the seam, as a part of its length; and at least so high for its width. */
const BESIDE = 0.04;
const LEAST_HEIGHT = 0.34;

/** A line in both of the page's extremes is seen on any fabric. */
const LINES = [
  { stroke: 'var(--paper)', wide: 3 },
  { stroke: 'var(--ink)', wide: 1.3 },
] as const;

/** The seam in its picture, with what was found of it drawn over. */
export function SamplePicture({
  picture,
  side,
  read,
}: {
  readonly picture: Blob;
  readonly side: SampleSide;
  readonly read: FaceRead;
}) {
  const address = useBlobAddress(picture);
  const { stitches, seam, size } = read;
  const view = viewOf(read);
  // Lines as thick on every picture, however many pixels it has.
  const unit = view.width / 480;
  const arm = 5 * unit;
  const aside = asideOf(read, 9 * unit);
  const words = instruments.sample.picture;
  const holes = [...stitches.map(({ from }) => from), ...stitches.slice(-1).map(({ to }) => to)];
  return (
    <svg
      viewBox={`${view.left} ${view.top} ${view.width} ${view.height}`}
      role="img"
      aria-label={words.account(side, seam.stitches, seam.skips.length)}
      className="w-full rounded-md border border-rule bg-sunk"
      data-sample={side}
    >
      <image href={address} width={size.width} height={size.height} />
      {LINES.map(({ stroke, wide }) => (
        <g key={stroke} stroke={stroke} strokeWidth={wide * unit} fill="none">
          {stitches.map(({ from, to, skipped }) => (
            <line
              key={`${from.x} ${from.y}`}
              x1={from.x + aside.x}
              y1={from.y + aside.y}
              x2={to.x + aside.x}
              y2={to.y + aside.y}
              strokeDasharray={skipped.length > 0 ? `${4 * unit} ${3 * unit}` : undefined}
            />
          ))}
          {holes.map(({ x, y }) => (
            <circle key={`${x} ${y}`} cx={x} cy={y} r={2.4 * unit} />
          ))}
          {stitches.flatMap(({ skipped }) =>
            skipped.map(({ place: { x, y } }) => (
              <path
                key={`${x} ${y}`}
                d={`M${x - arm} ${y - arm}l${2 * arm} ${2 * arm}M${x + arm} ${y - arm}l${-2 * arm} ${2 * arm}`}
              />
            )),
          )}
        </g>
      ))}
    </svg>
  );
}

/** The part of the picture in which the seam lies. */
function viewOf({ stitches, size }: FaceRead) {
  const places = stitches.flatMap(({ from, to }) => [from, to]);
  const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
  const margin = BESIDE * Math.max(right - left, bottom - top, size.width / 10);
  const width = right - left + 2 * margin;
  const height = Math.max(bottom - top + 2 * margin, LEAST_HEIGHT * width);
  return { left: left - margin, top: (top + bottom) / 2 - height / 2, width, height };
}

/** So far to one side of the seam that the thread stays in sight. */
function asideOf({ stitches }: FaceRead, far: number) {
  const [first, last] = [stitches[0]?.from, stitches.at(-1)?.to];
  if (!first || !last) return { x: 0, y: 0 };
  const length = Math.hypot(last.x - first.x, last.y - first.y);
  return { x: (far * (last.y - first.y)) / length, y: (-far * (last.x - first.x)) / length };
}
