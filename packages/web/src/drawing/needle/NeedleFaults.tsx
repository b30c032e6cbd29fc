import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';
import { LineDrawing } from '../LineDrawing.tsx';
import { type Box, TapSpots } from '../Taps.tsx';

const BOX: Box = [0, 0, 440, 406];
/** One needle of the row below the other. */
const ROW = 42;
const FIRST = 24;
/** Shank, blade and point on the plate: 7.5 units a millimetre along, the gap six times as much across. */
const ALONG = 7.5;
const GAP_TIMES = 6;
const [FROM, SHANK_END, POINT] = [14, 14 + 11 * ALONG, 14 + 38.5 * ALONG];
/** The enlarged end: its axis, and where eye and point lie. */
const AXIS = 316;

/** What was looked at on the enlarged end. */
export type FaultSpot = 'nail' | 'loupe' | 'gum';
export type FaultsSeen = Readonly<Partial<Record<FaultSpot, 'yes' | 'no'>>>;

const SPOTS: Readonly<Record<FaultSpot, readonly [x: number, y: number, w: number, h: number]>> = {
  gum: [40, 284, 150, 64],
  loupe: [262, 268, 98, 96],
  nail: [364, 268, 76, 96],
};

/**
 * A needle rolled on a plate, from straight to bent, to be picked by its look; and its end enlarged, where a nail, a
 * loupe and a finger find what is wrong with it. Along to scale; a gap is drawn six times as wide as it is.
 */
export function NeedleFaults({
  gaps,
  gap,
  seen,
  asked,
  onGap,
  onSpot,
}: {
  /** Gaps to pick from, mm, the straight one first. */
  readonly gaps: readonly { readonly gap: number; readonly name: string }[];
  readonly gap: number | undefined;
  readonly seen: FaultsSeen;
  /** What this kind of machine is asked for. */
  readonly asked: readonly FaultSpot[];
  readonly onGap: (gap: number) => void;
  readonly onSpot: (spot: FaultSpot) => void;
}) {
  const words = instruments.needle.condition.drawing;
  const rows = gaps.map(({ gap: one, name }, index) => ({
    id: String(one),
    label: words.gap(name),
    at: [0, FIRST + index * ROW - 4, 440, ROW] as const,
  }));
  const ends = asked.map((id) => ({ id, label: words.tap[id], at: SPOTS[id] }));
  return (
    <TapSpots
      className="w-full max-w-120"
      box={BOX}
      spots={[...rows, ...ends]}
      onTap={(id) => {
        const spot = asked.find((one) => one === id);
        if (spot) onSpot(spot);
        else onGap(Number(id));
      }}
    >
      <LineDrawing box={BOX} account={words.account} className="w-full" strokeWidth="1.6">
        <DrawnText x={4} y={14} size={14} fill="var(--quiet)" stroke="none">
          {words.rolled(GAP_TIMES)}
        </DrawnText>
        {gaps.map(({ gap: one, name }, index) => (
          <g key={one} transform={`translate(0 ${FIRST + index * ROW})`} data-gap={one}>
            <OnPlate gap={one} isLit={one === gap} />
            <DrawnText
              x={POINT + 20}
              y={22}
              size={15}
              fontWeight={one === gap ? 700 : 400}
              fill="var(--ink)"
              stroke="none"
            >
              {name}
            </DrawnText>
          </g>
        ))}
        <End seen={seen} asked={asked} />
      </LineDrawing>
    </TapSpots>
  );
}

