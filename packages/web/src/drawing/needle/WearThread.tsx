import { DrawnText } from '../DrawnText.tsx';

const WIDE = 420;
const LEFT = 8;
const THREAD_Y = 84;
/** Poles by turns, so that the words of neighbours never lie over each other. */
const POLES = [34, 60];
/** One school's limit on the thread. */
export interface WearFlag {
  readonly name: string;
  /** Stitches. */
  readonly limit: number;
}

/**
 * The stitches of a needle as one thread: sewn as far as the heavy line goes, a flag where each school calls it due.
 * To scale from nothing to the furthest of them.
 */
export function WearThread({
  sewn,
  flags,
  account,
}: {
  readonly sewn: number;
  readonly flags: readonly WearFlag[];
  readonly account: string;
}) {
  const most = Math.max(sewn, ...flags.map(({ limit }) => limit)) * 1.04;
  const x = (stitches: number) => LEFT + (stitches / most) * (WIDE - 2 * LEFT);
  const inOrder = flags.toSorted((a, b) => a.limit - b.limit);
  return (
    <svg
      viewBox={`0 0 ${WIDE} 104`}
      role="img"
      aria-label={account}
      className="w-full max-w-120"
      fill="none"
      strokeLinecap="round"
    >
      <path
        d={`M${LEFT} ${THREAD_Y}H${WIDE - LEFT}`}
        stroke="var(--edge)"
        strokeWidth="3"
        strokeDasharray="2 8"
      />
      <path
        data-sewn
        d={`M${LEFT} ${THREAD_Y}H${x(sewn)}`}
        stroke="var(--above)"
        strokeWidth="6"
        strokeDasharray="12 8"
      />
      <path d={`M${x(sewn)} ${THREAD_Y - 12}v24`} stroke="var(--lit)" strokeWidth="3" />
      {inOrder.map(({ name, limit }, index) => {
        const pole = POLES[index % POLES.length] ?? 0;
        const isLeft = x(limit) > WIDE / 2;
        const side = isLeft ? -1 : 1;
        const isPast = sewn >= limit;
        return (
          <g key={name} data-flag={isPast ? 'past' : 'ahead'}>
            <path
              d={`M${x(limit)} ${THREAD_Y}v${-pole}l${side * 14} 6l${-side * 14} 6`}
              stroke="var(--lit)"
              strokeWidth="2"
              strokeLinejoin="round"
              fill={isPast ? 'var(--lit)' : 'var(--paper)'}
            />
            <DrawnText
              x={x(limit) + side * 19}
              y={THREAD_Y - pole + 11}
              textAnchor={isLeft ? 'end' : 'start'}
              size={14}
              fontWeight={isPast ? 700 : 400}
              fill="var(--ink)"
            >
              {name}
            </DrawnText>
          </g>
        );
      })}
    </svg>
  );
}
