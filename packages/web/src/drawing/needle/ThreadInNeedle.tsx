import { OPENING_SHARE } from '@nodo/core';
import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';

/** Units a millimetre. */
const SCALE = 84;
/** How deep the groove is cut, as a share of the blade; from memory. */
const GROOVE_DEPTH = 0.34;

/** A thread in the groove of a blade that is cut across, and going through its eye, both to one scale. */
export function ThreadInNeedle({
  size,
  thread,
  share,
}: {
  /** In hundredths of a millimetre. */
  readonly size: number;
  /** Across, mm. */
  readonly thread: number;
  /** What the thread takes of the blade, per cent, as it is written. */
  readonly share: string;
}) {
  const words = instruments.needle.fit.inNeedle;
  const R = (size / 200) * SCALE;
  const t = (thread / 2) * SCALE;
  const half = OPENING_SHARE * R;
  const edge = -Math.sqrt(R * R - half * half);
  const floor = -R + GROOVE_DEPTH * 2 * R;
  // A thread wider than its groove rests on the two edges.
  const lies = t <= half ? floor - t : edge - Math.sqrt(t * t - half * half);
  const label = { textAnchor: 'middle', size: 14, fill: 'var(--ink)', stroke: 'none' } as const;
  return (
    <svg
      viewBox="0 0 400 154"
      role="img"
      aria-label={words.account(size, share)}
      className="w-full max-w-80"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="2"
    >
      <g transform="translate(100 72)">
        <path
          d={`M${-half} ${edge}A${R} ${R} 0 1 0 ${half} ${edge}V${floor}H${-half}Z`}
          fill="var(--sunk)"
          strokeLinejoin="round"
        />
        <circle data-thread cy={lies} r={t} fill="var(--above)" fillOpacity="0.5" />
      </g>
      <g transform="translate(290 66)">
        <path d={`M${-R} -60V40L${-R * 0.7} 62M${R} -60V40L${R * 0.7} 62`} />
        <rect
          x={-half}
          y={-1.6 * R}
          width={2 * half}
          height={3.2 * R}
          rx={half}
          fill="var(--paper)"
        />
        <circle r={t} fill="var(--above)" fillOpacity="0.5" />
      </g>
      <DrawnText x={100} y={148} {...label}>
        {words.groove}
      </DrawnText>
      <DrawnText x={290} y={148} {...label}>
        {words.eye}
      </DrawnText>
    </svg>
  );
}
