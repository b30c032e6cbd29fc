import { hourOf, pointOn } from '@nodo/core';
import type { Family } from '@nodo/knowledge';
import { CaseDetail } from '../../../drawing/detail/below.tsx';
import { type Box, TapSpots } from '../../../drawing/Taps.tsx';
import { instruments } from '../../../messages/instruments.ts';

const BOX: Box = [0, 0, 240, 170];
/** The middle of the case in its drawing, and how far out a thread is drawn to hang. */
const MIDDLE = [104, 86] as const;
const RIM = 54;
const HOUR_SPOT = 28;
const HOURS = Array.from({ length: 12 }, (_, at) => at + 1);

/** What was seen on the case, as far as somebody looked. */
export interface CaseSeen {
  readonly seat: 'seated' | 'off' | undefined;
  readonly spring: 'clean' | 'lint' | undefined;
  /** By the clock. */
  readonly hour: number | null;
}

/** The case with its stop and its spring to tap; the hours instead, once it is asked where the thread hangs. */
export function CaseDrawing({
  family,
  seen,
  asksHour,
  onSeat,
  onSpring,
  onHour,
}: {
  readonly family: Family;
  readonly seen: CaseSeen;
  readonly asksHour: boolean;
  readonly onSeat: () => void;
  readonly onSpring: () => void;
  readonly onHour: (hour: number) => void;
}) {
  const words = instruments.bobbinCase;
  const isDropIn = family.traits.includes('drop-in');
  const hours = HOURS.map((hour) => {
    const [x, y] = onRim(hour);
    return {
      id: String(hour),
      label: words.hang.hourAt(hour),
      at: [x - HOUR_SPOT / 2, y - HOUR_SPOT / 2, HOUR_SPOT, HOUR_SPOT] as const,
    };
  });
  const parts = [
    {
      id: 'seat',
      label: words.seat.tap,
      at: isDropIn ? ([34, 92, 34, 34] as const) : ([88, 8, 32, 32] as const),
    },
    { id: 'spring', label: words.spring.tap, at: [124, 96, 38, 42] as const },
  ];
  return (
    <TapSpots
      className="w-full max-w-96"
      box={BOX}
      spots={asksHour ? hours : parts}
      onTap={(id) => {
        if (id === 'seat') onSeat();
        else if (id === 'spring') onSpring();
        else onHour(Number(id));
      }}
    >
      <CaseDetail family={family} place="case" presserDown={false} isWide>
        <g stroke="var(--lit)">
          {seen.seat === 'off' && (
            <path
              data-seen="off"
              d={
                isDropIn
                  ? 'M42 115L52 102M47 117L58 103M53 114L61 107'
                  : 'M92 14L84 6M98 12L92 3M116 14L124 6'
              }
              strokeWidth="3"
            />
          )}
          {seen.spring === 'lint' && (
            <path
              data-seen="lint"
              d="M134 124l8 8M140 118l9 9M145 112l9 9M150 106l8 8"
              strokeWidth="2.400"
            />
          )}
          {seen.hour !== null && (
            <circle
              data-seen="hour"
              cx={onRim(seen.hour)[0]}
              cy={onRim(seen.hour)[1]}
              r="7"
              fill="var(--lit)"
            />
          )}
        </g>
      </CaseDetail>
    </TapSpots>
  );
}

function onRim(hour: number): readonly [x: number, y: number] {
  const { x, y } = pointOn({ hour: hourOf(hour % 12), out: 1 });
  return [MIDDLE[0] + x * RIM, MIDDLE[1] + y * RIM];
}
