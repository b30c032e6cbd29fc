import { balanceRead, dialFor, type TensionAnswer } from '@nodo/core';
import { asTries, type SewnTry } from '@nodo/shop';
import { lazy, Suspense, useMemo } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Sewing } from '../../../ui/Stitches.tsx';
import { Columns } from '../../frame/bits.tsx';
import { dialWords } from './reading.ts';

/** The chart brings a library of its own, which nothing else waits for. */
const CurveChart = lazy(() => import('./CurveChart.tsx'));

/** What was sewn so far, as a table and as the curve that it makes likely. */
export function TryLog({
  tries,
  answer: { belief },
  wanted,
}: {
  readonly tries: readonly SewnTry[];
  readonly answer: TensionAnswer;
  readonly wanted: number;
}) {
  const words = instruments.tension;
  const drawn = useMemo(() => asTries(tries), [tries]);
  if (tries.length === 0) return <p className="text-quiet">{words.noTries}</p>;
  const { low, middle, high } = dialFor(belief, wanted, tries.at(-1)?.screw ?? 0);
  const say = (dial: number) => write.tenths(Math.max(0, Math.min(9, dial)));
  const best = words.chart.best(say(middle), say(low), say(high));
  const columns = words.tryColumns;
  return (
    <section aria-label={words.tries} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.tries}</h2>
      <Suspense fallback={<Sewing label={words.tries} />}>
        <CurveChart belief={belief} tries={drawn} wanted={wanted} best={best} />
      </Suspense>
      <p className="leading-snug">{best}</p>
      <table className="w-full">
        <Columns names={[columns.number, columns.dial, columns.screw, columns.read]} />
        <tbody>
          {tries.map((one, place) => (
            <tr key={one.seq} className="border-b border-rule">
              <td className="py-1 tabular-nums">{place + 1}</td>
              <td className="tabular-nums">{dialWords(one.dial)}</td>
              <td className="tabular-nums">{one.screw === 0 ? words.asFound : one.screw}</td>
              <td className="tabular-nums">{words.signed(balanceRead(one))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="text-sm text-quiet">
        {(['dial', 'no-answer', 'erratic'] as const).map((cause) => (
          <div key={cause} className="flex justify-between gap-4">
            <dt>{words.chances[cause]}</dt>
            <dd className="tabular-nums">{write.percent(belief.causes[cause])}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
