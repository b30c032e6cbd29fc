import { SeamDrawing } from '../../../drawing/tension/SeamDrawing.tsx';
import { instruments } from '../../../messages/instruments.ts';
import { CheckLinks } from '../../frame/CheckLinks.tsx';
import { SEAMS } from '../balance/reading.ts';

/** Causes whose samples look the same, side by side, with the look that tells them apart. */
export function AlikePart() {
  const words = instruments.tension.alike;
  return (
    <div className="flex flex-col gap-6">
      <div>
        <h1 className="text-2xl leading-tight font-bold">{words.heading}</h1>
        <p className="mt-1 max-w-prose leading-snug">{words.lead}</p>
      </div>
      {words.pairs.map(({ id, balance, names, looks, checks }) => (
        <section
          key={id}
          aria-label={names.join(', ')}
          className="grid gap-6 border-t-2 border-ink pt-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)]"
        >
          <SeamDrawing
            seam={{ ...SEAMS.straight, balance }}
            account={instruments.tension.picture.account(balance)}
            names={instruments.tension.picture}
            className="w-full max-w-md lg:row-span-2"
          />
          {names.map((name, place) => (
            <div key={name} className="flex flex-col gap-2">
              <h2 className="text-xl leading-tight font-semibold">{name}</h2>
              <p className="max-w-prose leading-snug">{looks[place]}</p>
            </div>
          ))}
          <div className="lg:col-start-2 lg:col-span-2">
            <h3 className="font-semibold">{words.tells}</h3>
            <CheckLinks checks={checks} />
          </div>
        </section>
      ))}
    </div>
  );
}
