import { m } from '../../messages/index.ts';

const STITCH = 13;
const MOST = 8;

interface MiniSeamProps {
  readonly seen: number;
  readonly done: number;
  readonly owed: number;
  readonly closed: boolean;
}

/** A ticket's seam in small: a stitch for each entry, a gap for each duty owed, a knot when closed. */
export function MiniSeam({ seen, done, owed, closed }: MiniSeamProps) {
  const stitches = Math.min(MOST, seen + done);
  const gaps = Math.min(4, owed);
  const width = (stitches + gaps) * STITCH + 22;
  const end = stitches * STITCH;
  return (
    <svg
      width={width}
      height="14"
      viewBox={`0 0 ${width} 14`}
      className="max-w-full"
      role="img"
      aria-label={`${m.rack.entries(seen, done)}${owed > 0 ? `, ${m.rack.owed(owed)}` : ''}`}
    >
      {Array.from({ length: stitches }, (_, index) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: stitches have no other name
          key={index}
          x1={index * STITCH + 2}
          x2={index * STITCH + 10}
          y1="7"
          y2="7"
          stroke={closed ? 'var(--below)' : 'var(--above)'}
          strokeWidth="3"
          strokeLinecap="round"
        />
      ))}
      {Array.from({ length: gaps }, (_, index) => (
        <circle
          // biome-ignore lint/suspicious/noArrayIndexKey: gaps have no other name
          key={index}
          cx={end + index * STITCH + 6}
          cy="7"
          r="4"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.6"
          strokeDasharray="2.4 1.8"
        />
      ))}
      {closed && (
        <path
          d={`M${end - 2} 7c6 0 5-5 9-5s4 7 0 7-4-5 2-4 5 2 8 2`}
          fill="none"
          stroke="var(--below)"
          strokeWidth="2.4"
          strokeLinecap="round"
        />
      )}
    </svg>
  );
}
