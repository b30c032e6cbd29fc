import { CARD, type SampleSide } from '@nodo/core';
import { DrawnText } from '../../../drawing/DrawnText.tsx';
import { instruments } from '../../../messages/instruments.ts';

/** How the sample lies on the card, drawn: before a picture of it is there. */
export function CardLaid({ side }: { readonly side: SampleSide }) {
  const { width, height, frame, ring, dot, hollow, arrow } = CARD;
  const middle = (frame.top + frame.bottom) / 2;
  return (
    <svg
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      role="img"
      aria-label={instruments.sample.laid[side]}
      className="w-60 max-w-full"
    >
      <rect width={width} height={height} rx="2" fill="var(--paper)" stroke="var(--edge)" />
      {CARD.marks.map(({ x, y }, index) => (
        <g key={`${x} ${y}`}>
          <circle
            cx={x}
            cy={y}
            r={(ring.outer + ring.inner) / 2}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={ring.outer - ring.inner}
          />
          <circle cx={x} cy={y} r={dot} fill="var(--ink)" />
          {index === 0 && <circle cx={x} cy={y} r={hollow} fill="var(--paper)" />}
        </g>
      ))}
      <rect
        x={frame.left}
        y={frame.top}
        width={frame.right - frame.left}
        height={frame.bottom - frame.top}
        fill="var(--cloth)"
      />
      <path
        d={`M${frame.left + 8} ${middle}H${frame.right - 8}`}
        stroke={side === 'top' ? 'var(--above)' : 'var(--below)'}
        strokeWidth="1.6"
        strokeDasharray="4 1.4"
      />
      <path
        d={`M${arrow.left} ${arrow.y}H${arrow.right}m-3 -2l3 2l-3 2`}
        stroke="var(--ink)"
        strokeWidth=".7"
        fill="none"
      />
      <DrawnText x={arrow.right + 3} y={arrow.y + 1.6} size={5} fill="var(--ink)">
        {instruments.sample.sewnThisWay}
      </DrawnText>
    </svg>
  );
}
