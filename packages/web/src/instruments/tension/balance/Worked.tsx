import { type MachineTension, type WorkedSetting, withWorked, workedWith } from '@nodo/shop';
import { threadLine } from '@nodo/ticket';
import { useState } from 'react';
import { toast } from 'sonner';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { FormError } from '../../../session/FormError.tsx';
import { shopClock } from '../../../time/shopTime.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextField } from '../../../ui/Field.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import type { OwnCard } from '../../frame/useOwnCard.ts';
import { dialWords } from './reading.ts';

const WITH = ['top', 'bobbin', 'fabric'] as const;

/** What balanced on this machine before, with which threads on what; and what balances now, to be remembered. */
export function Worked({
  own,
  tension,
  setting,
  onTake,
}: {
  readonly own: OwnCard | undefined;
  readonly tension: MachineTension;
  /** What balances now; undefined while nothing does. */
  readonly setting: Pick<WorkedSetting, 'dial' | 'screw' | 'wanted'> | undefined;
  readonly onTake: (dial: number) => void;
}) {
  const { onTicket } = useInstrumentBench();
  const work = onTicket?.ticket.life.work;
  const [typed, setTyped] = useState({
    top: work ? threadLine(work) : '',
    bobbin: '',
    fabric: work ? `${work.layers} x ${work.fabric}` : '',
  });
  const words = instruments.tension.worked;
  if (!own && tension.worked.length === 0) return null;
  const remember = async () => {
    if (!own?.card || !setting) return;
    const { dial, screw, wanted } = setting;
    const worked = { ...trimmed(typed), day: shopClock().day, dial, screw, wanted };
    if (await own.keep({ tension: withWorked(own.card.tension, worked) })) {
      toast.success(words.remembered);
    }
  };
  const known = workedWith(tension, trimmed(typed));
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <div className="grid gap-2 sm:grid-cols-3">
        {WITH.map((what) => (
          <TextField
            key={what}
            label={words[what]}
            value={typed[what]}
            maxLength={120}
            onText={(text) => setTyped({ ...typed, [what]: text })}
          />
        ))}
      </div>
      {known.length === 0 ? (
        <p className="text-quiet">{words.none}</p>
      ) : (
        <ul className="flex flex-col">
          {known.map((one) => (
            <li
              key={`${one.top} ${one.bobbin} ${one.fabric} ${one.wanted}`}
              className="flex flex-wrap items-center justify-between gap-2 border-b border-rule py-1"
            >
              <span className="min-w-0 leading-tight">
                <bdi>{words.threads(one.top, one.bobbin, one.fabric)}</bdi>
                <span className="block text-sm text-quiet">
                  {words.line(dialWords(one.dial), one.screw, write.plainDay(one.day))}
                </span>
              </span>
              <Button onClick={() => onTake(one.dial)}>{words.take(dialWords(one.dial))}</Button>
            </li>
          ))}
        </ul>
      )}
      {own && setting && (
        <>
          <Button
            className="self-start"
            disabled={own.isBusy}
            lacks={typed.top.trim() === '' && words.lacks}
            onClick={() => void remember()}
          >
            {words.remember}
          </Button>
          <FormError fault={own.fault} />
        </>
      )}
    </section>
  );
}

function trimmed({ top, bobbin, fabric }: Readonly<Record<(typeof WITH)[number], string>>) {
  return { top: top.trim(), bobbin: bobbin.trim(), fabric: fabric.trim() };
}
