import { bobbinLasts, bobbinMetres, metresLeft, mm, threadPerStitch, whereValid } from '@nodo/core';
import { readNumber } from '../../../messages/typed.ts';

export const LEFT_FIELDS = [
  'full',
  'core',
  'width',
  'winding',
  'thread',
  'length',
  'zigzag',
  'fabric',
  'seam',
] as const;

/** Lengths as they are typed: in millimetres, the seam in metres. */
export type TypedBobbin = Readonly<Record<(typeof LEFT_FIELDS)[number], string>>;

export interface ThreadLeft {
  /** Metres on a full bobbin, and on it now. */
  readonly full: number;
  readonly left: number;
  readonly stitches: number;
  /** Whether that is enough for the seam. */
  readonly lasts: boolean;
  /** Metres of seam that it is enough for, and that are still to sew. */
  readonly seam: number;
  readonly wanted: number;
  /** The bobbin itself, mm. */
  readonly room: Readonly<Record<'full' | 'core' | 'width' | 'winding', number>>;
}

/** How far the thread on a bobbin goes; undefined where what was typed cannot be. */
export function threadLeft(typed: TypedBobbin): ThreadLeft | undefined {
  const read = (field: keyof TypedBobbin) => mm(readNumber(typed[field]) ?? Number.NaN);
  return whereValid(() => {
    const room = { full: read('full'), core: read('core'), width: read('width') };
    const length = read('length');
    const perStitch = threadPerStitch(length, read('zigzag'), read('fabric'));
    const left = metresLeft(room, read('winding'), read('thread'));
    const wanted = read('seam');
    const { stitches, lasts } = bobbinLasts(left, perStitch, Math.ceil((wanted * 1000) / length));
    return {
      full: bobbinMetres(room, read('thread')),
      left,
      stitches,
      lasts,
      seam: (stitches * length) / 1000,
      wanted,
      room: { ...room, winding: read('winding') },
    };
  });
}
