import { BOBBIN_TURNS, type BobbinTurn } from '@nodo/knowledge';
import { instruments } from '../messages/instruments.ts';
import { DrawnText } from './DrawnText.tsx';
import { LineDrawing } from './LineDrawing.tsx';
import { type Box, TapSpots } from './Taps.tsx';

const BOX: Box = [-80, -56, 160, 112];
/** Arrows of both ways at the foot of the bobbin, where it moves to the right as it turns anticlockwise. */
const ARROWS = {
  anticlockwise: { path: 'M3 27A27 27 0 0 0 20 18M11 17L21 17L20 27', at: [1, 8, 34, 28] },
  clockwise: { path: 'M-3 27A27 27 0 0 1 -20 18M-11 17L-21 17L-20 27', at: [-35, 8, 34, 28] },
} as const;

/**
 * A bobbin in its case from the open side, turning as it should; still where nobody knows the way. Taps say which way
 * it was seen to turn, and whether its thread lies under the spring.
 */
export function BobbinTurns({
  turn,
  seen,
  isUnder,
  onTurn,
  onSpring,
}: {
  /** The way it should turn. */
  readonly turn: BobbinTurn | undefined;
  readonly seen: BobbinTurn | undefined;
  /** Whether the thread lies under the spring; undefined while nobody looked. */
  readonly isUnder: boolean | undefined;
  readonly onTurn: (turn: BobbinTurn) => void;
  readonly onSpring: () => void;
}) {
  const words = instruments.bobbinCondition.turns;
  const isMirrored = turn === 'clockwise';
  const account = turn ? words.drawing(words.answers[turn]) : words.drawingUnknown;
  const isOff = isUnder === false;
  return (
    <TapSpots
      className="w-full max-w-96"
      box={BOX}
      spots={[
        ...BOBBIN_TURNS.map((id) => ({
          id,
          label: words.tapTurn(words.answers[id]),
          at: ARROWS[id].at,
        })),
        {
          id: 'spring' as const,
          label: words.tapSpring,
          at: [isMirrored ? 38 : -66, -42, 28, 54] as const,
        },
      ]}
      onTap={(id) => (id === 'spring' ? onSpring() : onTurn(id))}
    >
      <LineDrawing
        box={BOX}
        account={account}
        data-turn={turn}
        className="w-full"
        strokeWidth="1.4"
      >
        <g transform={isMirrored ? 'scale(-1 1)' : undefined}>
          {/* The wall of the case with its slot, which leans the way the bobbin turns. */}
          <path d="M-26 -44A51 51 0 1 1 -43 -27" stroke="var(--edge)" strokeWidth="5" />
          <path d="M-26 -44L-37 -22M-43 -27L-50 -12" stroke="var(--lit)" strokeWidth="2" />
          <g className={turn && 'bobbin-turning'} data-testid="turning">
            <circle r="36" fill="var(--sunk)" />
            {[30, 24, 18].map((r) => (
              <circle key={r} r={r} stroke="var(--below)" strokeWidth="1" />
            ))}
            <circle r="9" fill="var(--paper)" />
            {[0, 120, 240].map((angle) => (
              <circle
                key={angle}
                cy="-33"
                r="1.6"
                transform={`rotate(${angle})`}
                fill="var(--ink)"
              />
            ))}
          </g>
          <path
            data-thread={isOff ? 'off' : 'under'}
            d={
              isOff
                ? 'M0 -36C-14 -38 -26 -38 -34 -38L-70 -30'
                : 'M0 -36C-14 -38 -26 -36 -33 -32L-54 0'
            }
            stroke="var(--below)"
            strokeWidth="2.2"
          />
          <path
            d="M-45 -32L-56 -8"
            stroke="var(--lit)"
            strokeWidth={isOff ? 4.4 : 3.4}
            opacity={isOff ? 1 : 0.55}
          />
          {turn && (
            <path
              d="M17 -21A27 27 0 0 0 -17 -21M-9 -26L-18 -20L-8 -15"
              stroke="var(--lit)"
              strokeWidth="2.4"
            />
          )}
        </g>
        {BOBBIN_TURNS.map((way) => (
          <path
            key={way}
            data-seen={way === seen || undefined}
            d={ARROWS[way].path}
            stroke={way === seen ? 'var(--lit)' : 'var(--edge)'}
            strokeWidth={way === seen ? 3.4 : 1.6}
            strokeDasharray={way === seen ? undefined : '3 3'}
          />
        ))}
        {(
          [
            [words.spring, 61, -4],
            [words.slot, 46, -42],
          ] as const
        ).map(([word, x, y]) => (
          <DrawnText
            key={word}
            x={isMirrored ? x : -x}
            y={y}
            textAnchor={isMirrored ? 'start' : 'end'}
            size={6}
            fill="var(--ink)"
            stroke="none"
          >
            {word}
          </DrawnText>
        ))}
      </LineDrawing>
    </TapSpots>
  );
}
