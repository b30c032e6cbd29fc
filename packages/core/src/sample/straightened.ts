import type { Point } from '../linkage/aroundDisc.ts';
import type { FlatField } from './flatten.ts';
import { type ReadHole, type SeamKind, sidesOf } from './readHole.ts';
import { type SeamCurve, seamCurve } from './seamCurve.ts';
import { type LinePlace, type Strip, stripOf } from './seamLine.ts';

/** The curve along which some holes of a strip lie, in pixels of the field. */
export function curveOf(
  strip: Strip,
  holes: readonly ReadHole[],
  kind: SeamKind,
): SeamCurve | undefined {
  return seamCurve(
    holes.map((hole) => inField(strip, hole)),
    sidesOf(holes, kind),
  );
}

/**
 * The strip along the curve of its holes, and the holes on it: the middle of all thread, along which it was laid first, goes
 * aside where a zigzag skips.
 */
export function straightened(
  flat: FlatField,
  strip: Strip,
  holes: readonly ReadHole[],
  kind: SeamKind,
): { readonly strip: Strip; readonly holes: readonly ReadHole[] } | undefined {
  const curve = curveOf(strip, holes, kind);
  const [first, last] = [holes[0], holes.at(-1)];
  if (!curve || !first || !last) return undefined;
  const { scale } = strip;
  const before = first.along * scale;
  const after = strip.line.length - 1 - last.along * scale;
  const line = walked(curve, -1 - before / (curve.chord / 2), 1 + after / (curve.chord / 2));
  const places = holes.map((hole) => onLine(line, scale, hole, inField(strip, hole)));
  return { strip: stripOf(flat, line), holes: places };
}

/** A place a pixel along the curve, from one part of it to another. */
function walked({ at, chord }: SeamCurve, from: number, to: number): readonly LinePlace[] {
  const line: LinePlace[] = [];
  for (let part = from; part <= to; ) {
    const place = at(part);
    line.push(place);
    const next = at(part + 2 / chord);
    part += 2 / chord / Math.hypot(next.x - place.x, next.y - place.y);
  }
  return line;
}

function onLine(
  line: readonly LinePlace[],
  scale: number,
  hole: ReadHole,
  { x, y }: Point,
): ReadHole {
  let [nearest, away] = [0, Number.POSITIVE_INFINITY];
  for (const [index, place] of line.entries()) {
    const off = Math.hypot(x - place.x, y - place.y);
    if (off < away) [nearest, away] = [index, off];
  }
  const place = line[nearest];
  if (!place) return hole;
  const [cos, sin] = [Math.cos(place.heading), Math.sin(place.heading)];
  const along = (x - place.x) * cos + (y - place.y) * sin;
  return {
    ...hole,
    along: (nearest + along) / scale,
    across: ((y - place.y) * cos - (x - place.x) * sin) / scale,
  };
}

/** Where a hole lies in the field, in pixels. */
export function inField({ line, scale }: Strip, { along, across }: ReadHole): Point {
  const last = line.length - 1;
  const column = Math.min(last, Math.max(0, along * scale));
  const [from, to] = [line[Math.floor(column)], line[Math.min(last, Math.floor(column) + 1)]];
  if (!from || !to) return { x: 0, y: 0 };
  const part = column - Math.floor(column);
  const heading = from.heading + part * (to.heading - from.heading);
  return {
    x: from.x + part * (to.x - from.x) - across * scale * Math.sin(heading),
    y: from.y + part * (to.y - from.y) + across * scale * Math.cos(heading),
  };
}
