import { instruments } from '../messages/instruments.ts';
import { DrawnText } from './DrawnText.tsx';
import { ScaleBar } from './needle/NeedleViews.tsx';
import { type Box, TapPlace } from './Taps.tsx';

/** A bobbin's room for thread and how far it is wound, in millimetres across; the width between its flanges. */
export interface BobbinRoom {
  readonly full: number;
  readonly core: number;
  readonly width: number;
  readonly winding: number;
}

/** How thick a flange is drawn, and how far it stands over a full winding. */
const FLANGE = 0.9;
const OVER = 0.5;
/** Half of the hole in the core, as a share of it; ours, to be seen. */
const HOLE = 0.7;
/** Strokes of thread that are drawn over the height of a full winding. */
const LAYERS = 9;

/** A bobbin in section, to scale, as full as it is: a tap says how far its winding reaches. */
export function BobbinFill({
  room: { full, core, width, winding },
  figure,
  onWinding,
}: {
  readonly room: BobbinRoom;
  /** The winding as it is written. */
  readonly figure: string;
  /** Tapped so far out, mm across, to half a millimetre. */
  readonly onWinding: (across: number) => void;
}) {
  const words = instruments.bobbin.left;
  const half = full / 2 + OVER;
  const [w, r, c] = [width / 2, winding / 2, core / 2];
  const letters = full / 18;
  const box: Box = [-w - full * 0.3, -half - full * 0.1, width + full * 0.9, 2 * half + full * 0.3];
  const step = (full - core) / 2 / LAYERS;
  const layers = Array.from({ length: LAYERS }, (_, at) => c + (at + 0.5) * step).filter(
    (at) => at < r,
  );
  return (
    <TapPlace
      className="w-full max-w-120"
      box={box}
      label={words.tap}
      onTap={(_, y) =>
        onWinding(Math.round(2 * Math.max(core, Math.min(full, 2 * Math.abs(y)))) / 2)
      }
    >
      <svg
        viewBox={box.join(' ')}
        role="img"
        aria-label={words.drawing(figure)}
        className="w-full"
        fill="none"
        stroke="var(--ink)"
        strokeWidth={full / 120}
        strokeLinejoin="round"
      >
        {[1, -1].map((side) => (
          <g key={side} transform={`scale(1 ${side})`}>
            <path
              d={`M${-w} ${full / 2}H${w}`}
              stroke="var(--edge)"
              strokeDasharray={`${full / 40} ${full / 40}`}
            />
            <rect
              data-wound={side > 0 || undefined}
              x={-w}
              y={c}
              width={width}
              height={Math.max(0, r - c)}
              fill="var(--paper)"
              stroke="var(--below)"
            />
            <path
              d={layers.map((y) => `M${-w} ${y}H${w}`).join('')}
              stroke="var(--below)"
              strokeWidth={full / 160}
            />
            <rect x={-w} y={c * HOLE} width={width} height={c * (1 - HOLE)} fill="var(--ink)" />
          </g>
        ))}
        {[-w - FLANGE, w].map((x) => (
          <rect key={x} x={x} y={-half} width={FLANGE} height={2 * half} fill="var(--sunk)" />
        ))}
        {/* The winding across, with its figure. */}
        <path
          d={`M${w + FLANGE + full * 0.04} ${-r}H${w + full * 0.16}M${w + FLANGE + full * 0.04} ${r}H${w + full * 0.16}M${w + full * 0.13} ${-r}V${r}`}
          stroke="var(--above)"
        />
        <DrawnText
          x={w + full * 0.19}
          y={letters / 3}
          size={letters}
          fontWeight={600}
          fill="var(--ink)"
          stroke="none"
        >
          {figure}
        </DrawnText>
        <ScaleBar
          x={-w - FLANGE}
          y={half + full * 0.16}
          length={5}
          label={words.bar(5)}
          letters={letters * 0.9}
        />
      </svg>
    </TapPlace>
  );
}
