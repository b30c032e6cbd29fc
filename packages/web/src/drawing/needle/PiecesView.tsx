import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';
import { type Box, TapPlace } from '../Taps.tsx';
import { ScaleBar } from './NeedleViews.tsx';
import type { NeedleShape } from './shape.ts';
import { bladeOutline, eyeSpan } from './shape.ts';

/** Pixels a millimetre. */
const PIECES_SCALE = 11;
const FILLS = ['var(--lit)', 'var(--edge)'] as const;

/** A whole needle lying, filled from its top by the pieces that were found, in the order of recording. */
export function PiecesView({
  shape,
  whole,
  pieces,
  account,
  label,
  onTap,
}: {
  readonly shape: NeedleShape;
  readonly whole: number;
  readonly pieces: readonly number[];
  readonly account: string;
  readonly label: string;
  /** Tapped so many millimetres from the top of its shank. */
  readonly onTap: (mm: number) => void;
}) {
  const { system } = shape;
  const drawn = { ...shape, system: { ...system, whole: whole as typeof system.whole } };
  const [eyeTop, eyeEnd] = eyeSpan(drawn);
  const starts = pieces.map((_, index) =>
    pieces.slice(0, index).reduce((sum, one) => sum + one, 0),
  );
  const r = system.shank / 2;
  const words = instruments.needle.drawing;
  const box: Box = [-1, -2.7, whole + 2, 7.4];
  return (
    <TapPlace box={box} label={label} onTap={onTap}>
      <svg
        data-scale={PIECES_SCALE}
        width={box[2] * PIECES_SCALE}
        height={box[3] * PIECES_SCALE}
        viewBox={box.join(' ')}
        role="img"
        aria-label={account}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="0.1"
        className="max-w-full"
      >
        <defs>
          <clipPath id="whole-needle">
            <path d={`M0 ${-r}H${system.shankLength}V${r}H0Z`} />
            <path d={bladeOutline(drawn, 'side', 90)} transform="rotate(-90)" />
          </clipPath>
        </defs>
        <g strokeDasharray="0.5 0.35" stroke="var(--edge)">
          <path d={`M0 ${-r}H${system.shankLength}V${r}H0Z`} />
          <path d={bladeOutline(drawn, 'side', 90)} transform="rotate(-90)" />
        </g>
        <g clipPath="url(#whole-needle)" stroke="none">
          {pieces.map((length, index) => (
            <rect
              // biome-ignore lint/suspicious/noArrayIndexKey: pieces differ by their position alone
              key={index}
              data-piece={index + 1}
              x={starts[index]}
              y={-1.4}
              width={length}
              height={2.8}
              fill={FILLS[index % 2]}
            />
          ))}
        </g>
        {pieces.map((length, index) => (
          <DrawnText
            // biome-ignore lint/suspicious/noArrayIndexKey: as above
            key={index}
            x={(starts[index] ?? 0) + length / 2}
            y={-1.5}
            textAnchor="middle"
            size={1.3}
            fill="var(--ink)"
            stroke="none"
          >
            {index + 1}
          </DrawnText>
        ))}
        <ellipse
          cx={(eyeTop + eyeEnd) / 2}
          cy={0}
          rx={(eyeEnd - eyeTop) / 2}
          ry={0.16}
          fill="var(--ground)"
          strokeWidth="0.06"
        />
        <ScaleBar x={0} y={4.3} length={10} label={words.bar(10)} letters={1.3} />
      </svg>
    </TapPlace>
  );
}
