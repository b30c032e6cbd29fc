import type { Point } from '../linkage/aroundDisc.ts';
import { CARD } from './card.ts';
import { type FaceReading, readFace } from './faceReading.ts';
import { type Field, fieldOf } from './field.ts';
import { type CardFound, findCard } from './findCard.ts';
import { type FlatField, flatten } from './flatten.ts';
import { assertPicture, type Light, type Picture } from './picture.ts';
import { refused } from './refusal.ts';

/** More pixels a millimetre tell no more. */
const MOST_SCALE = 10;
/** Fewer pixels a millimetre show no thread. */
const LEAST_SCALE = 5;
/** Left out along the frame's edges, in millimetres: the sample's own edge may lie there. */
const INSET = 0.6;

/** A sample laid flat: its own millimetres, even light. */
export interface SampleField {
  readonly card: CardFound;
  readonly flat: FlatField;
  /** Where the field's first pixel lies, in the millimetres of the card. */
  readonly corner: Point;
}

/** A face of a sample as it is read from a picture with the card in it. */
export interface PictureReading extends FaceReading {
  readonly card: CardFound;
  readonly corner: Point;
  readonly fabric: Light;
}

/** @throws CoreFault a `SampleRefusal`, or `not-a-picture` */
export function readPicture(picture: Picture): PictureReading {
  return readSampleField(sampleField(picture));
}

/** Finds the card and lays what it frames flat. @throws CoreFault `no-card`, `too-coarse`, `not-a-picture` */
export function sampleField(picture: Picture): SampleField {
  assertPicture(picture);
  const card = findCard(picture);
  if (!card) throw refused('no-card');
  if (card.scale < LEAST_SCALE) throw refused('too-coarse', { scale: card.scale });
  const scale = Math.min(MOST_SCALE, card.scale);
  const { left, top, right, bottom } = CARD.frame;
  const frame = {
    left: left + INSET,
    top: top + INSET,
    right: right - INSET,
    bottom: bottom - INSET,
  };
  const field = fieldOf(picture, card.toPicture, frame, scale, card.scale / scale);
  const strips = PAPER_STRIPS.map((box) => meanLight(fieldOf(picture, card.toPicture, box, 2, 2)));
  const paper = [0, 1, 2].map(
    (part) => strips.reduce((sum, light) => sum + (light[part] ?? 0), 0) / strips.length,
  ) as unknown as Light;
  return { card, flat: flatten(field, paper), corner: { x: frame.left, y: frame.top } };
}

/** Finds the seam on a sample that lies flat, and its holes. @throws CoreFault a `SampleRefusal` */
export function readSampleField({ card, flat, corner }: SampleField): PictureReading {
  return { ...readFace(flat), card, corner, fabric: flat.fabric };
}

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
