import type { BobbinTurn } from '@nodo/knowledge';
import { instruments } from '../messages/instruments.ts';
import { DrawnText } from './DrawnText.tsx';

/** A bobbin in its case from the open side, turning as it should; still where nobody knows the way. */
export function BobbinTurns({ turn }: { readonly turn: BobbinTurn | undefined }) {
  const words = instruments.bobbinCondition.turns;
  const isMirrored = turn === 'clockwise';
  const account = turn ? words.drawing(words.answers[turn]) : words.drawingUnknown;
  return (
    <svg
      viewBox="-80 -56 160 112"
      role="img"
      aria-label={account}
      data-turn={turn}
      className="w-80 max-w-full"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.4"
      strokeLinecap="round"
      strokeLinejoin="round"
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
            <circle key={angle} cy="-33" r="1.6" transform={`rotate(${angle})`} fill="var(--ink)" />
          ))}
        </g>
        <path d="M0 -36C-14 -38 -26 -36 -33 -32L-54 0" stroke="var(--below)" strokeWidth="2.2" />
        <path d="M-45 -32L-56 -8" stroke="var(--lit)" strokeWidth="3.4" opacity="0.55" />
        {turn && (
          <>
            <path d="M17 -21A27 27 0 0 0 -17 -21" stroke="var(--lit)" strokeWidth="2.4" />
            <path d="M-9 -26L-18 -20L-8 -15" stroke="var(--lit)" strokeWidth="2.4" />
          </>
        )}
      </g>
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
          size={7}
          fill="var(--ink)"
          stroke="none"
        >
          {word}
        </DrawnText>
      ))}
    </svg>
  );
}
