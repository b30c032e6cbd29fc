import { countOf, isGoodSample, looseIn, otherThreadShows } from '@nodo/shop';
import type { KeptSample } from '@nodo/ticket';
import { instruments } from '../../../messages/instruments.ts';
import { Sewing } from '../../../ui/Stitches.tsx';
import type { BalanceState } from '../reader/useSample.ts';

/** An end of the seam may be seen on one side alone; more was not read. */
const APART = 2;

/** What the sample comes to, in a sentence, and what follows from it. */
export function SampleVerdict({
  sample,
  swings: { left, right },
  balance,
  atOdds,
}: {
  /** Undefined as long as nothing is measured. */
  readonly sample: Pick<KeptSample, 'faces' | 'balance'> | undefined;
  /** Skips at each swing of a zigzag. */
  readonly swings: Readonly<Record<'left' | 'right', number>>;
  readonly balance: BalanceState;
  /** Holes at which each side surely shows something else. */
  readonly atOdds: number;
}) {
  const words = instruments.sample.verdict;
  if (!sample) return <p className="text-quiet">{words.nothing}</p>;
  const { stitches, skips } = countOf(sample);
  const shows = otherThreadShows(sample.balance);
  const loose = looseIn(sample);
  const { top, bottom } = sample.faces;
  const isApart = top && bottom && Math.abs(top.stitches - bottom.stitches) > APART;
  return (
    <>
      <p className="text-xl leading-tight font-bold">
        {words.skips(skips, stitches)}
        {sample.balance && `, ${words.balance(sample.balance.value, sample.balance.error)}`}
      </p>
      {isGoodSample(sample) && <p className="font-semibold">{words.good}</p>}
      {(shows === 'under' || shows === 'top') && <p className="font-semibold">{words[shows]}</p>}
      {sample.balance && shows === undefined && <p>{words.between}</p>}
      {atOdds > 0 && <p>{words.atOdds(atOdds)}</p>}
      {isApart && <p>{words.apart(top.stitches, bottom.stitches)}</p>}
      {loose > 0 && <p className="font-semibold">{words.loose(loose)}</p>}
      {left + right > 0 && <p>{words.onSwing(left, right)}</p>}
      {balance.kind === 'none' && !sample.balance && <p>{words.oneSide}</p>}
      {balance.kind === 'reading' && <Sewing label={instruments.sample.stage.balance} />}
      {balance.kind === 'refused' && <p>{instruments.sample.refused[balance.why]}</p>}
    </>
  );
}
