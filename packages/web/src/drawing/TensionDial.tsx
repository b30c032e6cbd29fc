import { DrawnText } from './DrawnText.tsx';

/** Gram-force at the right end; what is more stays there. */
const MOST = 60;
const STEP = 10;
const R = 84;
/** The middle of the dial, and what is drawn of it. */
const CENTRE = [120, 104] as const;
const BOX = '0 0 240 118';

/** Where a pull lies on the half circle, from nothing on the left. */
function on(force: number, radius: number): string {
  const angle = Math.PI * (1 - Math.max(0, Math.min(MOST, force)) / MOST);
  const [x, y] = [CENTRE[0] + radius * Math.cos(angle), CENTRE[1] - radius * Math.sin(angle)];
  return `${x.toFixed(1)} ${y.toFixed(1)}`;
}

/** The pull of a case on a dial, with the band in which it should lie. */
export function TensionDial({
  tension,
  band: [least, most],
  account,
}: {
  /** Undefined while it is not measured. */
  readonly tension: number | undefined;
  readonly band: readonly [least: number, most: number];
  readonly account: string;
}) {
  const ticks = Array.from({ length: MOST / STEP + 1 }, (_, index) => index * STEP);
  return (
    <svg
      viewBox={BOX}
      role="img"
      aria-label={account}
      className="w-60 max-w-full"
      fill="none"
      strokeLinecap="butt"
    >
      <path
        d={`M${on(0, R)}A${R} ${R} 0 0 1 ${on(MOST, R)}`}
        stroke="var(--edge)"
        strokeWidth="2"
      />
      <path
        data-band
        d={`M${on(least, R - 9)}A${R - 9} ${R - 9} 0 0 1 ${on(most, R - 9)}`}
        stroke="var(--cloth)"
        strokeWidth="16"
      />
      {ticks.map((force) => (
        <g key={force}>
          <path d={`M${on(force, R)}L${on(force, R - 8)}`} stroke="var(--ink)" strokeWidth="2" />
          {force % (2 * STEP) === 0 && <Figure force={force} />}
        </g>
      ))}
      {tension !== undefined && (
        <path
          d={`M${CENTRE.join(' ')}L${on(tension, R - 4)}`}
          stroke="var(--lit)"
          strokeWidth="4"
          strokeLinecap="round"
        />
      )}
      <circle cx={CENTRE[0]} cy={CENTRE[1]} r="7" fill="var(--lit)" />
    </svg>
  );
}

function Figure({ force }: { readonly force: number }) {
  const [x, y] = on(force, R + 13).split(' ');
  return (
    <DrawnText x={x} y={Number(y) + 5} textAnchor="middle" size={14} fill="var(--ink)">
      {force}
    </DrawnText>
  );
}
