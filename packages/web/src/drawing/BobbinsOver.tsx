import type { BobbinClass, MeasuredBobbin } from '@nodo/knowledge';
import { instruments } from '../messages/instruments.ts';
import { DrawnText } from './DrawnText.tsx';
import { ScaleBar } from './needle/NeedleViews.tsx';

/** Pixels a millimetre. */
const BOBBIN_SCALE = 7;
const HALF = 14;
/** How far curved sides stand out; ours, to be seen. */
const BULGE = 1.4;

/** A measured bobbin over one of a class, from the side and from above, to one scale. */
export function BobbinsOver({
  measured,
  hole,
  other,
}: {
  readonly measured: MeasuredBobbin;
  /** Across, mm, where it was measured. */
  readonly hole: number | undefined;
  readonly other: BobbinClass;
}) {
  const words = instruments.bobbin.which;
  const width = other.width ?? measured.width;
  return (
    <svg
      data-scale={BOBBIN_SCALE}
      width={4 * HALF * BOBBIN_SCALE}
      height={(2 * HALF + 3) * BOBBIN_SCALE}
      viewBox={`${-HALF} ${-HALF} ${4 * HALF} ${2 * HALF + 3}`}
      role="img"
      aria-label={words.drawing(other.title)}
      fill="none"
      strokeWidth="0.25"
      className="max-w-full"
    >
      <g stroke="var(--edge)" strokeDasharray="0.9 0.6">
        <path d={fromSide(other.across, width, other.sides)} fill="var(--sunk)" />
        <circle cx={2 * HALF} r={other.across / 2} fill="var(--sunk)" />
      </g>
      <g stroke="var(--lit)" strokeWidth="0.4">
        <path data-measured d={fromSide(measured.across, measured.width, measured.sides)} />
        <circle cx={2 * HALF} r={measured.across / 2} />
        {hole !== undefined && <circle data-hole cx={2 * HALF} r={hole / 2} />}
      </g>
      <DrawnText x={0} y={HALF + 1.4} textAnchor="middle" size={1.5} fill="var(--ink)">
        {`${other.title} - - -   ${words.measured} ——`}
      </DrawnText>
      <ScaleBar x={2 * HALF - 5} y={HALF + 2} length={10} label={words.bar(10)} letters={1.4} />
    </svg>
  );
}

function fromSide(across: number, width: number, sides: 'flat' | 'curved'): string {
  const [r, w] = [across / 2, width / 2];
  if (sides === 'flat') return `M${-w} ${-r}H${w}V${r}H${-w}Z`;
  return `M${-w} ${-r}H${w}Q${w + BULGE} 0 ${w} ${r}H${-w}Q${-w - BULGE} 0 ${-w} ${-r}Z`;
}
