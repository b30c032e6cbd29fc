import type { Family, Place } from '@nodo/knowledge';
import { m } from '../messages/index.ts';
import { DrawnText } from './DrawnText.tsx';

interface Spot {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  /** Where the word stands: beside or below the ring. */
  readonly label: 'left' | 'right' | 'below' | 'above';
}

/** Where each place lies in the drawing's 320 x 372 box. */
const SPOTS: Readonly<Record<Exclude<Place, 'talk'>, Spot>> = {
  spool: { x: 226, y: 30, r: 30, label: 'left' },
  'thread-pair': { x: 80, y: 306, r: 34, label: 'right' },
  path: { x: 98, y: 116, r: 74, label: 'right' },
  'check-spring': { x: 97, y: 172, r: 21, label: 'right' },
  discs: { x: 118, y: 108, r: 24, label: 'right' },
  dial: { x: 118, y: 108, r: 24, label: 'right' },
  'needle-clamp': { x: 80, y: 232, r: 19, label: 'right' },
  needle: { x: 80, y: 262, r: 26, label: 'right' },
  bobbin: { x: 80, y: 325, r: 26, label: 'right' },
  case: { x: 80, y: 325, r: 26, label: 'right' },
  hook: { x: 80, y: 325, r: 31, label: 'right' },
  foot: { x: 86, y: 288, r: 24, label: 'right' },
  plate: { x: 88, y: 301, r: 24, label: 'right' },
  feed: { x: 100, y: 300, r: 18, label: 'right' },
  fabric: { x: 60, y: 297, r: 28, label: 'above' },
  winder: { x: 272, y: 36, r: 20, label: 'below' },
  'hand-wheel': { x: 306, y: 104, r: 30, label: 'left' },
  selector: { x: 266, y: 196, r: 24, label: 'below' },
  power: { x: 290, y: 322, r: 22, label: 'left' },
};

type DrawnPlace = Exclude<Place, 'talk'>;

/** Every place that the drawing can light up. */
export const DRAWN_PLACES = Object.keys(SPOTS) as readonly DrawnPlace[];

export function isDrawnPlace(text: string): text is DrawnPlace {
  return text in SPOTS;
}

/** The drawing's box: left, top, width, height. */
export const MACHINE_BOX = [-6, -6, 340, 372] as const;

/** The place that a tap means: the smallest one in reach of it, else the one whose ring is nearest. */
export function placeNearest(x: number, y: number): DrawnPlace {
  const away = (place: DrawnPlace) => {
    const spot = SPOTS[place];
    const outside = Math.hypot(x - spot.x, y - spot.y) - spot.r;
    return outside > 0 ? 1_000 + outside : Math.hypot(x - spot.x, y - spot.y) + spot.r;
  };
  return DRAWN_PLACES.reduce((best, place) => (away(place) < away(best) ? place : best));
}

interface MachineDrawingProps {
  readonly family: Family;
  readonly place: Place;
  readonly presserDown: boolean;
  /** Beside a drawing from near. */
  readonly small?: boolean;
}

/**
 * A machine of the family from the front, with its thread path and one place lit. One
 * drawing for all: traits decide what lies under the plate and how many needles there are.
 */
export function MachineDrawing({ family, place, presserDown, small = false }: MachineDrawingProps) {
  const spot = place === 'talk' ? undefined : SPOTS[place];
  const account = spot
    ? m.drawing.account(family.title, m.places[place])
    : m.drawing.plain(family.title);
  const pulls = place === 'discs';
  return (
    <svg
      viewBox={MACHINE_BOX.join(' ')}
      role="img"
      aria-label={account}
      className={`shrink-0 self-start ${small ? 'w-32' : 'w-44 sm:w-52 xl:w-60'}`}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <Body />
      <Head presserDown={presserDown} needles={family.traits.includes('embroidery') ? 3 : 1} />
      <Below family={family} />
      <UpperThread />
      {pulls && <PullArrow />}
      {spot && <Ring spot={spot} text={m.places[place]} />}
    </svg>
  );
}

function Body() {
  return (
    <g stroke="var(--edge)" strokeWidth="2">
      <path
        d="M30 62Q30 46 46 46H284Q300 46 300 62V300H312V346H8V300H236V150Q236 132 218 132H152V200Q152 210 142 210H40Q30 210 30 200Z"
        fill="var(--paper)"
      />
      <path d="M8 300H312" />
      <path d="M300 78h6q7 0 7 26t-7 26h-6" fill="var(--sunk)" />
      <path d="M304 88v32" />
      <circle cx="266" cy="196" r="13" fill="var(--sunk)" />
      <path d="M266 196v-9" />
      <path d="M264 46v-8h16v8M272 38v-8" />
      <path d="M282 318h16v10h-16ZM312 334q12 2 14 20" />
      <path d="M118 56V150C118 178 76 178 76 150V62" stroke="var(--rule)" strokeWidth="7" />
    </g>
  );
}

