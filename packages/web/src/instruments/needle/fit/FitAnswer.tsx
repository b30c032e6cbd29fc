import { sizeName } from '@nodo/core';
import { coatingOf, type NeedleFit, pointOf } from '@nodo/knowledge';
import { SizeLadder } from '../../../drawing/needle/SizeLadder.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';

/** The needle to take, in the words of its packet, and why. */
export function FitAnswer({
  fit,
  found,
}: {
  readonly fit: NeedleFit;
  /** Size of the needle that was found in the machine. */
  readonly found: number | undefined;
}) {
  const words = instruments.needle.fit;
  const points = fit.points.flatMap((id) => pointOf(id) ?? []);
  const coatings = fit.coatings.flatMap((id) => coatingOf(id) ?? []);
  return (
    <section aria-label={words.suits}>
      <h2 className="text-sm font-semibold text-quiet">{words.suits}</h2>
      <p className="text-3xl leading-tight font-bold" data-testid="fit">
        {fit.system} {sizeName(fit.best)}{' '}
        <span className="block text-2xl">
          {points[0]?.title}, {words.eye[fit.eye]}, {coatings[0]?.title.toLowerCase()}
        </span>
      </p>
      {fit.sizes.length > 1 && <p className="mt-1">{fit.sizes.map(sizeName).join(words.or)}</p>}
      <Ladder fit={fit} found={found} />
      <ul className="mt-2 flex flex-col gap-1 leading-snug">
        {fit.reasons.map((reason) => (
          <li key={reason.because} className="flex gap-1">
            <span>{words.reasons(reason, write.figure)}</span>
            <ProvenanceMark
              standing={reason.because === 'fabric' ? 'common-practice' : 'typical'}
            />
          </li>
        ))}
      </ul>
      <dl className="mt-2 grid gap-x-6 gap-y-1 text-sm leading-snug sm:grid-cols-2">
        <div>
          <dt className="font-semibold">{words.point}</dt>
          {points.map(({ id, title, madeFor }) => (
            <dd key={id}>
              {title}: {madeFor}
            </dd>
          ))}
        </div>
        <div>
          <dt className="font-semibold">{words.coating}</dt>
          {coatings.slice(0, 2).map(({ id, title, does }) => (
            <dd key={id}>
              {title}: {does}
            </dd>
          ))}
        </div>
      </dl>
    </section>
  );
}

/** Where the sizes that the fabric bears and those for the thread overlap. */
function Ladder({ fit, found }: { readonly fit: NeedleFit; readonly found: number | undefined }) {
  const groove = fit.reasons.find((reason) => reason.because === 'groove');
  const [thinnest] = fit.bears;
  const thickest = fit.bears.at(-1);
  if (!groove || thinnest === undefined || thickest === undefined) return null;
  return (
    <SizeLadder
      fabric={[thinnest, thickest]}
      thread={[groove.least, groove.most]}
      found={found}
      chosen={fit.best}
    />
  );
}
