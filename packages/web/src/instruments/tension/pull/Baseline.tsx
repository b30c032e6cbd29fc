import { type DialPulls, dialPullsChange, type PulledBy } from '@nodo/core';
import { type MachineTension, pullsOf } from '@nodo/shop';
import { toast } from 'sonner';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { FormError } from '../../../session/FormError.tsx';
import { shopClock } from '../../../time/shopTime.ts';
import { Button } from '../../../ui/Button.tsx';
import { Columns } from '../../frame/bits.tsx';
import type { OwnCard } from '../../frame/useOwnCard.ts';

/** How the machine pulled when it sewed well, and how it pulls now. */
export function Baseline({
  own,
  tension,
  by,
  pulls,
  bobbin,
  isEmpty,
}: {
  readonly own: OwnCard | undefined;
  readonly tension: MachineTension;
  readonly by: PulledBy;
  readonly pulls: DialPulls;
  readonly bobbin: number | undefined;
  readonly isEmpty: boolean;
}) {
  const { baseline } = tension;
  const words = instruments.tensionPull.baseline;
  const keep = async () => {
    if (!own?.card) return;
    const kept = {
      day: shopClock().day,
      by,
      free: pulls.free ?? null,
      pulls: [...pulls.pulls],
      bobbin: bobbin ?? null,
    };
    if (await own.keep({ tension: { ...own.card.tension, baseline: kept } })) {
      toast.success(words.kept);
    }
  };
  if (!own && !baseline) return null;
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      {baseline ? (
        <>
          <p className="text-sm text-quiet">
            {words.of(write.plainDay(baseline.day), instruments.tension.pulledBy[baseline.by])}
          </p>
          {baseline.by === by ? (
            <Change earlier={pullsOf(baseline)} now={pulls} by={by} />
          ) : (
            !isEmpty && <p className="leading-snug">{words.otherWay}</p>
          )}
        </>
      ) : (
        <p className="leading-snug text-quiet">{words.none}</p>
      )}
      {own && !isEmpty && (
        <>
          <Button className="self-start" disabled={own.isBusy} onClick={() => void keep()}>
            {words.keep}
          </Button>
          <FormError fault={own.fault} />
        </>
      )}
    </section>
  );
}

function Change({
  earlier,
  now,
  by,
}: {
  readonly earlier: DialPulls;
  readonly now: DialPulls;
  readonly by: PulledBy;
}) {
  const change = dialPullsChange(earlier, now);
  const words = instruments.tensionPull.baseline;
  if (!change) return null;
  const say = (pull: number) =>
    by === 'feel' ? (instruments.tensionPull.felt[pull] ?? '') : write.tenths(pull);
  const { columns } = words;
  return (
    <>
      <p className={`leading-snug ${change.is === 'same' ? '' : 'text-lg font-semibold'}`}>
        {words.change[change.is]}
      </p>
      {by === 'gauge' && change.is !== 'same' && (
        <p className="text-quiet">
          {words.times(write.figure(Math.round(change.times * 100) / 100))}
        </p>
      )}
      <table className="w-full" data-baseline>
        <Columns names={[columns.dial, columns.before, columns.now]} />
        <tbody>
          {change.at.map((one) => (
            <tr key={one.dial} className="border-b border-rule tabular-nums">
              <td className="py-1">{one.dial}</td>
              <td>{say(one.before)}</td>
              <td>{say(one.now)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
