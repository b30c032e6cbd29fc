import type { Family, SurfaceId } from '@nodo/knowledge';
import type { ReactNode } from 'react';
import { has } from '../detail/kit.tsx';

/** Radius of a map on its sheet; what is drawn lies within. */
export const MAP_R = 46;

/** What the map of a surface is drawn on: the part as it is looked at, in a circle of {@link MAP_R}. */
export function Outline({
  surface,
  family,
}: {
  readonly surface: SurfaceId;
  readonly family: Family;
}): ReactNode {
  switch (surface) {
    case 'foot':
      return <FootBelow />;
    case 'plate-top':
      return <Plate family={family} />;
    case 'plate-under':
      return <Plate family={family} isUnder />;
    case 'case-outside':
      return <CaseOutside family={family} />;
    case 'case-inside':
      return <CaseInside family={family} />;
    case 'hook':
      return <Hook />;
  }
}

/** Two toes to the front, the slot between them, the bar behind. */
function FootBelow() {
  return (
    <g>
      <path d="M-20 -44H20V-6L16 42Q10 46 5 42V8H-5V42Q-10 46 -16 42L-20 -6Z" fill="var(--paper)" />
      <path d="M-9 -8H9V8H-9Z" fill="var(--sunk)" />
      <path d="M-20 -30H20" stroke="var(--edge)" />
    </g>
  );
}

/** The hole with the slots of the feed; from below its screws too. */
function Plate({
  family,
  isUnder = false,
}: {
  readonly family: Family;
  readonly isUnder?: boolean;
}) {
  return (
    <g>
      <circle r={MAP_R} fill="var(--paper)" stroke="none" />
      {[-24, 16].map((x) => (
        <rect key={x} x={x} y="-30" width="8" height="60" rx="3" fill="var(--sunk)" />
      ))}
      {has(family, 'zigzag') ? (
        <rect x="-13" y="-4" width="26" height="8" rx="4" fill="var(--sunk)" />
      ) : (
        <circle r="4.4" fill="var(--sunk)" />
      )}
      {isUnder &&
        [-38, 38].map((x) => (
          <g key={x} stroke="var(--edge)">
            <circle cx={x} r="4" />
            <path d={`M${x - 2.6} 0H${x + 2.6}`} />
          </g>
        ))}
    </g>
  );
}

/** The wall from outside with spring, screw and stop. */
function CaseOutside({ family }: { readonly family: Family }) {
  return (
    <g>
      <circle r="42" fill="var(--paper)" />
      <circle r="30" stroke="var(--edge)" strokeDasharray="3 2" />
      <path d="M18 32Q32 22 38 4" strokeWidth="4" stroke="var(--below)" />
      <circle cx="30" cy="22" r="2.6" fill="var(--paper)" />
      {has(family, 'drop-in') ? (
        <path d="M-40 -8L-46 -11V11L-40 8Z" fill="var(--sunk)" />
      ) : (
        <path d="M-3 -42V-46H3V-42" fill="var(--sunk)" />
      )}
    </g>
  );
}

/** The wall from inside, its floor, and the post of an upright case. */
function CaseInside({ family }: { readonly family: Family }) {
  return (
    <g>
      <circle r="44" fill="var(--sunk)" />
      <circle r="36" fill="var(--paper)" />
      {has(family, 'drop-in') ? (
        <circle r="10" stroke="var(--edge)" />
      ) : (
        <circle r="6" fill="var(--sunk)" />
      )}
      <path d="M-28 -30L-20 -24M-34 -20L-26 -16" stroke="var(--edge)" />
    </g>
  );
}

/** The hook with its point at the top, and its rim. */
function Hook() {
  return (
    <g>
      <circle r="44" stroke="var(--edge)" strokeWidth="3" />
      <path d="M0 -42A42 42 0 1 1 -38 -18L-20 -10A22 22 0 1 0 0 -22Z" fill="var(--paper)" />
      <path d="M-38 -18Q-26 -38 0 -42" />
      <circle r="9" fill="var(--sunk)" stroke="var(--edge)" />
    </g>
  );
}
