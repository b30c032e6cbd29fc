import type { NeedleIn } from '@nodo/ticket';
import type { ReactNode } from 'react';
import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';
import { LineDrawing } from '../LineDrawing.tsx';
import { type Box, type TapSpot, TapSpots } from '../Taps.tsx';

export type ComesFrom = NeedleIn['from'];
export type GoesTo = NeedleIn['before'];

const BOX: Box = [0, 0, 440, 388];
const TALL = 92;
const [TOP, FOOT] = [4, 290];
/** Where the needle is in its clamp. */
const CLAMP = [220, 132] as const;

/** Where a needle comes from, the needle in its clamp, and where the one before went; each to be tapped. */
export function NeedleComesAndGoes({
  from,
  before,
  size,
  name,
  origins,
  ends,
  onFrom,
  onBefore,
}: {
  readonly from: ComesFrom;
  /** Undefined where none went out. */
  readonly before: GoesTo | undefined;
  /** In hundredths of a millimetre. */
  readonly size: number;
  readonly name: string;
  readonly origins: readonly ComesFrom[];
  readonly ends: readonly GoesTo[];
  readonly onFrom: (from: ComesFrom) => void;
  readonly onBefore: (before: GoesTo) => void;
}) {
  const words = instruments.needle.register;
  const tops = inRow(origins, TOP, words.drawing);
  const feet = before === undefined ? [] : inRow(ends, FOOT, words.drawing);
  return (
    <TapSpots
      className="w-full max-w-120"
      box={BOX}
      spots={[...tops, ...feet]}
      onTap={(id) => {
        const origin = origins.find((one) => one === id);
        const end = ends.find((one) => one === id);
        if (origin) onFrom(origin);
        else if (end) onBefore(end);
      }}
    >
      <LineDrawing box={BOX} account={words.drawing.account} className="w-full">
        {tops.map((spot) => (
          <Cell key={spot.id} spot={spot} isChosen={spot.id === from} word={words.drawing[spot.id]}>
            {ORIGINS[spot.id]}
          </Cell>
        ))}
        {tops.map((spot) => spot.id === from && <Way key={spot.id} from={middleOf(spot)} isDown />)}
        <InClamp size={size} />
        <DrawnText x={252} y={196} size={15} fontWeight={600} fill="var(--ink)" stroke="none">
          {name}
        </DrawnText>
        {feet.map((spot) => spot.id === before && <Way key={spot.id} from={middleOf(spot)} />)}
        {feet.map((spot) => (
          <Cell
            key={spot.id}
            spot={spot}
            isChosen={spot.id === before}
            word={words.drawing[spot.id]}
          >
            {ENDS[spot.id]}
          </Cell>
        ))}
      </LineDrawing>
    </TapSpots>
  );
}

/** The cells of a row, as wide as they can be. */
function inRow<Id extends string>(
  ids: readonly Id[],
  y: number,
  labels: Readonly<Record<Id, string>>,
): readonly TapSpot<Id>[] {
  const wide = BOX[2] / ids.length;
  return ids.map((id, index) => ({
    id,
    label: labels[id],
    at: [index * wide + 4, y, wide - 8, TALL] as const,
  }));
}

const middleOf = ({ at: [x, , wide] }: TapSpot<string>): number => x + wide / 2;

function Cell({
  spot,
  isChosen,
  word,
  children,
}: {
  readonly spot: TapSpot<string>;
  readonly isChosen: boolean;
  readonly word: string;
  readonly children: ReactNode;
}) {
  const [x, y, wide, tall] = spot.at;
  return (
    <g data-chosen={isChosen || undefined}>
      <rect
        x={x}
        y={y}
        width={wide}
        height={tall}
        rx="6"
        fill={isChosen ? 'var(--sunk)' : 'none'}
        stroke={isChosen ? 'var(--ink)' : 'var(--edge)'}
        strokeWidth={isChosen ? 3 : 1.5}
      />
      <g transform={`translate(${x + wide / 2} ${y + 36})`}>{children}</g>
      <DrawnText
        x={x + wide / 2}
        y={y + tall - 10}
        textAnchor="middle"
        size={14}
        fontWeight={isChosen ? 700 : 400}
        fill="var(--ink)"
        stroke="none"
      >
        {word}
      </DrawnText>
    </g>
  );
}

/** The way of a needle from a cell into the clamp, or out of it into a cell. */
function Way({ from, isDown = false }: { readonly from: number; readonly isDown?: boolean }) {
  const [x, y] = CLAMP;
  return isDown ? (
    <path
      d={`M${from} ${TOP + TALL}Q${from} ${y - 18} ${x} ${y - 8}M${x - 9} ${y - 14}l10 6l-9 7`}
    />
  ) : (
    <path
      d={`M${x} ${FOOT - 22}Q${from} ${FOOT - 22} ${from} ${FOOT - 3}M${from - 6} ${FOOT - 11}l6 8l6 -8`}
      strokeDasharray="6 5"
      stroke="var(--quiet)"
    />
  );
}

/** Bar, clamp screw and needle, its blade by its size. */
function InClamp({ size }: { readonly size: number }) {
  const r = (size / 100) * 4;
  const [x, y] = CLAMP;
  return (
    <g transform={`translate(${x} ${y})`}>
      <path d="M-14 0H14V44H-14Z" fill="var(--sunk)" />
      <path d="M14 20H26V32H14M26 16V36" />
      <path
        d={`M-8 44V72L${-r} 78V118L0 134L${r} 118V78L8 72V44`}
        fill="var(--paper)"
        strokeWidth="1.6"
      />
      <ellipse cy="112" rx={r * 0.42} ry="4" strokeWidth="1.2" />
    </g>
  );
}

const PACKET = 'M-24 -16H24V18H-24ZM-14 -16V18M-4 -6V8M6 -6V8M16 -6V8';

const ORIGINS: Readonly<Record<ComesFrom, ReactNode>> = {
  found: (
    <>
      <path d="M-8 -22H8V-4H-8Z" fill="var(--sunk)" />
      <path d="M-4 -4V14L0 24L4 14V-4" />
    </>
  ),
  new: <path d={PACKET} />,
  opened: <path d={`${PACKET}M-24 -16L-14 -28H34L24 -16`} />,
};

const ENDS: Readonly<Record<GoesTo, ReactNode>> = {
  none: <circle r="16" stroke="var(--edge)" strokeDasharray="5 5" />,
  // A tin with a slot, shut for good.
  'used-up': <path d="M-18 -14H18V20H-18ZM-22 -20H22V-14H-22ZM-8 -17H8" />,
  'put-back': <path d={`${PACKET}M-24 -16L-14 -28H34L24 -16`} />,
  broken: <path d="M-4 -24H4V-8L-2 0M-4 -24V-10M2 6L8 2V14L4 24L0 14L2 6" />,
};
