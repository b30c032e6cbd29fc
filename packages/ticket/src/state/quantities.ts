/**
 * What is measured on a machine and what its manual may tell: unit, and a usual range where
 * there is one. From memory, typical; the machine's own card stands above it.
 */
export const QUANTITIES = {
  'loop-lift': { unit: 'mm', usual: [2.0, 2.4] },
  'bar-height': { unit: 'mm', usual: undefined },
  'hook-above-eye': { unit: 'mm', usual: [1.0, 1.6] },
  'hook-gap': { unit: 'mm', usual: [0.05, 0.1] },
  'needle-stroke': { unit: 'mm', usual: undefined },
  'swing-width': { unit: 'mm', usual: undefined },
  'hook-across': { unit: 'mm', usual: undefined },
  'bobbin-across': { unit: 'mm', usual: undefined },
  'bobbin-width': { unit: 'mm', usual: undefined },
  'bobbin-hole': { unit: 'mm', usual: undefined },
  'stop-gap': { unit: 'mm', usual: undefined },
  'needle-angle': { unit: 'deg', usual: undefined },
  'needle-short': { unit: 'mm', usual: [0, 0.2] },
  'needle-bend': { unit: 'mm', usual: [0, 0.05] },
  'needle-stitches': { unit: 'stitches', usual: undefined },
  'thread-fineness': { unit: 'tex', usual: undefined },
  'bobbin-tension': { unit: 'gf', usual: [20, 30] },
  'top-tension': { unit: 'gf', usual: undefined },
  'foot-pressure': { unit: 'N', usual: undefined },
  'feed-height': { unit: 'mm', usual: undefined },
} as const;
export type Quantity = keyof typeof QUANTITIES;

export const QUANTITY_IDS = Object.keys(QUANTITIES) as [Quantity, ...Quantity[]];
