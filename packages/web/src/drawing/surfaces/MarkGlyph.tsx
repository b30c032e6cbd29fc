import type { Mark } from '@nodo/ticket';
import { DrawnText } from '../DrawnText.tsx';

/** Smallest half length at which its kind can still be recognised on the map: what is shorter is drawn so long. */
const LEAST = 3.2;

/**
 * A mark as its kind looks from the side: a hump, a dent, a line along the hour, a hole. To the map's scale
 * along its length; dashed and pale when an earlier visit found it, with a tick when it was dressed.
 */
export function MarkGlyph({
  mark: { kind, hour, length, end },
  at: [x, y],
  scale,
  label,
  isEarlier = false,
}: {
  readonly mark: Mark;
  readonly at: readonly [x: number, y: number];
  /** Lengths on the sheet a millimetre is. */
  readonly scale: number;
  readonly label?: string;
  readonly isEarlier?: boolean;
}) {
  const half = Math.max(LEAST, (length * scale) / 2);
  const stroke = isEarlier ? 'var(--quiet)' : 'var(--lit)';
  const fill = isEarlier || end ? 'var(--paper)' : 'var(--lit)';
  return (
    <g
      data-mark={kind}
      data-earlier={isEarlier || undefined}
      data-end={end?.how}
      stroke={stroke}
      strokeWidth={isEarlier ? 0.9 : 1.3}
      strokeLinecap={isEarlier ? 'butt' : 'round'}
      strokeDasharray={isEarlier ? '1.1 0.8' : undefined}
    >
      <g transform={`translate(${x.toFixed(2)} ${y.toFixed(2)}) rotate(${hour * 30})`}>
        {kind === 'raised' && <path d={`M${-half} 1.4Q0 -5.4 ${half} 1.4Z`} fill={fill} />}
        {kind === 'depression' && (
          <path d={`M${-half} -1.2Q0 5 ${half} -1.2`} fill="var(--paper)" />
        )}
        {kind === 'scratch' && <path d={`M${-half} 0H${half}`} strokeWidth="1.8" />}
        {kind === 'pierced' && (
          <>
            <ellipse rx={half} ry="2.8" fill="var(--paper)" />
            <path d={`M${-half} 0H${half}M0 -2.8V2.8`} />
          </>
        )}
      </g>
      {end && (
        <path
          d={`M${x + 3} ${y - 4}l1.6 1.8l3 -4`}
          stroke="var(--below)"
          strokeWidth="1.1"
          strokeLinecap="round"
          strokeDasharray="none"
        />
      )}
      {label && (
        <DrawnText
          x={x + half + 2.6}
          y={y + 6}
          size={6}
          fontWeight="700"
          fill="var(--ink)"
          stroke="var(--paper)"
          strokeWidth="1.8"
          strokeDasharray="none"
          paintOrder="stroke"
        >
          {label}
        </DrawnText>
      )}
    </g>
  );
}
