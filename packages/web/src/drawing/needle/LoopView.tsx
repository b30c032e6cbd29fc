import type { SeatEffect } from '@nodo/core';
import type { NeedleSystem } from '@nodo/knowledge';
import { instruments } from '../../messages/instruments.ts';
import { DrawnText } from '../DrawnText.tsx';
import { ScaleBar } from './NeedleViews.tsx';

/** Pixels a millimetre. */
const LOOP_SCALE = 34;
const LOOP_STEPS = 40;
/** The needle's axis from the left: its loop behind it, or on the other side. */
const AXIS = 0.9;
const AXIS_BACKWARD = 2.75;
/** How far below the eye the picture goes. */
const BELOW_EYE = 1.6;
const WIDE = 5;
const TOP = 0.5;

/** The needle's blade from the side at its eye, the loop behind it, and where the hook comes by. */
export function LoopView({
  effect,
  right,
  blade,
  system,
  account,
}: {
  readonly effect: SeatEffect;
  /** The same needle when it sits right, drawn dashed. */
  readonly right: SeatEffect;
  readonly blade: number;
  readonly system: NeedleSystem;
  readonly account: string;
}) {
  const { chord } = right.loop;
  const tall = chord + BELOW_EYE + TOP;
  const r = blade / 2;
  const isBackward = effect.towards === 0 && effect.loop.bulge > 0;
  const axis = isBackward ? AXIS_BACKWARD : AXIS;
  const floor = r - system.scarfDepth;
  const y = (above: number) => TOP + chord - above;
  const hookAt = axis + (isBackward ? r : floor) + Math.max(-0.1, Math.min(effect.gap, 0.6));
  const words = instruments.needle.drawing;
  return (
    <svg
      data-scale={LOOP_SCALE}
      width={WIDE * LOOP_SCALE}
      height={tall * LOOP_SCALE}
      viewBox={`0 0 ${WIDE} ${tall}`}
      role="img"
      aria-label={account}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="0.04"
      className="max-w-full shrink-0"
    >
      <path d={`M0 ${TOP}H${WIDE}V${TOP - 0.3}H0Z`} fill="var(--cloth)" stroke="var(--edge)" />
      <g transform={`translate(${axis} 0)${isBackward ? ' scale(-1 1)' : ''}`}>
        <path
          d={`M${-r} ${TOP}V${y(-BELOW_EYE + 0.6)}L0 ${tall}L${r} ${y(-BELOW_EYE + 0.6)}V${y(-0.1)}L${floor} ${y(0.25)}V${y(system.scarfLength - 0.8)}L${r} ${y(system.scarfLength)}V${TOP}Z`}
          fill="var(--paper)"
        />
        <path
          d={`M${-r} ${y(0)}H${floor}M${-r} ${y(-1.6 * blade)}H${r}`}
          strokeWidth="0.03"
          strokeDasharray="0.1 0.08"
        />
        {!isBackward && (
          <path
            d={curve(right, floor, y, 1)}
            stroke="var(--edge)"
            strokeWidth="0.05"
            strokeDasharray="0.14 0.1"
          />
        )}
        <path
          d={curve(effect, floor, y, isBackward ? 1 : seenShare(effect))}
          stroke="var(--above)"
          strokeWidth="0.11"
        />
      </g>
      <g transform={`translate(${hookAt} ${y(effect.meetsAt)})`}>
        <path d="M0 0L0.9 -0.34H3V0.5H0.7Z" fill="var(--sunk)" />
        <DrawnText x={0.95} y={0.24} size={0.36} fill="var(--ink)" stroke="none">
          {words.hook}
        </DrawnText>
      </g>
      <ScaleBar
        x={isBackward ? 0.2 : 2.2}
        y={tall - 0.2}
        length={1}
        label={words.bar(1)}
        letters={0.34}
      />
    </svg>
  );
}

/** What share of the loop is seen from the side: all of it when it stands towards the hook. */
function seenShare({ loop, meetsAt, towards }: SeatEffect): number {
  const whole = loop.reachAt(meetsAt);
  return whole > 0 ? towards / whole : 0;
}

function curve(
  { loop }: SeatEffect,
  x: number,
  y: (above: number) => number,
  share: number,
): string {
  const points = loop
    .outline(LOOP_STEPS)
    .map(({ above, out }) => `${(x + out * share).toFixed(3)} ${y(above).toFixed(3)}`);
  return `M${points.join('L')}`;
}
