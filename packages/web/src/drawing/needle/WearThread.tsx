import { write } from '../../messages/index.ts';
import { DrawnText } from '../DrawnText.tsx';
import { type Box, TapPlace } from '../Taps.tsx';

const WIDE = 460;
const LEFT = 12;
const THREAD_Y = 96;
/** Rulers below the thread: the first one's line, and the next ones' below it. */
const RULERS_Y = 150;
const RULER = 56;
/** Ticks that a ruler has at most. */
const MOST_TICKS = 5;
/** Poles by turns, so that the words of neighbours never lie over each other. */
const POLES = [40, 70];
/** One school's limit on the thread. */
export interface WearFlag {
  readonly name: string;
  /** Stitches. */
  readonly limit: number;
}

/** One way of counting, on a ruler under the thread. */
export interface WearRuler<Id extends string> {
  readonly id: Id;
  readonly name: string;
  /** Stitches in one of it. */
  readonly stitches: number;
}

/**
 * The stitches of a needle as one thread: sewn as far as the heavy line goes, a flag where each school calls it due;
 * below it the same length in every other count. To scale from nothing to the furthest flag. A tap says how far it
 * sewed, in the count of the ruler that was tapped.
 */
export function WearThread<Id extends string>({
  sewn,
  flags,
  rulers,
  account,
  label,
  onTap,
}: {
  /** Undefined while nobody said. */
  readonly sewn: number | undefined;
  readonly flags: readonly WearFlag[];
  /** The first is the thread's own count. */
  readonly rulers: readonly WearRuler<Id>[];
  readonly account: string;
  readonly label: string;
  readonly onTap: (amount: number, as: Id) => void;
}) {
  const most = Math.max(sewn ?? 0, ...flags.map(({ limit }) => limit)) * 1.04;
  const length = WIDE - 2 * LEFT;
  const x = (stitches: number) => LEFT + (stitches / most) * length;
  const inOrder = flags.toSorted((a, b) => a.limit - b.limit);
  const box: Box = [0, 0, WIDE, RULERS_Y + (rulers.length - 1) * RULER + 34];
  return (
    <TapPlace
      className="w-full max-w-120"
      box={box}
      label={label}
      onTap={(atX, atY) => {
        const row = Math.round((atY - RULERS_Y) / RULER);
        const ruler = rulers[Math.max(0, Math.min(rulers.length - 1, row))];
        const share = Math.max(0, Math.min(1, (atX - LEFT) / length));
        if (ruler) onTap(inRound((share * most) / ruler.stitches), ruler.id);
      }}
    >
      <svg
        viewBox={box.join(' ')}
        role="img"
        aria-label={account}
        className="w-full"
        fill="none"
        strokeLinecap="round"
      >
        <path
          d={`M${LEFT} ${THREAD_Y}H${WIDE - LEFT}`}
          stroke="var(--edge)"
          strokeWidth="3"
          strokeDasharray="2 8"
        />
        {sewn !== undefined && (
          <>
            <path
              data-sewn
              d={`M${LEFT} ${THREAD_Y}H${x(sewn)}`}
              stroke="var(--above)"
              strokeWidth="6"
              strokeDasharray="12 8"
            />
            <path
              d={`M${x(sewn)} ${THREAD_Y - 12}V${box[3] - 26}`}
              stroke="var(--lit)"
              strokeWidth="2.500"
            />
          </>
        )}
        {inOrder.map(({ name, limit }, index) => (
          <Flag
            key={name}
            name={name}
            x={x(limit)}
            pole={POLES[index % POLES.length] ?? 0}
            isPast={sewn !== undefined && sewn >= limit}
          />
        ))}
        {rulers.map(({ id, name, stitches }, index) => (
          <Ruler
            key={id}
            name={name}
            y={RULERS_Y + index * RULER}
            ticks={ticksUpTo(most / stitches).map((amount) => ({
              amount,
              x: x(amount * stitches),
            }))}
          />
        ))}
      </svg>
    </TapPlace>
  );
}

function Flag({
  name,
  x,
  pole,
  isPast,
}: {
  readonly name: string;
  readonly x: number;
  readonly pole: number;
  readonly isPast: boolean;
}) {
  const isLeft = x > WIDE / 2;
  const side = isLeft ? -1 : 1;
  return (
    <g data-flag={isPast ? 'past' : 'ahead'}>
      <path
        d={`M${x} ${THREAD_Y}v${-pole}l${side * 14} 6l${-side * 14} 6`}
        stroke="var(--lit)"
        strokeWidth="2"
        strokeLinejoin="round"
        fill={isPast ? 'var(--lit)' : 'var(--paper)'}
      />
      <DrawnText
        x={x + side * 19}
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
}

/** A line with its count written over it and its figures under it. */
function Ruler({
  name,
  y,
  ticks,
}: {
  readonly name: string;
  readonly y: number;
  readonly ticks: readonly { readonly amount: number; readonly x: number }[];
}) {
  return (
    <g>
      <DrawnText
        x={LEFT}
        y={y - 10}
        size={14}
        fontWeight={600}
        fill="var(--ink)"
        stroke="var(--ground)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {name}
      </DrawnText>
      <path
        d={`M${LEFT} ${y}H${WIDE - LEFT}${ticks.map(({ x }) => `M${x} ${y}v6`).join('')}`}
        stroke="var(--edge)"
        strokeWidth="2"
        strokeLinecap="butt"
      />
      {ticks.map(({ amount, x }) => (
        <DrawnText key={amount} x={x} y={y + 20} textAnchor="middle" size={14} fill="var(--quiet)">
          {write.figure(amount)}
        </DrawnText>
      ))}
    </g>
  );
}

/** Round amounts from nothing up to the most, a few of them. */
function ticksUpTo(most: number): readonly number[] {
  if (!Number.isFinite(most) || most <= 0) return [];
  const rough = most / MOST_TICKS;
  const ten = 10 ** Math.floor(Math.log10(rough));
  const step = ([1, 2, 5].find((one) => one * ten >= rough) ?? 10) * ten;
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, at) =>
    Number((at * step).toPrecision(6)),
  );
}

/** Two figures that count: a finger points no finer. */
function inRound(amount: number): number {
  return Number(amount.toPrecision(2));
}
