import { useState } from 'react';
import { m } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Caution } from '../../../ticket/check/Caution.tsx';
import { Choices } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';

/** The trial that changes nothing but the bobbin. */
export function OtherBobbin() {
  const bench = useInstrumentBench();
  const [said, setSaid] = useState<'stays' | 'gone'>();
  const words = instruments.bobbinCondition.trial;
  const { onTicket } = bench;
  const isOpen = (onTicket?.ticket.open.size ?? 0) > 0;
  const keep = () => {
    const seen = said === 'gone' ? 'other-bobbin-cures' : undefined;
    if (keepLook(bench, 'other-bobbin-sew', [seen])) setSaid(undefined);
  };
  return (
    <section aria-label={words.title} className="flex flex-col gap-2 border-t border-rule pt-3">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="leading-snug">{words.how}</p>
      <Caution text={words.caution} />
      <Choices
        legend={words.question}
        value={said}
        options={[
          ['stays', words.answers.stays],
          ['gone', words.answers.gone],
        ]}
        onChoose={setSaid}
      />
      {said && <p className="leading-snug">{words[said]}</p>}
      <KeepButton
        label={words.keep}
        lacks={isOpen ? words.openFirst : said === undefined && m.shell.lacks.choice}
        onKeep={keep}
        look="plain"
      />
    </section>
  );
}
