import type { SampleSide } from '@nodo/core';
import { lazy, Suspense } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { Sewing } from '../../../ui/Stitches.tsx';
import type { FaceRead } from '../../../workers/sample.worker.ts';
import { Columns } from '../../frame/bits.tsx';

/** The chart brings a library of its own, which nothing else waits for. */
const LengthChart = lazy(() => import('./LengthChart.tsx'));

/** Every stitch of a side: as a chart, and as a table behind it. */
export function StitchList({
  side,
  read,
  through,
}: {
  readonly side: SampleSide;
  readonly read: FaceRead;
  /** Square millimetres of the other thread at each hole, once they are known. */
  readonly through: readonly number[] | undefined;
}) {
  const words = instruments.sample.stitchList;
  return (
    <section aria-label={words.chart(side)} className="flex flex-col gap-1">
      <h3 className="font-semibold">{words.chart(side)}</h3>
      <Suspense fallback={<Sewing label={words.title} />}>
        <LengthChart side={side} read={read} />
      </Suspense>
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
          {words.title}
        </summary>
        <table className="w-full">
          <Columns
            names={[
              words.columns.number,
              words.columns.length,
              ...(through ? [words.columns.through] : []),
              words.columns.skipped,
            ]}
          />
          <tbody>
            {spansOf(read).map(({ first, last, length, swings }, index) => (
              <tr key={first} className="border-b border-rule">
                <td className="py-1 font-mono">{words.span(first, last)}</td>
                <td className="font-mono">{length.toFixed(2)}</td>
                {through && (
                  <td className="font-mono">{Math.max(0, through[index] ?? 0).toFixed(2)}</td>
                )}
                <td>{words.skipped(swings)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </section>
  );
}

/** Each span with the numbers of the stitches in it: more than one where it skipped. */
function spansOf({ stitches }: FaceRead) {
  let before = 0;
  return stitches.map(({ length, skipped }) => {
    const first = before + 1;
    before += skipped.length + 1;
    return { first, last: before, length, swings: skipped.map(({ swing }) => swing) };
  });
}
