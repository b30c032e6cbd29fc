import { type ClockPlace, hourOf, pointOn } from '@nodo/core';
import { DrawnText } from './DrawnText.tsx';

const HOURS = Array.from({ length: 12 }, (_, at) => hourOf(at));

/** Every third hour stands out. */
function isQuarter(hour: number): boolean {
  return hour % 3 === 0;
}

/** Where a place by the clock lies on a ring of a radius, its middle at 0, as an SVG path writes it. */
export function onRing(place: ClockPlace, radius: number): readonly [x: number, y: number] {
  const { x, y } = pointOn(place);
  return [Number((x * radius).toFixed(2)), Number((y * radius).toFixed(2))];
}

/** A clock's face with its hours as ticks outside of it, and their numbers where asked for. */
export function ClockRing({
  radius,
  tick,
  weight = 1,
  numbers = false,
}: {
  readonly radius: number;
  /** Length of a tick. */
  readonly tick: number;
  /** How heavily it is drawn. */
  readonly weight?: number;
  readonly numbers?: boolean;
}) {
  return (
    <g>
      <circle r={radius} fill="var(--sunk)" stroke="var(--edge)" strokeWidth={0.8 * weight} />
      {HOURS.map((hour) => {
        const inner = onRing({ hour, out: 1 }, radius);
        const outer = onRing({ hour, out: 1 }, radius + tick);
        const [x, y] = onRing({ hour, out: 1 }, radius + tick + 5);
        return (
          <g key={hour}>
            <path
              d={`M${inner.join(' ')}L${outer.join(' ')}`}
              stroke="var(--edge)"
              strokeWidth={(isQuarter(hour) ? 1.6 : 0.8) * weight}
            />
            {numbers && (
              <DrawnText
                x={x}
                y={y + 2}
                textAnchor="middle"
                size={isQuarter(hour) ? 6.4 : 5}
                fontWeight={isQuarter(hour) ? 700 : 400}
                fill="var(--quiet)"
                stroke="none"
              >
                {hour === 0 ? 12 : hour}
              </DrawnText>
            )}
          </g>
        );
      })}
    </g>
  );
}
