import { SAMPLE_SIDES } from '@nodo/core';
import { type KeptFace, SAMPLE_VALUES, type SampleValue, type Ticket } from '@nodo/ticket';
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
          {SAMPLE_VALUES.filter((value) => isShown(value, sample)).map((value) => (
            <tr key={value} className="border-b border-rule align-top">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                {words.figures[value]}
              </th>
              {sides.map((side) => {
                const face = sample.faces[side];
                return (
                  <td key={side}>
                    <span className="font-mono">{valueIn(face, value)}</span>
                    {face?.byHand.includes(value) && (
                      <span className="block text-sm text-quiet">{words.figures.byHand}</span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm text-quiet">
        {words.compare.seam}: {instruments.tension.seams[sample.seam]}.
      </p>
    </section>
  );
}

/** A straight seam has no width, and thread that hangs loose is looked for on both sides together. */
function isShown(value: SampleValue, { seam, faces }: Measured): boolean {
  if (value === 'width') return seam === 'zigzag';
  return value !== 'loose' || SAMPLE_SIDES.some((side) => faces[side]?.loose !== undefined);
}

function valueIn(face: KeptFace | undefined, value: SampleValue): string {
  const figure = face?.[value];
  return figure === undefined ? '' : write.figure(figure);
}
