import { seeded } from '../../chance/seeded.ts';
import type { Point } from '../../linkage/aroundDisc.ts';
import { HOLE_WIDTHS, otherThreadAt } from '../../tension/seamPicture.ts';
import { CARD } from '../card.ts';
import type { Light } from '../picture.ts';
import { type Fabric, fabricShade } from './fabrics.ts';
import type { Holes } from './sewnSeam.ts';

/** What a face of a sample is made of. */
export interface SampleFace {
  readonly seed: number;
  readonly fabric: Fabric;
  readonly fabricColour: Light;
  /** The thread that lies on this face, and the other one; millimetres across. */
  readonly own: { readonly colour: Light; readonly width: number };
  readonly other: { readonly colour: Light };
  /** How far the knots are drawn to this face: -1 to the other one, 1 to this. */
  readonly drawn: number;
  /** Hairs and cut ends that lie about. */
  readonly hairs: number;
  /** Loops of the other thread that hang out of a hole, each so far across in millimetres. */
  readonly loops?: readonly { readonly hole: number; readonly across: number }[] | undefined;
}

/** Texels a millimetre. */
export const TEXELS = 20;

/** The frame of the card, covered by a sewn sample, in light of three colours, texel by texel. */
export interface Texture {
  readonly width: number;
  readonly height: number;
  readonly data: Float32Array;
}

/** How dark a hole is against its fabric. */
const HOLE_SHADE = 0.12;

/** Paints a face: the fabric, hairs, holes, its own thread, and the other one where it comes through. */
export function sampleTexture(face: SampleFace, { holes, caught }: Holes): Texture {
  const { left, top, right, bottom } = CARD.frame;
  const width = Math.round((right - left) * TEXELS);
  const height = Math.round((bottom - top) * TEXELS);
  const texture = { width, height, data: new Float32Array(3 * width * height) };
  const shade = fabricShade(face.fabric, face.seed);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      paint(texture, x, y, face.fabricColour, shade(x / TEXELS, y / TEXELS), 1);
  paintHairs(texture, face);
  const hole = HOLE_WIDTHS * face.own.width;
  const dark = face.fabricColour.map((part) => HOLE_SHADE * part) as unknown as Light;
  for (const at of holes) paintDisc(texture, at, hole, dark, 0.5);
  const knots = holes.filter((_, index) => caught[index]);
  for (const [index, to] of knots.slice(1).entries())
    paintThread(texture, knots[index] as Point, to, face.own.width, face.own.colour);
  const { dot, along } = otherThreadAt(face.drawn);
  for (const [index, at] of knots.entries()) {
    paintDisc(texture, at, hole, dark, 1);
    paintDisc(texture, at, hole * Math.sqrt(dot), face.other.colour, 1);
    if (along === 0) continue;
    for (const next of [knots[index - 1], knots[index + 1]])
      if (next) {
        const end = { x: at.x + along * (next.x - at.x), y: at.y + along * (next.y - at.y) };
        paintThread(texture, at, end, face.own.width, face.other.colour);
      }
  }
  for (const { hole, across } of face.loops ?? []) {
    const at = holes[hole];
    if (at) paintLoop(texture, at, across, face);
  }
  return texture;
}

/** A ring of the other thread, from a hole aside. */
function paintLoop(texture: Texture, { x, y }: Point, across: number, face: SampleFace): void {
  const on = (turn: number): Point => ({
    x: x + (across / 2) * Math.sin(turn),
    y: y + (across / 2) * (1 - Math.cos(turn)),
  });
  const pieces = 24;
  for (let piece = 0; piece < pieces; piece += 1)
    paintThread(
      texture,
      on((2 * Math.PI * piece) / pieces),
      on((2 * Math.PI * (piece + 1)) / pieces),
      face.own.width,
      face.other.colour,
    );
}

function paintHairs(texture: Texture, { hairs, seed, own, other }: SampleFace): void {
  const random = seeded(seed + 99);
  for (let hair = 0; hair < hairs; hair += 1) {
    let at = {
      x: CARD.frame.left + 94 * random(),
      y: CARD.frame.top + (random() < 0.5 ? 3 + 6 * random() : 29 + 6 * random()),
    };
    let heading = 6.3 * random();
    for (let step = 0; step < 8; step += 1) {
      const next = { x: at.x + 0.9 * Math.cos(heading), y: at.y + 0.9 * Math.sin(heading) };
      paintThread(texture, at, next, 0.1, random() < 0.5 ? own.colour : other.colour);
      at = next;
      heading += 0.5 * (random() - 0.5);
    }
  }
}

/** A round thread from point to point: darker towards its sides, its plies seen. */
function paintThread(texture: Texture, from: Point, to: Point, wide: number, colour: Light): void {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length === 0) return;
  const [dirX, dirY] = [(to.x - from.x) / length, (to.y - from.y) / length];
  eachTexel(texture, from, to, wide, (x, y, at) => {
    const along = (at.x - from.x) * dirX + (at.y - from.y) * dirY;
    const on = Math.min(length, Math.max(0, along));
    const away = Math.hypot(at.x - from.x - on * dirX, at.y - from.y - on * dirY) / (wide / 2);
    const cover = covering(away, wide / 2);
    if (cover === 0) return;
    const round = Math.sqrt(Math.max(0, 1 - away * away));
    const ply = 1 + 0.08 * Math.cos(2 * Math.PI * (along / (1.6 * wide) + 0.4 * away));
    paint(texture, x, y, colour, (0.8 + 0.2 * round) * ply, cover);
  });
}

function paintDisc(texture: Texture, at: Point, radius: number, colour: Light, most: number): void {
  if (radius <= 0) return;
  eachTexel(texture, at, at, 2 * radius, (x, y, { x: inX, y: inY }) => {
    const cover = covering(Math.hypot(inX - at.x, inY - at.y) / radius, radius);
    if (cover > 0) paint(texture, x, y, colour, 1, most * cover);
  });
}

/** How much of a texel lies within an edge. */
function covering(away: number, radius: number): number {
  return Math.min(1, Math.max(0, (1 - away) * radius * TEXELS + 0.5));
}

/** Calls for each texel of the box round two points, with its place on the card. */
function eachTexel(
  { width, height }: Texture,
  from: Point,
  to: Point,
  wide: number,
  call: (x: number, y: number, at: Point) => void,
): void {
  const { left, top } = CARD.frame;
  const reach = wide / 2 + 1 / TEXELS;
  const first = (least: number, from: number) =>
    Math.max(0, Math.floor((least - reach - from) * TEXELS));
  const last = (most: number, from: number, size: number) =>
    Math.min(size - 1, Math.ceil((most + reach - from) * TEXELS));
  const [x1, y1] = [
    last(Math.max(from.x, to.x), left, width),
    last(Math.max(from.y, to.y), top, height),
  ];
  for (let y = first(Math.min(from.y, to.y), top); y <= y1; y += 1)
    for (let x = first(Math.min(from.x, to.x), left); x <= x1; x += 1)
      call(x, y, { x: left + (x + 0.5) / TEXELS, y: top + (y + 0.5) / TEXELS });
}

function paint(
  { width, data }: Texture,
  x: number,
  y: number,
  colour: Light,
  shade: number,
  cover: number,
): void {
  const at = 3 * (y * width + x);
  for (let part = 0; part < 3; part += 1)
    data[at + part] = (1 - cover) * (data[at + part] ?? 0) + cover * shade * (colour[part] ?? 0);
}
