import { SOLD_SIZES } from '@nodo/core';
import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';
import { type Box, TapSpots } from '../Taps.tsx';

const RUNG = 38;
const TOP = 44;
/** Where the rungs, the two bands and the words beside them lie. */
const RUNGS_AT = 60;
const FABRIC_AT = 120;
const THREAD_AT = 190;
const WIDE = 400;
const BOX: Box = [0, 0, WIDE, TOP + SOLD_SIZES.length * RUNG];
/** Blades are drawn so many times their width, in the units of the drawing for a hundredth of a millimetre. */
const BLADE = 0.11;

type Span = readonly [least: number, most: number];

/**
 * The sizes that are sold as a ladder, thinnest on top, each rung as thick as its blade stands to the others; bands
 * for what the fabric bears and in whose groove the thread lies; the needle found and the one to take at their rungs.
 */
export function SizeLadder({
  fabric,
  thread,
  found,
  chosen,
  held,
  onHold,
}: {
  /** Sizes, thinnest and thickest, in hundredths of a millimetre; undefined while it is not known. */
  readonly fabric: Span | undefined;
  readonly thread: Span | undefined;
  readonly found: number | undefined;
  /** The one to take. */
  readonly chosen: number | undefined;
  /** The one that is held against the work. */
  readonly held?: number | undefined;
  /** A rung was tapped. */
  readonly onHold: (size: number) => void;
}) {
  const words = instruments.needle.fit.ladder;
  const y = (size: number) => {
    // Between two rungs by the sizes of both; beyond the ends it stays at the end.
    const above = SOLD_SIZES.findLastIndex((one) => one <= size);
    const [low, high] = [SOLD_SIZES[above], SOLD_SIZES[above + 1]];
    if (low === undefined) return TOP - RUNG / 2;
    if (high === undefined)
      return TOP + (SOLD_SIZES.length - 1) * RUNG + (size > low ? RUNG / 2 : 0);
    return TOP + (above + (size - low) / (high - low)) * RUNG;
  };
  const rungs = SOLD_SIZES.map((size) => ({
    id: String(size),
    label: words.hold(size),
    at: [0, y(size) - RUNG / 2, WIDE, RUNG] as const,
  }));
  const pointers = [
    { size: chosen, text: words.chosen },
    { size: held, text: words.held },
    { size: found, text: words.found },
  ].flatMap(({ size, text }) => (size === undefined ? [] : [{ size, text }]));
  const pointed = [...new Set(pointers.map(({ size }) => size))].map((size) => ({
    size,
    text: pointers.flatMap((one) => (one.size === size ? [one.text] : [])).join(', '),
  }));
  return (
    <TapSpots
      className="w-full max-w-120"
      box={BOX}
      spots={rungs}
      onTap={(id) => onHold(Number(id))}
    >
      <svg
        viewBox={BOX.join(' ')}
        role="img"
        aria-label={words.account({ fabric, thread, found, chosen, held })}
        className="w-full"
        fill="none"
        strokeLinecap="round"
      >
        {(
          [
            [words.fabric, FABRIC_AT, fabric, 'var(--cloth)'],
            [words.thread, THREAD_AT, thread, 'var(--above)'],
          ] as const
        ).flatMap(([name, x, span, colour]) => {
          if (!span) return [];
          const [least, most] = span;
          return [
            <g key={name}>
              <DrawnText x={x + 14} y={14} textAnchor="middle" size={14} fill="var(--ink)">
                {name}
              </DrawnText>
              <rect
                x={x}
                y={y(least) - 10}
                width="28"
                height={y(most) - y(least) + 20}
                rx="4"
                fill={colour}
                fillOpacity={colour === 'var(--above)' ? 0.28 : 1}
                stroke="var(--edge)"
              />
            </g>,
          ];
        })}
        {SOLD_SIZES.map((size) => (
          <g key={size} data-rung={size}>
            <path
              d={`M${RUNGS_AT} ${y(size)}h44`}
              stroke={size === chosen ? 'var(--lit)' : 'var(--edge)'}
              strokeWidth={size * BLADE}
              strokeLinecap="butt"
            />
            <DrawnText
              x={RUNGS_AT - 12}
              y={y(size) + 5}
              textAnchor="end"
              size={15}
              fontWeight={size === chosen ? 700 : 400}
              fill="var(--ink)"
            >
              {size}
            </DrawnText>
          </g>
        ))}
        {pointed.map(({ size, text }) => (
          <Pointer key={size} y={y(size)} text={text} isLit={size === (held ?? chosen)} />
        ))}
      </svg>
    </TapSpots>
  );
}

function Pointer({
  y,
  text,
  isLit = false,
}: {
  readonly y: number;
  readonly text: string;
  readonly isLit?: boolean;
}) {
  return (
    <g>
      <path
        d={`M${THREAD_AT + 42} ${y}l10-6v12z`}
        fill={isLit ? 'var(--lit)' : 'var(--paper)'}
        stroke="var(--lit)"
        strokeWidth="1.5"
        strokeLinejoin="round"
      />
      <DrawnText
        x={THREAD_AT + 58}
        y={y + 5}
        size={15}
        fontWeight={isLit ? 700 : 400}
        fill="var(--ink)"
      >
        {text}
      </DrawnText>
    </g>
  );
}
