import type { Family, Place } from '@nodo/knowledge';
import type { ReactNode } from 'react';
import { DrawnText } from '../DrawnText.tsx';
import { LineDrawing } from '../LineDrawing.tsx';

/** What a detail is drawn from: the family, the place, and how the presser stands in the check. */
export interface DetailProps {
  readonly place: Place;
  readonly family: Family;
  readonly presserDown: boolean;
}

export const has = ({ traits }: Family, trait: string): boolean => traits.includes(trait);

/** Line and paper of every detail, in its 240 x 170 box. */
export function Sheet({
  account,
  isWide = false,
  children,
}: {
  readonly account: string;
  /** As wide as it may be; else as a detail stands beside a check. */
  readonly isWide?: boolean | undefined;
  readonly children: ReactNode;
}) {
  return (
    <LineDrawing
      box={[0, 0, 240, 170]}
      account={account}
      data-detail
      className={isWide ? 'w-full' : 'w-60 max-w-full shrink-0'}
    >
      {children}
    </LineDrawing>
  );
}

/** A word, and a thin line to what it means. */
export function Word({
  x,
  y,
  to,
  anchor = 'start',
  lit = false,
  children,
}: {
  readonly x: number;
  readonly y: number;
  readonly to?: readonly [number, number];
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly lit?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <g>
      {to && (
        <path
          d={`M${leaderFrom(x, y, anchor, to).join(' ')}L${to.join(' ')}`}
          stroke="var(--edge)"
          strokeWidth="1.2"
        />
      )}
      <DrawnText
        x={x}
        y={y}
        textAnchor={anchor}
        size={12}
        fontWeight={lit ? 700 : 500}
        fill="var(--ink)"
        stroke="var(--paper)"
        strokeWidth="3"
        paintOrder="stroke"
      >
        {children}
      </DrawnText>
    </g>
  );
}

/** Where the line to a part leaves its word: from the side that looks at it, else from above or below, never through it. */
function leaderFrom(
  x: number,
  y: number,
  anchor: 'start' | 'middle' | 'end',
  [toX, toY]: readonly [number, number],
): readonly [number, number] {
  if (anchor === 'start' && toX < x) return [x - 3, y - 4];
  if (anchor === 'end' && toX > x) return [x + 3, y - 4];
  const inside = anchor === 'start' ? x + 12 : anchor === 'end' ? x - 12 : x;
  return [inside, toY < y ? y - 14 : y + 5];
}

/** The hours round a part, by which marks on it are named. */
export function ClockRing({
  x,
  y,
  r,
}: {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}) {
  const hours = Array.from({ length: 12 }, (_, hour) => hour + 1);
  return (
    <g stroke="var(--edge)" strokeWidth="1.4">
      {hours.map((hour) => {
        const angle = (hour / 6) * Math.PI;
        const at = (radius: number) =>
          `${(x + radius * Math.sin(angle)).toFixed(1)} ${(y - radius * Math.cos(angle)).toFixed(1)}`;
        const [tx, ty] = at(r + 11).split(' ');
        return (
          <g key={hour}>
            <path d={`M${at(r)}L${at(r + (hour % 3 === 0 ? 5 : 3))}`} />
            {hour % 3 === 0 && (
              <DrawnText
                x={tx}
                y={Number(ty) + 4}
                textAnchor="middle"
                size={11}
                fill="var(--quiet)"
                stroke="none"
              >
                {hour}
              </DrawnText>
            )}
          </g>
        );
      })}
    </g>
  );
}
