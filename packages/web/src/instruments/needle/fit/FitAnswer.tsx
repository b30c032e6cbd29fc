import { sizeName } from '@nodo/core';
import { coatingOf, type NeedleFit, pointOf } from '@nodo/knowledge';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';

/** The needle to take, in the words of its packet, and why. */
export function FitAnswer({ fit }: { readonly fit: NeedleFit }) {
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
      <dl className="mt-2 grid gap-x-6 gap-y-1 text-sm leading-snug sm:grid-cols-2 lg:grid-cols-1">
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
