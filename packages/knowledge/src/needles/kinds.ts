import type { Provenance } from '../schema/provenance.ts';

/** What a point and its eye are made for. */
export interface NeedlePoint {
  readonly id: string;
  readonly title: string;
  readonly madeFor: string;
  readonly eye: 'usual' | 'long' | 'wide';
  readonly standing: Provenance;
}

/** Points as packets name them; what each is made for is common practice. */
export const NEEDLE_POINTS = [
  point('universal', 'Universal', 'many fabrics, between sharp and ball'),
  point('fine-sharp', 'Fine sharp', 'wovens: it pierces yarns and sews the straightest line'),
  point('ball', 'Ball', 'knits: it slips between the yarns'),
  point('stretch', 'Stretch', 'knits with elastane, where a ball point still skips'),
  point('quilting', 'Quilting', 'layers with wadding: a slim taper'),
  point('top-stitch', 'Top-stitch', 'thick thread: a long eye and a wide groove', 'long'),
  point('denim', 'Denim', 'dense heavy weaves: a stiff blade, a smaller eye'),
  point('leather', 'Leather', 'leather only: it cuts'),
  point('embroidery', 'Embroidery', 'dense embroidery: a wide eye, a larger scarf hump', 'wide'),
  point('metallic', 'Metallic', 'metallic thread: a long polished eye', 'long'),
  point('non-stick', 'Non-stick', 'adhesives, film and coated fabric'),
  point('overlock', 'Overlock system', 'machines that take only this system'),
] as const satisfies readonly NeedlePoint[];
export type PointId = (typeof NEEDLE_POINTS)[number]['id'];

function point<Id extends string>(
  id: Id,
  title: string,
  madeFor: string,
  eye: NeedlePoint['eye'] = 'usual',
) {
  return { id, title, madeFor, eye, standing: 'common-practice' } as const;
}

export interface NeedleCoating {
  readonly id: string;
  readonly title: string;
  readonly does: string;
  readonly standing: Provenance;
}

/** What a blade is coated with; common practice. */
export const NEEDLE_COATINGS = [
  coating('nickel', 'Nickel', 'ordinary work'),
  coating('chrome', 'Chrome', 'less friction and heat'),
  coating(
    'titanium-nitride',
    'Titanium nitride',
    'hard and long-lived, but it shatters into several pieces: count them',
  ),
  coating('non-stick', 'Non-stick', 'adhesive does not cling'),
] as const satisfies readonly NeedleCoating[];
export type CoatingId = (typeof NEEDLE_COATINGS)[number]['id'];

function coating<Id extends string>(id: Id, title: string, does: string) {
  return { id, title, does, standing: 'common-practice' } as const;
}

/** The id as one of the table's; undefined for one that it does not have. */
export function pointOf(id: string) {
  return NEEDLE_POINTS.find((one) => one.id === id);
}

export function coatingOf(id: string) {
  return NEEDLE_COATINGS.find((one) => one.id === id);
}