function Head({
  presserDown,
  needles,
}: {
  readonly presserDown: boolean;
  readonly needles: number;
}) {
  const sole = presserDown ? 292 : 282;
  return (
    <g stroke="var(--ink)" strokeWidth="2">
      <g>
        <rect x="214" y="8" width="24" height="36" rx="3" fill="var(--sunk)" />
        <path d="M214 18H238M214 26H238M214 34H238" stroke="var(--edge)" />
        <path d="M226 8V2" />
      </g>
      <path d="M146 46v-8q0-4 5-4" />
      <circle cx="118" cy="108" r="13" fill="var(--paper)" />
      <circle cx="118" cy="108" r="4" />
      <path d="M90 168q7 12 15 0" strokeWidth="2.6" />
      <path d="M60 96L74 80" strokeWidth="4" />
      {Array.from({ length: needles }, (_, index) => index * 12).map((shift) => (
        <g key={shift} transform={`translate(${-shift} 0)`}>
          <rect x="76" y="204" width="8" height="24" fill="var(--paper)" />
          <rect x="72" y="226" width="16" height="9" rx="2" fill="var(--sunk)" />
          <path d="M78 235V274L80 288L82 274V235Z" fill="var(--paper)" strokeWidth="1.6" />
        </g>
      ))}
      <path d="M98 208V272" strokeWidth="4" />
      <path d={`M98 272V${sole - 4}M68 ${sole}H106L112 ${sole - 6}`} strokeWidth="4" />
      <path d="M20 297H150" stroke="var(--cloth)" strokeWidth="6" strokeLinecap="butt" />
      <path d="M50 302H130" strokeWidth="3" />
      <path d="M90 301l3-4 3 4 3-4 3 4 3-4 3 4" strokeWidth="1.6" />
    </g>
  );
}

/** What catches the loop below the plate: a drop-in, a case from the front, or loopers. */
function Below({ family }: { readonly family: Family }) {
  const line = { stroke: 'var(--ink)', strokeWidth: 2 } as const;
  if (!family.traits.includes('bobbin')) {
    return (
      <g {...line}>
        <path d="M56 336C70 310 84 310 100 318" strokeWidth="4" />
        <path d="M104 338C96 324 84 320 70 324" strokeWidth="4" />
      </g>
    );
  }
  if (family.traits.includes('drop-in')) {
    return (
      <g {...line}>
        <path d="M58 314V330Q58 338 80 338T102 330V314" fill="var(--sunk)" />
        <ellipse cx="80" cy="314" rx="22" ry="6" fill="var(--paper)" />
        <ellipse cx="80" cy="314" rx="11" ry="3" />
        <path d="M91 314C100 312 92 304 84 302" stroke="var(--below)" strokeWidth="2.4" />
      </g>
    );
  }
  return (
    <g {...line}>
      <circle cx="80" cy="326" r="18" fill="var(--sunk)" />
      <circle cx="80" cy="326" r="11" fill="var(--paper)" />
      <circle cx="80" cy="326" r="3" />
      <path d="M64 312q-6 6-5 16" strokeWidth="4" />
      <path d="M91 326C94 316 88 308 83 302" stroke="var(--below)" strokeWidth="2.4" />
    </g>
  );
}

function UpperThread() {
  return (
    <path
      d="M214 16C196 12 172 30 150 36L118 48V150C118 178 76 178 76 150V82C76 74 70 76 70 84V208L80 240V280C80 292 76 297 66 299"
      stroke="var(--above)"
      strokeWidth="2.6"
    />
  );
}

function PullArrow() {
  return (
    <g stroke="var(--above)" strokeWidth="2.6">
      <path d="M80 284C76 300 62 312 40 322" strokeDasharray="5 5" />
      <path d="M50 311L38 323L54 327" />
      <DrawnText x="-2" y="362" fill="var(--ink)" stroke="none" size={15} fontWeight="600">
        {m.drawing.drawHere}
      </DrawnText>
    </g>
  );
}

function Ring({ spot, text }: { readonly spot: Spot; readonly text: string }) {
  const { x, y, r, label } = spot;
  const beside = {
    right: { x: x + r + 6, y: y + 5, anchor: 'start' },
    left: { x: x - r - 6, y: y + 5, anchor: 'end' },
    below: { x, y: y + r + 18, anchor: 'middle' },
    above: { x, y: y - r - 8, anchor: 'middle' },
  } as const;
  const place = beside[label];
  return (
    <g>
      <circle cx={x} cy={y} r={r} stroke="var(--lit)" strokeWidth="3" strokeDasharray="7 5" />
      <DrawnText
        x={place.x}
        y={place.y}
        textAnchor={place.anchor}
        size={17}
        fontWeight="700"
        fill="var(--ink)"
        stroke="var(--paper)"
        strokeWidth="5"
        paintOrder="stroke"
      >
        {text}
      </DrawnText>
    </g>
  );
}
