import { instruments } from '../messages/instruments.ts';
import { DrawnText } from './DrawnText.tsx';
import { LineDrawing } from './LineDrawing.tsx';
import { type Box, TapSpots } from './Taps.tsx';

const BOX: Box = [0, 0, 320, 128];
/** What a nail runs round, and what it presses. */
const SPOTS = {
  above: [84, 0, 152, 38],
  core: [136, 40, 48, 48],
  below: [84, 90, 152, 38],
  wound: [84, 40, 50, 48],
} as const;
export type RimSpot = keyof typeof SPOTS;
/** Where the nicks of a rough rim are drawn. */
const NICKS = {
  above: 'M96 12l6 9l6 -9m46 0l6 9l6 -9m46 0l6 9l6 -9',
  below: 'M96 116l6 -9l6 9m46 0l6 -9l6 9m46 0l6 -9l6 9',
  core: 'M142 58l10 6l-10 6l10 6',
} as const;

/** A bobbin in section, lying: its two rims, its core, and how the thread is wound between them; each to be tapped. */
export function BobbinRims({
  rough,
  isSoft,
  onTap,
}: {
  /** Undefined while nobody felt it. */
  readonly rough: ReadonlySet<Exclude<RimSpot, 'wound'>> | undefined;
  /** Wound other than firm; undefined while nobody pressed it. */
  readonly isSoft: boolean | undefined;
  readonly onTap: (spot: RimSpot) => void;
}) {
  const words = instruments.bobbinCondition;
  const labels = { ...words.rims.tap, wound: words.wound.tap };
  return (
    <TapSpots
      className="w-full max-w-96"
      box={BOX}
      spots={(Object.keys(SPOTS) as RimSpot[]).map((id) => ({
        id,
        label: labels[id],
        at: SPOTS[id],
      }))}
      onTap={onTap}
    >
      <LineDrawing box={BOX} account={words.rims.drawing} className="w-full">
        {[1, -1].map((side) => (
          <g key={side} transform={`translate(160 64) scale(${side} 1)`}>
            <path
              d={isSoft ? 'M16 -26H58Q70 -14 60 -2Q72 10 62 26H16Z' : 'M16 -26H66V26H16Z'}
              fill="var(--paper)"
              stroke="var(--below)"
            />
            <path
              d={
                isSoft
                  ? 'M24 -26Q20 0 26 26M36 -26Q42 -4 34 26M48 -26Q40 4 52 26'
                  : 'M26 -26V26M36 -26V26M46 -26V26M56 -26V26'
              }
              stroke="var(--below)"
              strokeWidth="1.4"
            />
            <path d="M8 -26H16V26H8Z" fill="var(--ink)" strokeWidth="1.4" />
          </g>
        ))}
        <path d="M88 26H232V36H88ZM88 92H232V102H88Z" fill="var(--sunk)" />
        {[...(rough ?? [])].map((rim) => (
          <path
            key={rim}
            data-rough={rim}
            d={NICKS[rim]}
            stroke={rim === 'core' ? 'var(--paper)' : 'var(--lit)'}
            strokeWidth="3.4"
          />
        ))}
        {(['above', 'below'] as const).map((rim) => (
          <DrawnText
            key={rim}
            x={240}
            y={rim === 'above' ? 36 : 102}
            size={13}
            fontWeight={rough?.has(rim) ? 700 : 400}
            fill="var(--ink)"
            stroke="none"
          >
            {words.rims.names[rim]}
          </DrawnText>
        ))}
      </LineDrawing>
    </TapSpots>
  );
}
