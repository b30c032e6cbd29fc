import { instruments } from '../messages/instruments.ts';
import { DrawnText } from './DrawnText.tsx';
import { LineDrawing } from './LineDrawing.tsx';
import { type Box, TapSpots } from './Taps.tsx';

const BOX: Box = [0, 0, 440, 216];
/** The three moments, from left to right; where the hand and the case are in each. */
const MOMENTS = [
  { x: 116, hand: 14, case: 84 },
  { x: 238, hand: 58, case: 128 },
  { x: 346, hand: 58, case: 166 },
] as const;
/** A case is so tall. */
const TALL = 36;
/** Where each measure is tapped. */
const SPOTS = {
  free: [0, 14, 92, 72],
  grams: [92, 84, 48, 56],
  fall: [146, 12, 62, 54],
  slip: [370, 116, 70, 60],
} as const;
type Measure = keyof typeof SPOTS;

/** The hanging test in three moments, with what is measured in each; a measure that is tapped is asked for. */
export function HangingCase({ onMeasure }: { readonly onMeasure: (measure: Measure) => void }) {
  const words = instruments.bobbin.tension.hang;
  const measures = Object.keys(SPOTS) as Measure[];
  const [still, fallen, slid] = MOMENTS;
  return (
    <TapSpots
      className="w-full max-w-120"
      box={BOX}
      spots={measures.map((id) => ({ id, label: words.parts[id], at: SPOTS[id] }))}
      onTap={onMeasure}
    >
      <LineDrawing box={BOX} account={words.drawing} className="w-full">
        {MOMENTS.map(({ x, hand, case: at }) => (
          <g key={x}>
            <path d={`M${x} ${hand}V${at}`} stroke="var(--below)" strokeWidth="2.500" />
            {/* Thumb and finger. */}
            <path
              d={`M${x - 22} ${hand - 8}Q${x - 8} ${hand - 4} ${x - 1} ${hand + 4}M${x + 22} ${hand - 8}Q${x + 8} ${hand - 4} ${x + 1} ${hand + 4}`}
              strokeWidth="3"
            />
            <rect x={x - 20} y={at} width="40" height={TALL} rx="6" fill="var(--sunk)" />
            <path
              d={`M${x - 12} ${at + 12}H${x + 12}M${x - 12} ${at + 20}H${x + 12}`}
              stroke="var(--edge)"
            />
          </g>
        ))}
        <g stroke="var(--above)">
          <Span x={82} from={still.hand} to={still.case} />
          <Span x={196} from={still.hand} to={fallen.hand} />
          <Span x={380} from={fallen.case} to={slid.case} />
        </g>
        <path
          d={`M136 ${still.case}H370M${fallen.x + 20} ${fallen.case}H384`}
          stroke="var(--edge)"
          strokeDasharray="4 5"
          strokeWidth="1.2"
        />
        {(
          [
            ['free', 74, 54, 'end'],
            ['grams', still.x, still.case + TALL + 18, 'middle'],
            ['fall', 188, 42, 'end'],
            ['slip', 388, 152, 'start'],
          ] as const
        ).map(([id, x, y, anchor]) => (
          <DrawnText
            key={id}
            x={x}
            y={y}
            textAnchor={anchor}
            size={14}
            fontWeight={600}
            fill="var(--ink)"
            stroke="none"
          >
            {words.parts[id]}
          </DrawnText>
        ))}
      </LineDrawing>
    </TapSpots>
  );
}

/** A measure from one height to another, with its arrow heads. */
function Span({ x, from, to }: Readonly<Record<'x' | 'from' | 'to', number>>) {
  return (
    <path
      d={`M${x} ${from}V${to}M${x - 5} ${from + 7}L${x} ${from}l5 7M${x - 5} ${to - 7}L${x} ${to}l5 -7`}
    />
  );
}
