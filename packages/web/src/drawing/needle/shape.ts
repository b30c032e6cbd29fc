import type { Millimetres } from '@nodo/core';
import type { NeedleSystem } from '@nodo/knowledge';

/**
 * A needle in millimetres: `y` downwards from the top of its shank, `x` across from its axis. Its
 * azimuths are counted clockwise as seen from above, 0 towards the back of the machine.
 */
export interface NeedleShape {
  readonly system: NeedleSystem;
  /** Blade diameter. */
  readonly blade: Millimetres;
}

/** From where one looks, as the azimuth of the eye of whoever looks. */
export const VIEWS = { front: 180, back: 0, side: 90 } as const;
export type View = keyof typeof VIEWS;

/** Eye: its upper and lower end. Its length is taken as 1.6 times the blade; ours. */
export function eyeSpan({ system, blade }: NeedleShape): readonly [number, number] {
  return [system.buttToEye, system.buttToEye + 1.6 * blade];
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** How a feature at an azimuth shows from a side: how wide it is seen, and how far off the axis. */
export function seenFrom(
  view: View,
  azimuth: number,
): { readonly facing: number; readonly off: number } {
  const angle = radians(azimuth - VIEWS[view]);
  return { facing: Math.cos(angle), off: -Math.sin(angle) };
}

/** Shank: as wide as it is round, less what its flat takes where that is seen from the side. */
export function shankEdges(
  { system }: NeedleShape,
  view: View,
  scarf: number,
): readonly [number, number] {
  const r = system.shank / 2;
  if (!system.flat) return [-r, r];
  const { off } = seenFrom(view, scarf);
  // The flat takes a fifth of the diameter.
  const cut = 0.4 * r * Math.abs(off);
  return off > 0 ? [-r, r - cut] : [-r + cut, r];
}

/** The outline of blade and point below the shank, with the scarf where it is seen from the side. */
export function bladeOutline(shape: NeedleShape, view: View, scarf: number): string {
  const { system, blade } = shape;
  const r = blade / 2;
  const half = system.shank / 2;
  const [eyeTop, eyeEnd] = eyeSpan(shape);
  const { off } = seenFrom(view, scarf);
  const depth = system.scarfDepth * Math.abs(off);
  const top = system.shankLength;
  const right = scarfEdge(r, off > 0 ? depth : 0, eyeTop, system.scarfLength);
  const left = scarfEdge(r, off < 0 ? depth : 0, eyeTop, system.scarfLength).map(
    ([x, y]) => [-x, y] as const,
  );
  const down = [[r, top + 0.8], ...right, [r, eyeEnd]] as const;
  const up = [[-r, eyeEnd], ...left.reverse(), [-r, top + 0.8]] as const;
  return path([[half, top], ...down, [0, system.whole], ...up, [-half, top]]);
}

/** The hollow above the eye on one edge, from its upper end down. */
function scarfEdge(
  r: number,
  depth: number,
  eyeTop: number,
  length: number,
): (readonly [number, number])[] {
  if (depth === 0) return [];
  return [
    [r, eyeTop - length],
    [r - depth, eyeTop - length + 1],
    [r - depth, eyeTop - 0.3],
    [r, eyeTop],
  ];
}

function path(points: readonly (readonly [number, number])[]): string {
  return `${points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${round(x)} ${round(y)}`).join('')}Z`;
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
