import { create } from 'qrcode';
import { useReachQuery } from '../../api/client.ts';
import { people } from '../../messages/people.ts';

/** How another device of the shop comes to this Nodo. */
export function OtherBenches() {
  const { data: reach } = useReachQuery();
  const words = people.benches;
  if (reach === undefined) return null;
  return (
    <section className="mt-6 max-w-3xl">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      {reach === null ? (
        <p className="text-quiet">
          {words.alone} <code className="font-mono text-ink">{words.command}</code>,{' '}
          {words.thenOthers}
        </p>
      ) : (
        <div className="mt-2 flex flex-wrap gap-6">
          <Code text={reach.door} />
          <dl className="max-w-md min-w-0 flex-1">
            <dt className="font-semibold">{words.once}</dt>
            <dd className="mb-3">
              <p>{words.onceLead}</p>
              <p className="font-mono break-all">{reach.door}</p>
            </dd>
            <dt className="font-semibold">{words.daily}</dt>
            <dd>
              <p>{words.dailyLead}</p>
              <p className="font-mono break-all">{reach.address}</p>
            </dd>
          </dl>
        </div>
      )}
    </section>
  );
}

/** A QR code; dark on light on either bench, or cameras do not read it. */
function Code({ text }: { readonly text: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const QUIET = 4;
  const side = modules.size + 2 * QUIET;
  const dark = Array.from(modules.data).flatMap((bit, index) =>
    bit
      ? [`M${(index % modules.size) + QUIET} ${Math.floor(index / modules.size) + QUIET}h1v1h-1z`]
      : [],
  );
  return (
    <svg
      role="img"
      aria-label={people.benches.codeFor(text)}
      viewBox={`0 0 ${side} ${side}`}
      className="size-44 shrink-0"
      shapeRendering="crispEdges"
    >
      <rect width={side} height={side} fill="#fff" />
      <path d={dark.join('')} fill="#000" />
    </svg>
  );
}
