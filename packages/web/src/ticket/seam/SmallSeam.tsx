import type { SeamEntry } from './seamEntries.ts';

const STITCH = 36;
const TOP = 5;
const BOTTOM = 19;
const LOCK = 12;

/** The last stitches of a ticket in small; at the open end, whether something is still to do. */
export function SmallSeam({
  entries,
  owes,
}: {
  readonly entries: readonly SeamEntry[];
  readonly owes: boolean;
}) {
  const width = entries.length * STITCH + (owes ? 24 : 6);
  return (
    <svg
      width={width}
      height="24"
      viewBox={`0 0 ${width} 24`}
      fill="none"
      aria-hidden="true"
      className="shrink-0"
    >
      <rect y={TOP} width={width} height={BOTTOM - TOP} fill="var(--cloth)" />
      <g strokeWidth="2" strokeLinecap="round">
        {entries.map(({ id, mark, state }, index) => (
          <g
            key={id}
            transform={`translate(${index * STITCH} 0)`}
            className={state === 'kept' ? 'stitch-drawn' : undefined}
            strokeDasharray={state === 'kept' ? undefined : '4 3'}
          >
            <path d={dip(BOTTOM)} stroke="var(--below)" />
            <path d={dip(TOP)} stroke="var(--above)" />
            {mark === 'crossed' && <path d="M13 7L23 17M23 7L13 17" stroke="var(--ink)" />}
            {mark === 'knot' && (
              <path d="M13 19c-3-8 11-9 10-2s-12 5-9-2 11-3 9 3" stroke="var(--below)" />
            )}
          </g>
        ))}
        {owes && (
          <circle
            cx={width - 12}
            cy={LOCK}
            r="9"
            stroke="var(--ink)"
            strokeWidth="1.6"
            strokeDasharray="3 2.500"
          />
        )}
      </g>
    </svg>
  );
}

/** One thread of one stitch: along the cloth, down to the lock and up again. */
function dip(level: number): string {
  return `M0 ${level}H12C16 ${level} 15 ${LOCK} 18 ${LOCK}S20 ${level} 24 ${level}H${STITCH}`;
}
