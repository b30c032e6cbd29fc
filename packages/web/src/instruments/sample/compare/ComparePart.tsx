import { SAMPLE_SIDES } from '@nodo/core';
import { countOf } from '@nodo/shop';
import { SAMPLE_FIGURES, type Ticket } from '@nodo/ticket';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Photo } from '../../../ticket/photo/Photo.tsx';
import { Blank } from '../../../ui/Stitches.tsx';
import { Columns } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';

type Measured = Ticket['life']['samples'][number];

/** The first sample that was measured on this ticket and the last, side by side. */
export function ComparePart() {
  const { onTicket } = useInstrumentBench();
  const words = instruments.sample.compare;
  const samples = onTicket?.ticket.life.samples ?? [];
  const [first] = samples;
  const last = samples.length > 1 ? samples.at(-1) : undefined;
  if (!onTicket) return <Blank title={words.heading} text={words.alone} />;
  if (!first) return <Blank title={words.heading} text={words.none} />;
  const shown = [
    { title: words.first, sample: first },
    ...(last ? [{ title: words.last, sample: last }] : []),
  ];
  return (
    <div className="flex flex-col gap-4">
      <h1 className="text-2xl leading-tight font-bold">{words.heading}</h1>
      {!last && <p>{words.one}</p>}
      <div className="grid gap-6 md:grid-cols-2">
        {shown.map(({ title, sample }) => (
          <SampleSheet key={sample.seq} title={title} sample={sample} />
        ))}
      </div>
    </div>
  );
}

function SampleSheet({ title, sample }: { readonly title: string; readonly sample: Measured }) {
  const words = instruments.sample;
  const sides = SAMPLE_SIDES.filter((side) => sample.faces[side]);
  const { stitches, skips } = countOf(sample);
  return (
    <section aria-label={title} className="flex min-w-0 flex-col gap-3">
      <h2 className="border-b-2 border-ink text-lg font-semibold">
        {title} <span className="font-normal text-quiet">{write.moment(sample.at)}</span>
      </h2>
      <p className="font-semibold">{words.line(sample)}</p>
      <div className="flex flex-wrap gap-4">
        {sides.map((side) => {
          const photo = sample.faces[side]?.photo;
          return (
            <figure key={side}>
              {photo === undefined ? (
                <p className="text-quiet">{words.compare.noPhoto}</p>
              ) : (
                <Photo photo={photo} account={words.keep.photo(side)} />
              )}
              <figcaption className="text-sm text-quiet">{words.sides[side]}</figcaption>
            </figure>
          );
        })}
      </div>
      <table className="w-full">
        <Columns names={[words.figures.by, ...sides.map((side) => words.sides[side])]} />
        <tbody>
          {SAMPLE_FIGURES.filter((figure) => figure !== 'width' || sample.seam === 'zigzag').map(
            (figure) => (
              <tr key={figure} className="border-b border-rule">
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {words.figures[figure]}
                </th>
                {sides.map((side) => (
                  <td key={side} className="font-mono">
                    {write.figure(sample.faces[side]?.[figure] ?? 0)}
                  </td>
                ))}
              </tr>
            ),
          )}
        </tbody>
      </table>
      <p className="text-sm text-quiet">
        {words.compare.seam}: {instruments.tension.seams[sample.seam]}.{' '}
        {words.verdict.skips(skips, stitches)}.
      </p>
    </section>
  );
}
