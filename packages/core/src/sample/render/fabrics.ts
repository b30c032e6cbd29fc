import { seeded } from '../../chance/seeded.ts';

/** Made-up fabrics of a rendered sample. */
export const FABRICS = ['plain', 'twill', 'jersey', 'speckled', 'striped'] as const;
export type Fabric = (typeof FABRICS)[number];

/** How much of its colour a fabric shows at a place in millimetres: about 1. */
export function fabricShade(fabric: Fabric, seed: number): (x: number, y: number) => number {
  const random = seeded(seed);
  const turn = 0.1 * (random() - 0.5);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const weave = weaveOf(fabric, 0.32 + 0.2 * random());
  const cloud = cloudOf(random);
  return (x, y) => {
    const [along, across] = [cos * x + sin * y, cos * y - sin * x];
    return weave(along, across) * (1 + 0.05 * cloud(x, y));
  };
}

/** @param yarn millimetres from yarn to yarn */
function weaveOf(fabric: Fabric, yarn: number): (x: number, y: number) => number {
  const wave = (at: number) => Math.cos((2 * Math.PI * at) / yarn);
  switch (fabric) {
    case 'plain':
      return (x, y) => 1 + 0.06 * wave(x) * wave(y);
    case 'twill':
      return (x, y) => 1 + 0.09 * wave((x + y) / 1.4);
    case 'jersey':
      return (x, y) =>
        1 + 0.07 * wave(1.3 * x) + 0.04 * wave(y + 0.2 * Math.abs(((x / yarn) % 1) - 0.5));
    case 'speckled':
      return (x, y) =>
        1 +
        0.05 * Math.sin(37 * x + 11 * Math.sin(23 * y)) * Math.sin(41 * y + 7 * Math.sin(29 * x));
    case 'striped':
      return (x, y) => (Math.abs((y / 7) % 1) < 0.5 ? 1 : 0.9) * (1 + 0.05 * wave(x));
  }
}

/** Soft clouds some millimetres wide, from -1 to 1. */
function cloudOf(random: () => number): (x: number, y: number) => number {
  const waves = Array.from({ length: 4 }, () => {
    const heading = 2 * Math.PI * random();
    const often = 0.4 + random();
    return { x: often * Math.cos(heading), y: often * Math.sin(heading), from: 6 * random() };
  });
  return (x, y) =>
    waves.reduce((sum, wave) => sum + Math.sin(wave.x * x + wave.y * y + wave.from), 0) /
    waves.length;
}
