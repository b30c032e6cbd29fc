import type { Light } from './picture.ts';
import type { PictureReading } from './readPicture.ts';

type Lit = Pick<PictureReading, 'fabric' | 'lightFrom'>;

/**
 * A colour, told as how far it is from one face's fabric, as far as it is from the other's. Without paper in both pictures
 * the fabric, which has two sides alike, is what they have in common.
 * @param bright how bright it is there beside here
 */
export function relit(off: Light, from: Lit, to: Lit, bright = 1): Light {
  const isByPaper = from.lightFrom === 'paper' && to.lightFrom === 'paper';
  return off.map((one, part) => {
    const [there, here] = [from.fabric[part] ?? 0, to.fabric[part] ?? 0];
    return bright * (isByPaper ? 1 : here / there) * (one + there) - here;
  }) as unknown as Light;
}
