import {
  GROOVE_SHARE,
  grooveShare,
  type Millimetres,
  type NeedleSize,
  needleSize,
  SOLD_SIZES,
  sizesForThread,
  tipDeflection,
} from '@nodo/core';
import { type CoatingId, type PointId, pointOf } from './kinds.ts';

/** What is sewn, as far as it chooses a needle. */
export const FABRICS = [
  { id: 'weave', title: 'Woven' },
  { id: 'fine-weave', title: 'Fine or dense weave' },
  { id: 'heavy-weave', title: 'Denim, canvas' },
  { id: 'layers', title: 'Layers with wadding' },
  { id: 'knit', title: 'Knit' },
  { id: 'stretch-knit', title: 'Knit with elastane' },
  { id: 'leather', title: 'Leather' },
  { id: 'coated', title: 'Coated, film, adhesive' },
] as const;
export type FabricId = (typeof FABRICS)[number]['id'];

export const THREAD_KINDS = ['plain', 'metallic', 'embroidery', 'transparent'] as const;
export type ThreadKind = (typeof THREAD_KINDS)[number];

export interface Work {
  readonly fabric: FabricId;
  readonly layers: number;
  /** Thickness of one ply of fabric, pressed together, mm. */
  readonly thickness: number;
  /** Whether seams cross, so that twice the layers lie under the needle. */
  readonly crossing: boolean;
  readonly threadKind: ThreadKind;
  /** Diameter of the thread. */
  readonly thread: Millimetres;
}

/** A needle as a packet names it. */
export interface NeedleKind {
  readonly system: string;
  readonly size: number;
  readonly point: PointId;
  readonly coating: CoatingId;
}

/** Why the needle is chosen so; words for people are found elsewhere. */
export type FitReason =
  | { readonly because: 'groove'; readonly least: number; readonly most: number }
  | {
      readonly because: 'thickness';
      readonly under: number;
      readonly least: number;
      readonly most: number;
    }
  | { readonly because: 'thread-thicker-than-fabric-bears'; readonly share: number }
  | { readonly because: 'thread-finer-than-fabric-bears'; readonly share: number }
  | { readonly because: 'fabric'; readonly fabric: FabricId }
  | { readonly because: 'thread-kind'; readonly kind: ThreadKind }
  | { readonly because: 'heat' }
  | { readonly because: 'adhesive' };

export interface NeedleFit {
  readonly system: string;
  /** Sizes that are sold and suit, the thinnest first; never empty. */
  readonly sizes: readonly NeedleSize[];
  readonly best: NeedleSize;
  /** Sizes that are sold and that the fabric bears, whatever the thread. */
  readonly bears: readonly NeedleSize[];
  /** Points that suit, the best first. */
  readonly points: readonly PointId[];
  /** Points that will do. */
  readonly pointsWillDo: readonly PointId[];
  readonly eye: 'usual' | 'long' | 'wide';
  readonly coatings: readonly CoatingId[];
  readonly reasons: readonly FitReason[];
  /** Share of the best needle's blade that the thread takes. */
  readonly share: number;
}

/**
 * Sizes by what lies under the needle, in mm when pressed together. Ours after what packets and
 * the trade say of light, medium and heavy work; typical, no source.
 */
const BY_THICKNESS: readonly (readonly [under: number, least: number, most: number])[] = [
  [0.35, 60, 70],
  [0.8, 70, 80],
  [1.6, 80, 90],
  [3, 90, 100],
  [Number.POSITIVE_INFINITY, 100, 110],
];

/** Points by fabric, the best first: common practice. */
const BY_FABRIC: Readonly<Record<FabricId, readonly PointId[]>> = {
  weave: ['fine-sharp', 'universal'],
  'fine-weave': ['fine-sharp'],
  'heavy-weave': ['denim', 'fine-sharp'],
  layers: ['quilting', 'top-stitch', 'fine-sharp', 'universal'],
  knit: ['ball', 'stretch', 'universal'],
  'stretch-knit': ['stretch'],
  leather: ['leather'],
  coated: ['non-stick', 'fine-sharp'],
};

/**
 * Points that suit it less and sew it all the same: a plain weave is sewn by nearly every point, a knit by
 * what does not cut its yarns. Common practice.
 */
const WILL_DO: Readonly<Record<FabricId, readonly PointId[]>> = {
  weave: ['quilting', 'denim', 'embroidery', 'top-stitch', 'metallic', 'ball', 'non-stick'],
  'fine-weave': ['universal', 'quilting', 'embroidery', 'metallic', 'non-stick'],
  'heavy-weave': ['universal', 'top-stitch', 'quilting', 'leather'],
  layers: ['denim', 'embroidery', 'metallic'],
  knit: ['embroidery'],
  'stretch-knit': ['ball'],
  leather: ['denim'],
  coated: ['universal', 'quilting', 'denim'],
};

