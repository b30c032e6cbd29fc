import { type Millimetres, mm, positive, type Tex, tex } from '../units/quantities.ts';

/**
 * Density of fibres in kg/m3. Polyester and cotton as in textile tables; the others from memory,
 * typical.
 */
export const FIBRE_DENSITY = {
  polyester: 1380,
  cotton: 1520,
  nylon: 1140,
  rayon: 1520,
  silk: 1340,
} as const;
export type Fibre = keyof typeof FIBRE_DENSITY;

export const FIBRES = Object.keys(FIBRE_DENSITY) as [Fibre, ...Fibre[]];

/** Share of a thread's round section that is fibre; typical for sewing thread. */
export const PACKING = 0.6;

/**
 * Diameter of a thread taken as a round strand: sqrt(4 T / (pi rho phi)).
 * @param packing share of the section that is fibre, above 0 and at most 1.
 */
export function threadDiameter(thread: Tex, fibre: Fibre, packing = PACKING): Millimetres {
  // tex is 1e-6 kg/m; the root is in metres.
  const section = (thread * 1e-6) / (FIBRE_DENSITY[fibre] * positive('packing', packing));
  return mm(Math.sqrt((4 * section) / Math.PI) * 1000);
}

/** Fineness of a thread that was measured across: the way back from {@link threadDiameter}. */
export function texOfDiameter(across: Millimetres, fibre: Fibre, packing = PACKING): Tex {
  const metres = positive('diameter', across) / 1000;
  return tex(((Math.PI * metres ** 2) / 4) * FIBRE_DENSITY[fibre] * packing * 1e6);
}
