import type { Place } from './stitchPicture.ts';

/** From the upper edge of the eye to the tip, and the eye's own length, for a blade of so much; from memory, typical. */
export const TIP = 4.7;
export const eyeLength = (half: number) => 3.2 * half;
/** The hollow of a scarf runs in and out over so much. */
const SCARF_RUNS = 0.8;

export interface BladeShape {
  readonly half: number;
  readonly scarf: { readonly depth: number; readonly length: number };
  /** The scarf faces to the right of the picture, or to its left. */
  readonly facing: 1 | -1;
  /** How far the axis stands off so far above the eye. */
  readonly off: (above: number) => number;
}

/** The outline of a blade in section round the upper edge of its eye, up to so far above it. */
export function bladeSection(
  { half, scarf, facing, off }: BladeShape,
  until: number,
): readonly Place[] {
  const hollow: readonly Place[] = [
    [half, until],
    [half, scarf.length],
    [half - scarf.depth, scarf.length - SCARF_RUNS],
    [half - scarf.depth, 0.2],
    [half, -0.2],
    [half, -eyeLength(half)],
  ];
  const full: readonly Place[] = [
    [-half, -eyeLength(half)],
    [-half, until],
  ];
  const along = [...bentAlong(hollow), [0, -TIP] as const, ...bentAlong(full)];
  return along.map(([right, up]) => [facing * right + off(up), up]);
}

/** With places between, so that a bent blade runs as a curve. */
function bentAlong(places: readonly Place[]): readonly Place[] {
  return places.flatMap((place, index) => {
    const next = places[index + 1];
    if (!next || Math.abs(next[1] - place[1]) < 3) return [place];
    const middle: Place = [(place[0] + next[0]) / 2, (place[1] + next[1]) / 2];
    return [place, ...bentAlong([middle, next]).slice(0, -1)];
  });
}

/** A line through places, upwards turned downwards as a screen counts. */
export function lineOf(places: readonly Place[]): string {
  return places
    .map(([right, up], index) => `${index === 0 ? 'M' : 'L'}${rounded(right)} ${rounded(-up)}`)
    .join('');
}

function rounded(value: number): string {
  return (Math.round(value * 1000) / 1000).toString();
}
