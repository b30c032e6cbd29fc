import type { SeamEntry } from './seamEntries.ts';

const TOP = 10;
const BOTTOM = 38;
const LOCK = 24;
/** A stitch with its words under it. */
export const STITCH_WIDE = 160;

/** The fabric in section. @param lead what of it lies before the stitch */
function Cloth({
  flexible = false,
  lead = 0,
}: {
  readonly flexible?: boolean;
  readonly lead?: number;
}) {
  return (
    <rect
      x={-lead}
      y={TOP}
      width={flexible ? '100%' : STITCH_WIDE + lead}
      height={BOTTOM - TOP}
      fill="var(--cloth)"
    />
  );
}

interface StitchProps {
  readonly mark: SeamEntry['mark'];
  readonly state: SeamEntry['state'];
  readonly side: SeamEntry['side'];
  /** The person's thread colour. */
  readonly thread: number;
  readonly first: boolean;
  /** How far from the one before it, in pixels. */
  readonly lead: number;
}

/** One stitch in section: both threads dip into the cloth and lock. */
export function Stitch({ mark, state, side, thread, first, lead }: StitchProps) {
  const dash = state === 'kept' ? {} : { strokeDasharray: '6 5' };
  const start = first ? 40 : -lead;
  const dip = (level: number) =>
    `M${start} ${level}H66C74 ${level} 73 ${LOCK} 80 ${LOCK}S86 ${level} 94 ${level}H160`;
  return (
    <svg
      width={STITCH_WIDE + lead}
      height="48"
      viewBox={`${-lead} 0 ${STITCH_WIDE + lead} 48`}
      aria-hidden="true"
      fill="none"
    >
      <Cloth lead={lead} />
      <g strokeWidth="3.5" strokeLinecap="round" {...dash}>
        <path d={dip(BOTTOM)} stroke="var(--below)" />
        <path d={dip(TOP)} stroke="var(--above)" />
      </g>
      {mark === 'knot' ? (
        <path
          d="M72 38c-6-14 22-18 20-4s-24 10-18-4 22-6 18 6"
          stroke="var(--below)"
          strokeWidth="3.5"
          strokeLinecap="round"
        />
      ) : mark === 'crossed' ? (
        <path
          d="M70 14L90 34M90 14L70 34"
          stroke="var(--ink)"
          strokeWidth="3.5"
          strokeLinecap="round"
        />
      ) : (
        <g data-thread={thread}>
          <circle
            cx="80"
            cy={side === 'above' ? 5 : 43}
            r="4.5"
            fill={state === 'waiting' ? 'var(--ground)' : 'var(--own)'}
            stroke="var(--own)"
            strokeWidth="2"
          />
        </g>
      )}
    </svg>
  );
}

/** A duty still owed: the threads pass each other, the stitch is skipped. */
export function Owed() {
  return (
    <svg width="160" height="48" viewBox="0 0 160 48" aria-hidden="true" fill="none">
      <Cloth />
      <g strokeWidth="3.5" strokeLinecap="round">
        <path d={`M0 ${BOTTOM}H160`} stroke="var(--below)" />
        <path d={`M0 ${TOP}H160`} stroke="var(--above)" />
      </g>
      <circle
        cx="80"
        cy={LOCK}
        r="19"
        stroke="var(--ink)"
        strokeWidth="2.2"
        strokeDasharray="5 4"
      />
      <path d="M68 24H92" stroke="var(--ink)" strokeWidth="3" strokeDasharray="6 4" />
    </svg>
  );
}

/** Torn off, and taken up again hours later: the edges of the cloth, the ends of both threads. */
export function Torn() {
  return (
    <svg width="72" height="48" viewBox="0 0 72 48" aria-hidden="true" fill="none">
      <path
        d="M0 10H18l5 5-7 6 8 5-8 6 5 6H0ZM72 10H54l-6 6 7 5-8 6 8 5-5 6H72Z"
        fill="var(--cloth)"
      />
      <g strokeWidth="3.5" strokeLinecap="round">
        <path d="M0 38H16q6 0 9 5M72 38H56q-6 0-9 4" stroke="var(--below)" />
        <path d="M0 10H16q6 0 9-5M72 10H56q-6 0-9-4" stroke="var(--above)" />
      </g>
    </svg>
  );
}

/** The open end: the needle is about to make the next stitch. */
export function LooseEnds() {
  return (
    <svg width="100%" height="64" className="overflow-hidden" aria-hidden="true" fill="none">
      <Cloth flexible />
      <g strokeWidth="3.5" strokeLinecap="round">
        <path d={`M0 ${BOTTOM}H16`} stroke="var(--below)" />
        <path d={`M0 ${TOP}H16`} stroke="var(--above)" />
        <path d="M16 10C50 10 80 2 120 4" stroke="var(--above)" strokeDasharray="1 8" />
        <path d="M16 38C50 38 80 52 120 52" stroke="var(--below)" strokeDasharray="1 8" />
      </g>
      <path d="M16 0V50" stroke="var(--ink)" strokeWidth="2.4" />
      <path d="M11 48H21L16 60Z" fill="var(--ink)" />
    </svg>
  );
}
