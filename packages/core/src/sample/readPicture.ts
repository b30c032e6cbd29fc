import type { Point } from '../linkage/aroundDisc.ts';
import { CARD } from './card.ts';
import { type FaceReading, readFace } from './faceReading.ts';
import { type Box, type Field, fieldOf } from './field.ts';
import { findCard } from './findCard.ts';
import { type FlatField, flatten } from './flatten.ts';
import { type PlaneView, through } from './homography.ts';
import { inverse3 } from './linear.ts';
import { assertPicture, type Light, type Picture, type Plane } from './picture.ts';
import { refused } from './refusal.ts';
import { type RulerMarks, ruledPlane } from './ruler.ts';
import { quantile } from './spacing.ts';
import { unlikenessOf } from './unmix.ts';

/** More pixels a millimetre tell no more. */
const MOST_SCALE = 10;
/** Fewer pixels a millimetre show no thread. */
const LEAST_SCALE = 5;
/** Left out along the frame's edges, in millimetres: the sample's own edge may lie there. */
const INSET = 0.6;

/** A sample laid flat: its own millimetres, even light. */
export interface SampleField {
  readonly view: PlaneView;
  readonly flat: FlatField;
  /** Where the field's first pixel lies, in the millimetres of the plane. */
  readonly corner: Point;
  /** What its light was held against: without the card's paper the fabric itself is taken as grey. */
  readonly lightFrom: 'paper' | 'fabric';
}

/** A face of a sample as it is read from a picture with the card or a ruler in it. */
export interface PictureReading
  extends FaceReading,
    Pick<SampleField, 'view' | 'corner' | 'lightFrom'> {
  readonly fabric: Light;
}

/** What somebody pointed at in a picture, in its pixels. */
export interface PointedAt {
  /** Where no card lies in it. */
  readonly ruler?: RulerMarks | undefined;
  /** A place on this face's own thread, where another colour was taken for it. */
  readonly thread?: Point | undefined;
}

/** @throws CoreFault a `SampleRefusal`, or `not-a-picture` */
export function readPicture(picture: Picture, pointed: PointedAt = {}): PictureReading {
  return readSampleField(sampleField(picture, pointed), pointed);
}

/**
 * Finds the card, or takes the ruler that was pointed at, and lays the sample flat.
 * @throws CoreFault `no-card`, `too-coarse`, `not-on-picture`, `not-a-picture`
 */
export function sampleField(picture: Picture, { ruler }: PointedAt = {}): SampleField {
  assertPicture(picture);
  return ruler ? fieldByRuler(picture, ruler) : fieldOnCard(picture);
}

function fieldOnCard(picture: Picture): SampleField {
  const view = findCard(picture);
  if (!view) throw refused('no-card');
  const { left, top, right, bottom } = CARD.frame;
  const frame = {
    left: left + INSET,
    top: top + INSET,
    right: right - INSET,
    bottom: bottom - INSET,
  };
  const field = laidFlat(picture, view, frame);
  const strips = PAPER_STRIPS.map((box) => meanLight(fieldOf(picture, view.toPicture, box, 2, 2)));
  const paper = [0, 1, 2].map(
    (part) => strips.reduce((sum, light) => sum + (light[part] ?? 0), 0) / strips.length,
  ) as unknown as Light;
  const corner = { x: frame.left, y: frame.top };
  return { view, flat: flatten(field, paper), corner, lightFrom: 'paper' };
}

function fieldByRuler(picture: Picture, ruler: RulerMarks): SampleField {
  const { view, box } = ruledPlane(picture, ruler);
  const field = laidFlat(picture, view, box);
  const grey = field.planes.map(
    ({ data }) => quantile([...data.filter((_, at) => at % 7 === 0)], 0.5) / GREY,
  ) as unknown as Light;
  return {
    view,
    flat: flatten(field, grey),
    corner: { x: box.left, y: box.top },
    lightFrom: 'fabric',
  };
}

/** What a fabric of unknown lightness is taken to send back. Ours. */
const GREY = 0.6;

function laidFlat(picture: Picture, { toPicture, scale }: PlaneView, box: Box): Field {
  if (scale < LEAST_SCALE) throw refused('too-coarse', { scale });
  const kept = Math.min(MOST_SCALE, scale);
  return fieldOf(picture, toPicture, box, kept, scale / kept);
}

/** Finds the seam on a sample that lies flat, and its holes. @throws CoreFault a `SampleRefusal` */
export function readSampleField(
  { view, flat, corner, lightFrom }: SampleField,
  { thread }: PointedAt = {},
): PictureReading {
  const own = thread && colourAt(flat, inFlat(thread, view, corner, flat.scale));
  return { ...readFace(flat, own), view, corner, lightFrom, fabric: flat.fabric };
}

function inFlat(at: Point, { toPicture }: PlaneView, corner: Point, scale: number): Point {
  const { x, y } = through(inverse3(toPicture), at);
  return { x: (x - corner.x) * scale, y: (y - corner.y) * scale };
}

/**
 * How far from the fabric's colour the thread at a place is: near it the place that is most unlike the fabric, for nobody
 * points at a thread's very middle. @throws CoreFault `not-on-picture`
 */
function colourAt({ planes, fabric, scale, unlike }: FlatField, at: Point): Light {
  const { width, height } = planes[0];
  const [reach, near] = [Math.max(1, Math.round(THREAD * scale)), Math.round(NEAR * scale)];
  const [x, y] = [Math.round(at.x), Math.round(at.y)];
  const edge = reach + near;
  if (x < edge || y < edge || x >= width - edge || y >= height - edge)
    throw refused('not-on-picture');
  let best: { readonly light: Light; readonly unlike: number } | undefined;
  for (let v = y - near; v <= y + near; v += 1)
    for (let u = x - near; u <= x + near; u += 1) {
      const light = planes.map(
        (one, part) => meanAbout(one, u, v, reach) - (fabric[part] ?? 0),
      ) as unknown as Light;
      const far = unlikenessOf(light, unlike);
      if (!best || far > best.unlike) best = { light, unlike: far };
    }
  return best?.light ?? [0, 0, 0];
}

function meanAbout({ width, data }: Plane, x: number, y: number, reach: number): number {
  let sum = 0;
  for (let v = y - reach; v <= y + reach; v += 1)
    for (let u = x - reach; u <= x + reach; u += 1) sum += data[v * width + u] ?? 0;
  return sum / (2 * reach + 1) ** 2;
}

/** Half of a square within a thread's width, in millimetres; and so near to it somebody points. Ours. */
const THREAD = 0.1;
const NEAR = 0.4;

/** Bare paper above and below the frame, between the marks. */
const PAPER_STRIPS = [
  { left: 20, top: 10, right: 90, bottom: 15 },
  { left: 20, top: 59, right: 90, bottom: 63 },
] as const;

function meanLight({ planes }: Field): Light {
  return planes.map(
    ({ data }) => data.reduce((sum, one) => sum + one, 0) / data.length,
  ) as unknown as Light;
}
