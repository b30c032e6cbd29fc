import type { Family, Place } from '@nodo/knowledge';

/** Millimetres that a unit of these drawings stands for, on every machine: small ones look small. */
export const MM_PER_UNIT = 1.2;

export type At = readonly [x: number, y: number];

/** What the needle's thread passes, in its order. */
export const PATH_POINTS = [
  'spool',
  'guides',
  'discs',
  'check-spring',
  'take-up',
  'lower-guides',
  'bar-guide',
  'needle',
] as const;
export type PathPoint = (typeof PATH_POINTS)[number];

/** What catches the loop below the plate. */
export type Catcher = 'horizontal' | 'oscillating' | 'rotary' | 'loopers';

/**
 * A machine of a family from the operator's side, standing on y = 340. Proportions are common sizes of the kind
 * (a household machine about 400 x 300 mm, 125 mm under its arm), from memory, of no particular machine; between
 * head and plate there is a quarter more room than on most, so that foot and needle can be told apart.
 */
export interface Body {
  /** Closed castings and covers, the rear ones first. */
  readonly castings: readonly string[];
  /** Lines that tell the kind from a distance. */
  readonly edges: readonly string[];
  /** Dials, screens, doors: only where there is room. */
  readonly fine: readonly string[];
  /** The groove behind the cover that the thread lies in. */
  readonly channel?: string;
  readonly spool: { readonly kind: 'lying' | 'upright' | 'cone'; readonly at: readonly At[] };
  /** The needle that the places mean comes first. */
  readonly needles: readonly number[];
  /** Height of the needle plate. */
  readonly plate: number;
  readonly catcher: Catcher;
  readonly takeUp: string;
  /** The way of the needle's thread, and the points on it. */
  readonly thread: string;
  readonly path: Readonly<Partial<Record<PathPoint, At>>>;
  /** Of a machine with more threads: those of further needles, and of the loopers. */
  readonly furtherThreads?: {
    readonly above: readonly string[];
    readonly below: readonly string[];
  };
  /** Each needle has its own small foot, and a hoop moves the fabric; else one foot on a bar, and teeth. */
  readonly hoop?: true;
  /** Height of its highest part, pins and eyes with it. */
  readonly top: number;
  readonly parts: Readonly<Partial<Record<'winder' | 'hand-wheel' | 'selector' | 'power', At>>>;
}

/** Where a place lies on a body. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

export type DrawnPlace = Exclude<Place, 'talk'>;

/** Places by the needle: how far from its line and from the plate, and how large. */
const BY_NEEDLE: readonly (readonly [place: DrawnPlace, x: number, y: number, r: number])[] = [
  ['needle-clamp', 0, -59, 17],
  ['needle', 0, -34, 22],
  ['foot', 8, -12, 22],
  ['fabric', -22, -3, 24],
  ['plate', 8, 1, 22],
  ['feed', 22, 0, 16],
  ['hook', 0, 25, 29],
  ['thread-pair', 0, 8, 34],
];
/** Under the plate, where there is a bobbin. */
const WITH_BOBBIN: readonly (readonly [place: DrawnPlace, x: number, y: number, r: number])[] = [
  ['bobbin', 0, 25, 24],
  ['case', 0, 25, 25],
];
const PART_RADIUS = { winder: 18, 'hand-wheel': 28, selector: 24, power: 20 } as const;

/** Every place that a body can light up; the whole path is told by its numbers. */
export function spotsOf(body: Body): ReadonlyMap<DrawnPlace, Spot> {
  const spots = new Map<DrawnPlace, Spot>();
  const [needle = 0] = body.needles;
  for (const [place, x, y, r] of [...BY_NEEDLE, ...(body.catcher === 'loopers' ? [] : WITH_BOBBIN)])
    spots.set(place, { x: needle + x, y: body.plate + y, r });
  const at = (place: DrawnPlace, point: At | undefined, r: number) => {
    if (point) spots.set(place, { x: point[0], y: point[1], r });
  };
  at('spool', body.path.spool, 28);
  at('discs', body.path.discs, 20);
  at('dial', body.path.discs, 20);
  at('check-spring', body.path['check-spring'], 16);
  at('path', body.path['take-up'], 15);
  for (const [part, point] of Object.entries(body.parts))
    at(part as keyof typeof PART_RADIUS, point, PART_RADIUS[part as keyof typeof PART_RADIUS]);
  return spots;
}

/** A place that is told by its name, where it is on this body. */
export function drawnPlace(body: Body, name: string | null): DrawnPlace | undefined {
  return [...spotsOf(body).keys()].find((place) => place === name);
}

/** The place that a tap means: the smallest one in reach of it, else the one whose ring is nearest. */
export function placeNearest(body: Body, x: number, y: number): DrawnPlace | undefined {
  const away = ({ x: atX, y: atY, r }: Spot) => {
    const outside = Math.hypot(x - atX, y - atY) - r;
    return outside > 0 ? 1_000 + outside : outside + 2 * r;
  };
  let best: readonly [DrawnPlace, number] | undefined;
  for (const [place, spot] of spotsOf(body)) {
    const distance = away(spot);
    if (!best || distance < best[1]) best = [place, distance];
  }
  return best?.[0];
}

/** What catches the loop on a family, by its traits and by what its tables say of the hook. */
export function catcherOf({ traits, hook }: Pick<Family, 'traits' | 'hook'>): Catcher {
  if (!traits.includes('bobbin')) return 'loopers';
  if (traits.includes('drop-in')) return 'horizontal';
  return hook.startsWith('oscillating') ? 'oscillating' : 'rotary';
}
