import { type Millimetres, mm } from '@nodo/core';

/** A class of bobbin; sizes from memory, typical: there is no bobbin for every machine. */
export interface BobbinClass {
  readonly id: string;
  readonly title: string;
  readonly across: Millimetres;
  /** Over the flanges; undefined where it is not known. */
  readonly width: Millimetres | undefined;
  readonly sides: 'flat' | 'curved';
}

export const BOBBIN_CLASSES = [
  { id: '15', title: 'Class 15', across: mm(20.3), width: mm(11.7), sides: 'flat' },
  { id: 'l', title: 'Class L', across: mm(20.6), width: mm(8.9), sides: 'flat' },
  { id: 'm', title: 'Class M', across: mm(25.4), width: mm(10.7), sides: 'flat' },
  { id: '66', title: 'Class 66', across: mm(20.3), width: undefined, sides: 'curved' },
] as const satisfies readonly BobbinClass[];
export type BobbinClassId = (typeof BOBBIN_CLASSES)[number]['id'];

/** What a caliper on a moulded part may be off by; ours, no source. */
const BOBBIN_TOLERANCE = mm(0.3);

/** Differences of decimals are not exact. */
const ROUNDING = 1e-9;

/** From so far off nobody takes one for the other. */
const ALIKE = 1;

/** What was measured on a bobbin. */
export interface MeasuredBobbin {
  readonly across: number;
  readonly width: number;
  readonly sides: 'flat' | 'curved';
}

/** How a measured bobbin stands to one class. */
export interface BobbinMatch {
  readonly bobbin: BobbinClass;
  /** Measured less the class, mm. */
  readonly acrossOff: number;
  readonly widthOff: number | undefined;
  /** It is one: within tolerance all round, sides alike. */
  readonly fits: boolean;
  /** It is none, but would be taken for one by eye. */
  readonly looksAlike: boolean;
}

/** A measured bobbin against every class, the nearest first. */
export function matchBobbin({ across, width, sides }: MeasuredBobbin): readonly BobbinMatch[] {
  return BOBBIN_CLASSES.map((bobbin: BobbinClass): BobbinMatch => {
    const acrossOff = across - bobbin.across;
    const widthOff = bobbin.width === undefined ? undefined : width - bobbin.width;
    const off = Math.max(Math.abs(acrossOff), Math.abs(widthOff ?? 0));
    const fits = sides === bobbin.sides && off <= BOBBIN_TOLERANCE + ROUNDING;
    return {
      bobbin,
      acrossOff,
      widthOff,
      fits,
      looksAlike: !fits && Math.abs(acrossOff) <= ALIKE,
    };
  }).sort((a, b) => distance(a, sides) - distance(b, sides));
}

function distance({ bobbin, acrossOff, widthOff = 0 }: BobbinMatch, sides: 'flat' | 'curved') {
  // Curved sides are seen at once: they count as much as a millimetre.
  return Math.hypot(acrossOff, widthOff) + (bobbin.sides === sides ? 0 : 1);
}

export function bobbinClassOf(id: string): BobbinClass | undefined {
  return BOBBIN_CLASSES.find((one) => one.id === id);
}

/** What is measured on a bobbin. */
export const BOBBIN_MEASURES = ['across', 'width', 'hole'] as const;
export type BobbinMeasure = (typeof BOBBIN_MEASURES)[number];

/** One measure of a bobbin held against the machine's own. */
export interface AgainstOwn {
  readonly measure: BobbinMeasure;
  readonly value: number;
  readonly own: readonly [least: number, most: number];
  /** How far outside of what the own one may measure; nothing inside it. */
  readonly off: number;
  readonly fits: boolean;
}

/**
 * A bobbin against what the machine's own measures, measure by measure, as far as both are known. The
 * hole is judged only here: no table of classes has it.
 */
export function againstOwn(
  measured: Readonly<Partial<Record<BobbinMeasure, number>>>,
  own: Readonly<Partial<Record<BobbinMeasure, readonly [least: number, most: number]>>>,
): readonly AgainstOwn[] {
  return BOBBIN_MEASURES.flatMap((measure): AgainstOwn[] => {
    const [value, range] = [measured[measure], own[measure]];
    if (value === undefined || range === undefined) return [];
    const off = value - Math.min(Math.max(value, range[0]), range[1]);
    return [
      { measure, value, own: range, off, fits: Math.abs(off) <= BOBBIN_TOLERANCE + ROUNDING },
    ];
  });
}

/** Usual tension of the bobbin thread by use, gf; from memory, typical. */
export const BOBBIN_TENSION = { household: [20, 30], embroidery: [18, 25] } as const;
export type BobbinUse = keyof typeof BOBBIN_TENSION;
