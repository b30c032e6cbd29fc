import type { TimingVerdict } from '@nodo/core';
import { instruments } from '../../../messages/instruments.ts';

/** What is off, and what is set for it, in the order in which it is done. */
export function TimingAnswer({ verdict }: { readonly verdict: TimingVerdict | undefined }) {
  const words = instruments.stitch.timing.told;
  if (!verdict) return <p className="text-lg text-quiet">{words.nothing}</p>;
  const { timing, bar, gap, uneven } = verdict;
  const off = [
    timing && !timing.within && [words.timing(timing.off), words.timingDo(timing.off)],
    bar && !bar.within && [words.bar(bar.off), words.barDo(bar.off)],
    gap && !gap.within && [words.gap(gap.off), words.gapDo(gap.off)],
  ].filter((one) => one !== false && one !== undefined);
  return (
    <section className="flex flex-col gap-3" data-timing-verdict>
      {off.length === 0 && uneven.length === 0 && (
        <p className="text-lg leading-snug font-semibold text-below">{words.right}</p>
      )}
      {off.map(([what, does]) => (
        <div key={what}>
          <p className="text-lg leading-snug font-semibold">{what}</p>
          <p className="leading-snug">{does}</p>
        </div>
      ))}
      {uneven.length > 0 && (
        <p className="border-l-4 border-own pl-3 leading-snug">
          {words.uneven(
            uneven
              .map((reading) => instruments.stitch.timing.reading[reading].toLowerCase())
              .join(', '),
          )}
        </p>
      )}
      {off.length > 1 && <p className="text-sm text-quiet">{words.order}</p>}
    </section>
  );
}
