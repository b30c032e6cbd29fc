import { BOBBIN_MEASURES } from '@nodo/knowledge';
import { instruments } from '../messages/instruments.ts';
import { DrawnText } from './DrawnText.tsx';
import { type Box, TapSpots } from './Taps.tsx';

type BobbinMeasure = (typeof BOBBIN_MEASURES)[number];

const BOX: Box = [0, 0, 480, 250];
/** Round the arrow of each measure. */
const ARROWS = {
  across: [268, 192, 164, 58],
  width: [56, 196, 128, 54],
  hole: [316, 4, 68, 134],
} as const satisfies Readonly<Record<BobbinMeasure, readonly number[]>>;

/** A bobbin in section and from above, with the measures to take drawn where the caliper goes. */
export function BobbinToMeasure({
  sides,
  onMeasure,
  onSides,
}: {
  readonly sides: 'flat' | 'curved';
  /** The arrow of a measure was tapped. */
  readonly onMeasure: (measure: BobbinMeasure) => void;
  readonly onSides: (sides: 'flat' | 'curved') => void;
}) {
  const { measures, toMeasure, side } = instruments.bobbin.which;
  const other = sides === 'flat' ? 'curved' : 'flat';
  const spots = [
    ...BOBBIN_MEASURES.map((id) => ({ id, label: measures[id], at: ARROWS[id] })),
    { id: 'sides' as const, label: side[other], at: [56, 40, 128, 154] as const },
  ];
  const label = {
    size: 16,
    fontWeight: 600,
    fill: 'var(--ink)',
    textAnchor: 'middle',
  } as const;
  return (
    <TapSpots
      className="w-full max-w-120"
      box={BOX}
      spots={spots}
      onTap={(id) => (id === 'sides' ? onSides(other) : onMeasure(id))}
    >
      <svg viewBox={BOX.join(' ')} role="img" aria-label={toMeasure} fill="none" className="w-full">
        <g stroke="var(--ink)" strokeWidth="2.500" strokeLinejoin="round">
          {/* In section: two flanges, the hollow core, the thread wound between. */}
          <path d="M84 58h72v28h-72zM84 154h72v28h-72z" fill="var(--paper)" stroke="var(--below)" />
          <path
            d="M84 65h72M84 72h72M84 79h72M84 161h72M84 168h72M84 175h72"
            stroke="var(--below)"
          />
          <path d="M84 86h72v19h-72zM84 135h72v19h-72z" fill="var(--ink)" />
          <path
            d={
              sides === 'flat'
                ? 'M70 50h14v140h-14zM156 50h14v140h-14z'
                : 'M76 50h8v140h-8Q62 120 76 50zM156 50h8q14 70 0 140h-8z'
            }
            fill="var(--sunk)"
          />
          <path d="M70 105h100M70 135h100" />
          {/* From above: flange, core, hole. */}
          <circle cx="350" cy="120" r="70" fill="var(--sunk)" />
          <circle cx="350" cy="120" r="34" stroke="var(--edge)" />
          <circle cx="350" cy="120" r="15" fill="var(--paper)" />
        </g>
        <g stroke="var(--above)" strokeWidth="2">
          <Measured x1={70} y1={214} x2={170} y2={214} />
          <path d="M70 196v24M170 196v24" strokeDasharray="3 4" />
          <Measured x1={280} y1={214} x2={420} y2={214} />
          <path d="M280 124v96M420 124v96" strokeDasharray="3 4" />
          <Measured x1={335} y1={120} x2={365} y2={120} />
          <path d="M350 105V30" strokeDasharray="3 4" />
        </g>
        <DrawnText x="120" y="242" {...label}>
          {measures.width}
        </DrawnText>
        <DrawnText x="350" y="242" {...label}>
          {measures.across}
        </DrawnText>
        <DrawnText x="350" y="22" {...label}>
          {measures.hole}
        </DrawnText>
      </svg>
    </TapSpots>
  );
}

/** A measure between two points of one height, with its arrow heads. */
function Measured({ x1, y1, x2, y2 }: Readonly<Record<'x1' | 'y1' | 'x2' | 'y2', number>>) {
  return (
    <path
      d={`M${x1} ${y1}H${x2}M${x1 + 7} ${y1 - 5}L${x1} ${y1}l7 5M${x2 - 7} ${y2 - 5}L${x2} ${y2}l-7 5`}
    />
  );
}