/** The same by thread; a metallic that runs through a usual eye frays. Common practice. */
const WILL_DO_FOR_THREAD: Readonly<Record<ThreadKind, readonly PointId[]>> = {
  plain: [],
  transparent: [],
  metallic: ['embroidery'],
  embroidery: ['metallic', 'quilting', 'fine-sharp', 'universal', 'ball'],
};

/** Where most of the blade's diameter would be thread, a long eye and a wide groove still carry it. */
const LONG_EYE_SHARE = 0.42;

/** From so many millimetres across a thread is a thick one: a quarter more than all-purpose. Ours, no source. */
const THICK_THREAD = 0.24;

/** From so many millimetres on a blade that runs through grows hot. Ours, no source. */
const HEATS_FROM = 3;

/** What is taken for everyday work, where either suits: both are common practice. */
export const EVERYDAY_POINTS = ['fine-sharp', 'universal'] as const satisfies readonly PointId[];
export type EverydayPoint = (typeof EVERYDAY_POINTS)[number];

/** Sizes that are sold and that so much fabric bears, whatever the thread; never empty. */
export function sizesFabricBears(
  work: Pick<Work, 'layers' | 'thickness' | 'crossing'>,
): readonly NeedleSize[] {
  const { least, most } = spanFor(work);
  return SOLD_SIZES.filter((size) => size >= least && size <= most);
}

/** How much lies under the needle, mm, and the sizes that it bears. */
function spanFor({ layers, thickness, crossing }: Pick<Work, 'layers' | 'thickness' | 'crossing'>) {
  const under = layers * thickness * (crossing ? 2 : 1);
  const row = BY_THICKNESS.find(([most]) => under <= most);
  const [, least, most] = row ?? [0, 100, 110];
  return { under, least, most };
}

/**
 * Which needle suits a piece of work on a machine of this system.
 * @param everyday the school of everyday needles; fine sharp pierces yarns and sews straightest.
 */
export function fitNeedle(
  work: Work,
  system: string,
  everyday: EverydayPoint = 'fine-sharp',
): NeedleFit {
  const { under, least, most } = spanFor(work);
  const [threadLeast, threadMost] = sizesForThread(work.thread);
  const reasons: FitReason[] = [
    { because: 'thickness', under, least, most },
    { because: 'groove', least: threadLeast, most: threadMost },
  ];
  const bears = sizesFabricBears(work);
  const suits = bears.filter((size) => size >= threadLeast && size <= threadMost);
  let eye: NeedleFit['eye'] = 'usual';
  let sizes = suits;
  if (suits.length === 0) {
    const thick = threadLeast > most;
    // The fabric bears no needle whose groove takes the thread: its thickest, or its thinnest.
    sizes = thick ? bears.slice(-1) : bears.slice(0, 1);
    const share = grooveShare(work.thread, sizes[0] ?? needleSize(most));
    reasons.push({
      because: thick ? 'thread-thicker-than-fabric-bears' : 'thread-finer-than-fabric-bears',
      share,
    });
    if (thick) eye = 'long';
  }
  const best = closestToMiddle(sizes, work.thread);
  const { points: suited, reason } = pointsFor(work, eye);
  const points =
    suited.includes(everyday) && isEveryday(suited[0]) ? first(everyday, suited) : suited;
  reasons.push(reason);
  const [point] = points;
  if (eye === 'usual' && point) eye = pointOf(point)?.eye ?? 'usual';
  const { coatings, reasons: why } = coatingsFor(work, under);
  reasons.push(...why);
  return {
    system,
    sizes,
    best,
    bears,
    points,
    pointsWillDo: willDo(work, points),
    eye,
    coatings,
    reasons,
    share: grooveShare(work.thread, best),
  };
}

function isEveryday(point: PointId | undefined): boolean {
  return EVERYDAY_POINTS.some((one) => one === point);
}

function first(point: PointId, points: readonly PointId[]): readonly PointId[] {
  return [point, ...points.filter((one) => one !== point)];
}

/** The size in whose groove the thread lies best: nearest the middle of what is good. */
function closestToMiddle(sizes: readonly NeedleSize[], thread: Millimetres): NeedleSize {
  const middle = (GROOVE_SHARE.least + GROOVE_SHARE.most) / 2;
  const off = (size: NeedleSize) => Math.abs(grooveShare(thread, size) - middle);
  return [...sizes].sort((a, b) => off(a) - off(b))[0] ?? needleSize(80);
}