/** A needle lying with its shank on the plate: bent, its blade rises from where the shank ends. */
function OnPlate({ gap, isLit }: { readonly gap: number; readonly isLit: boolean }) {
  const rise = gap * ALONG * GAP_TIMES;
  const top = 16;
  const bent = (side: number) =>
    `Q${(SHANK_END + POINT) / 2} ${top + side} ${POINT - 12} ${top + side - rise * 0.8}`;
  return (
    <>
      <path d={`M${FROM - 6} 26H${POINT + 10}`} stroke="var(--edge)" strokeWidth="3" />
      <path
        d={`M${FROM} 8V24H${SHANK_END - 8}L${SHANK_END} ${top + 3}${bent(3)}L${POINT} ${top - rise}L${POINT - 12} ${top - 3 - rise * 0.8}Q${(SHANK_END + POINT) / 2} ${top - 3} ${SHANK_END} ${top - 3}L${SHANK_END - 8} 8Z`}
        fill={isLit ? 'var(--cloth)' : 'var(--paper)'}
        strokeWidth={isLit ? 3 : 1.6}
      />
    </>
  );
}

/** The last part of the needle from the side, its groove above and its scarf below, with what was found on it. */
function End({ seen, asked }: { readonly seen: FaultsSeen; readonly asked: readonly FaultSpot[] }) {
  const words = instruments.needle.condition.drawing;
  const isBlunt = seen.loupe === 'yes';
  return (
    <g>
      <path
        d={`M0 ${AXIS - 13}H322L366 ${AXIS}${isBlunt ? 'q-5 4 -9 3' : ''}L322 ${AXIS + 13}H268Q256 ${AXIS + 13} 250 ${AXIS + 8}H206Q200 ${AXIS + 13} 190 ${AXIS + 13}H0`}
        fill="var(--paper)"
      />
      <path d={`M0 ${AXIS - 7}H262`} stroke="var(--above)" strokeWidth="2" />
      <ellipse cx="288" cy={AXIS} rx="19" ry="4.500" fill="var(--ground)" />
      {seen.gum === 'yes' && <Gum />}
      {seen.nail === 'yes' && (
        <path d={`M352 ${AXIS - 4}l9 -9l-2 9`} stroke="var(--lit)" strokeWidth="3.400" />
      )}
      {isBlunt && (
        <path
          d={`M346 ${AXIS - 7}Q364 ${AXIS - 2} 358 ${AXIS + 3}`}
          stroke="var(--lit)"
          strokeWidth="4"
        />
      )}
      {asked.includes('loupe') && (
        <>
          <circle cx="318" cy={AXIS} r="40" stroke="var(--edge)" strokeWidth="3" />
          <path d={`M290 ${AXIS + 28}L274 ${AXIS + 49}`} stroke="var(--edge)" strokeWidth="6" />
        </>
      )}
      {/* Nylon drawn across the point. */}
      {asked.includes('nail') && (
        <path
          d={`M384 ${AXIS - 40}Q358 ${AXIS} 384 ${AXIS + 40}M396 ${AXIS - 40}Q${seen.nail === 'yes' ? 350 : 372} ${AXIS} 396 ${AXIS + 40}M408 ${AXIS - 40}Q384 ${AXIS} 408 ${AXIS + 40}`}
          stroke="var(--edge)"
          strokeWidth="1.4"
        />
      )}
      {asked.map((id) => {
        const [x, , wide] = SPOTS[id];
        const said = seen[id];
        return (
          <DrawnText
            key={id}
            x={x + wide / 2}
            y={AXIS + 70}
            textAnchor="middle"
            size={14}
            fontWeight={said === 'yes' ? 700 : 400}
            fill="var(--ink)"
            stroke="none"
            data-said={said}
          >
            {words.said[id](said)}
          </DrawnText>
        );
      })}
    </g>
  );
}

/** What clings to the blade, hatched. */
function Gum() {
  const strokes = Array.from({ length: 9 }, (_, at) => `M${52 + at * 13} ${AXIS + 16}l10 -32`);
  return (
    <path
      d={`M48 ${AXIS - 15}q30 -7 64 -1t68 0M48 ${AXIS + 15}q34 6 66 1t66 1${strokes.join('')}`}
      stroke="var(--lit)"
      strokeWidth="2"
    />
  );
}
