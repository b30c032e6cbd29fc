import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { instruments } from '../../../messages/instruments.ts';

/** Steps that a key turns on: one degree, and ten. */
const KEYS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
};
const SPOKES = [0, 72, 144, 216, 288];

/** The hand wheel, from its own side: turned by dragging round it, by arrow keys, towards whoever sits before it. */
export function HandWheel({
  step,
  steps,
  account,
  onTurn,
}: {
  readonly step: number;
  readonly steps: number;
  /** What stands where, told as it is turned. */
  readonly account: string;
  readonly onTurn: (step: number) => void;
}) {
  const grip = useRef<{ readonly angle: number; readonly step: number } | undefined>(undefined);
  const perDegree = steps / 360;
  const degrees = Math.round(step / perDegree);
  const words = instruments.stitch.wheel;

  const down = (event: PointerEvent<HTMLDivElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { angle: angleAt(event), step };
  };
  const move = (event: PointerEvent<HTMLDivElement>) => {
    const held = grip.current;
    if (!held) return;
    const angle = angleAt(event);
    const turned = ((angle - held.angle + 540) % 360) - 180;
    const next = held.step + turned * perDegree;
    grip.current = { angle, step: next };
    onTurn(next);
  };
  const key = (event: KeyboardEvent) => {
    const by = KEYS[event.key];
    const to = event.key === 'Home' ? 0 : event.key === 'End' ? steps / 2 : undefined;
    if (by === undefined && to === undefined) return;
    event.preventDefault();
    onTurn(to ?? step + (by ?? 0) * perDegree);
  };
  const letGo = () => {
    grip.current = undefined;
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={words.name}
      aria-valuemin={0}
      aria-valuemax={359}
      aria-valuenow={degrees % 360}
      aria-valuetext={words.at(degrees % 360, account)}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      onKeyDown={key}
      className="size-26 shrink-0 cursor-grab touch-none rounded-full active:cursor-grabbing"
      data-wheel
    >
      <svg viewBox="-50 -50 100 100" aria-hidden fill="none" stroke="var(--ink)" strokeWidth="2.5">
        <circle r="44" fill="var(--sunk)" />
        <circle r="36" stroke="var(--edge)" strokeWidth="1.5" />
        {/* From its own side the operator sits at the left: towards them is against the clock. */}
        <g transform={`rotate(${-degrees})`}>
          {SPOKES.map((angle) => (
            <path
              key={angle}
              d="M0 -11V-35"
              stroke="var(--edge)"
              strokeWidth="4"
              transform={`rotate(${angle})`}
            />
          ))}
          <circle cy="-40" r="3.5" fill="var(--ink)" stroke="none" />
        </g>
        <circle r="11" fill="var(--paper)" />
        <path d="M-22 -22a31 31 0 0 0 -9 16m-4 -6l4 7 6 -5" strokeLinecap="round" />
      </svg>
    </div>
  );
}

/** Degrees against the clock round the middle of what is dragged. */
function angleAt({ currentTarget, clientX, clientY }: PointerEvent<HTMLDivElement>): number {
  const { left, top, width, height } = currentTarget.getBoundingClientRect();
  return (-Math.atan2(clientY - top - height / 2, clientX - left - width / 2) * 180) / Math.PI;
}