function pointsFor(
  { fabric, threadKind, thread }: Work,
  eye: NeedleFit['eye'],
): { readonly points: readonly PointId[]; readonly reason: FitReason } {
  // What must be cut or must stretch decides before the thread does.
  const byFabric = BY_FABRIC[fabric];
  if (fabric === 'leather' || fabric === 'stretch-knit') {
    return { points: byFabric, reason: { because: 'fabric', fabric } };
  }
  if (threadKind === 'metallic' || threadKind === 'embroidery') {
    const point = threadKind === 'metallic' ? 'metallic' : 'embroidery';
    return { points: [point, 'top-stitch'], reason: { because: 'thread-kind', kind: threadKind } };
  }
  const others = byFabric.filter((point) => point !== 'top-stitch');
  const points: readonly PointId[] =
    eye === 'long'
      ? ['top-stitch', ...others]
      : thread >= THICK_THREAD
        ? [...others, 'top-stitch']
        : byFabric;
  return { points, reason: { because: 'fabric', fabric } };
}

function willDo({ fabric, threadKind }: Work, suited: readonly PointId[]): readonly PointId[] {
  const forThread = threadKind === 'metallic' || threadKind === 'embroidery';
  const points = forThread ? WILL_DO_FOR_THREAD[threadKind] : WILL_DO[fabric];
  return points.filter((point) => !suited.includes(point));
}

interface Coatings {
  readonly coatings: readonly CoatingId[];
  readonly reasons: readonly FitReason[];
}

function coatingsFor({ fabric }: Work, under: number): Coatings {
  if (fabric === 'coated') {
    return { coatings: ['non-stick', 'chrome'], reasons: [{ because: 'adhesive' }] };
  }
  if (under >= HEATS_FROM || fabric === 'heavy-weave') {
    return {
      coatings: ['chrome', 'titanium-nitride', 'nickel'],
      reasons: [{ because: 'heat' }],
    };
  }
  return { coatings: ['chrome', 'nickel', 'titanium-nitride', 'non-stick'], reasons: [] };
}

/** How a needle stands to a piece of work in one respect. */
export type FitGrade = 'suits' | 'will-do' | 'wrong';

/** By finding of the check of needle against work; seen is what is wrong. */
export interface NeedleVerdict {
  readonly 'system-wrong': Exclude<FitGrade, 'will-do'>;
  readonly 'size-too-thin': FitGrade;
  readonly 'eye-too-small': FitGrade;
  readonly 'point-wrong': FitGrade;
  readonly 'size-too-thick': FitGrade;
}

/**
 * How a needle that was found stands against the one that would suit. One tolerance for all that is
 * measured: a needle one sold size off will do.
 */
export function judgeNeedle(
  needle: NeedleKind,
  fit: NeedleFit,
  thread: Millimetres,
): NeedleVerdict {
  const size = needleSize(needle.size);
  const eye = pointOf(needle.point)?.eye ?? 'usual';
  const carries = eye === 'usual' ? GROOVE_SHARE.most : LONG_EYE_SHARE;
  const fitsThread = (one: NeedleSize): boolean => grooveShare(thread, one) <= carries;
  const [thinnest, thickest] = [Math.min(...fit.bears), Math.max(...fit.bears)];
  const isThick = size > Math.max(...fit.sizes);
  return {
    'system-wrong': folded(needle.system) === folded(fit.system) ? 'suits' : 'wrong',
    'size-too-thin': graded(size >= thinnest, thicker(size) >= thinnest),
    'eye-too-small': graded(fitsThread(size), fitsThread(thicker(size))),
    'point-wrong': graded(
      fit.points.includes(needle.point),
      fit.pointsWillDo.includes(needle.point),
    ),
    // Thicker than the thread needs, on fabric that bears it, only makes a larger hole.
    'size-too-thick': graded(!isThick, thinner(size) <= thickest),
  };
}

function graded(suits: boolean, willDo: boolean): FitGrade {
  if (suits) return 'suits';
  return willDo ? 'will-do' : 'wrong';
}

/** One sold size up; the thickest stays. */
function thicker(size: NeedleSize): NeedleSize {
  return SOLD_SIZES.find((one) => one > size) ?? size;
}

/** One sold size down; the thinnest stays. */
function thinner(size: NeedleSize): NeedleSize {
  return SOLD_SIZES.findLast((one) => one < size) ?? size;
}

/** Systems are written with and without gaps. */
function folded(system: string): string {
  return system.toLowerCase().replace(/[\s/.-]/g, '');
}

/** How far the tips of the needle found and the one chosen give way under a newton, in mm. */
export function givesWay(found: number, chosen: NeedleSize) {
  return { found: tipDeflection(1, needleSize(found)), chosen: tipDeflection(1, chosen) };
}
