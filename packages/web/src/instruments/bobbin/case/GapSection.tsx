import type { StopGapReading } from '@nodo/core';
import { caseSeat } from '@nodo/ticket';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Reading } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook, mayDo, threadOn } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { ALL_PURPOSE, GAP_LIMIT, gapVerdict, readFeelers, slipsThrough } from './gapReading.ts';

/** The feelers as they are typed, mm: the thickest that slips through, the next that does not. */
export interface Feelers {
  readonly passes: string;
  readonly stops: string;
}

/** The gap at the stop by feelers, against the thread of this ticket and against all-purpose thread. */
export function GapSection({
  feelers,
  onFeelers,
}: {
  readonly feelers: Feelers;
  readonly onFeelers: (feelers: Feelers) => void;
}) {
  const bench = useInstrumentBench();
  const words = instruments.bobbinCase.gap;
  const gap = readFeelers(feelers.passes, feelers.stops);
  const usual = gap && slipsThrough(gap, ALL_PURPOSE);
  const keep = () => {
    if (!gap) return;
    if (mayDo(bench)) {
      bench.onTicket?.record('measured', {
        quantity: 'stop-gap',
        value: gap.passes,
        when: 'found',
        limit: GAP_LIMIT,
      });
    }
    keepLook(bench, 'case-gap', [usual?.slips === false ? 'gap-tight' : undefined]);
  };
  const { onTicket } = bench;
  const seatFirst =
    onTicket && ['not-yet', 'off', 'again'].includes(caseSeat(onTicket.ticket, bench.model));
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="leading-snug">{words.how}</p>
      <div className="flex flex-wrap gap-3">
        <NumberField
          label={words.passes}
          value={feelers.passes}
          className="w-52"
          onText={(passes) => onFeelers({ ...feelers, passes })}
        />
        <NumberField
          label={words.stops}
          value={feelers.stops}
          className="w-52"
          onText={(stops) => onFeelers({ ...feelers, stops })}
        />
      </div>
      <KeepButton
        label={words.keep}
        lacks={
          seatFirst === true
            ? words.seatFirst
            : usual?.slips === undefined && (gap ? words.unsure : m.shell.lacks.all)
        }
        onKeep={keep}
      />
    </section>
  );
}

/** What slips through the gap: all-purpose thread, and the one of this ticket. */
export function GapAnswer({ feelers }: { readonly feelers: Feelers }) {
  const bench = useInstrumentBench();
  const words = instruments.bobbinCase.gap;
  const thread = threadOn(bench);
  const gap = readFeelers(feelers.passes, feelers.stops);
  if (!gap) return null;
  const usual = slipsThrough(gap, ALL_PURPOSE);
  const here = slipsThrough(gap, thread);
  if (!usual || !here) return <p className="font-semibold">{words.wrong}</p>;
  const isTight = usual.slips === false;
  return (
    <section aria-label={words.title}>
      <p className="text-lg leading-snug font-semibold">
        {VERDICT[gapVerdict(usual, here)]} <ProvenanceMark standing="derived" />
      </p>
      <dl>
        <Reading
          name={words.threads.allPurpose}
          note={`${write.figure(round(ALL_PURPOSE))} mm`}
          value={fitWords(usual)}
          bad={isTight}
          standing="derived"
        />
        <Reading
          name={bench.onTicket?.ticket.life.work ? words.threads.here : words.threads.middling}
          note={`${write.figure(round(thread))} mm`}
          value={fitWords(here)}
          bad={here.slips === false}
          standing="derived"
        />
      </dl>
      {isTight && <p className="mt-1 leading-snug">{words.bracket}</p>}
    </section>
  );
}

const VERDICT = {
  tight: instruments.bobbinCase.gap.tight,
  unsure: instruments.bobbinCase.gap.unsureLong,
  right: instruments.bobbinCase.gap.right,
  'too-thick': instruments.bobbinCase.gap.tooThick,
} as const;

function fitWords({ atLeast, atMost, slips }: StopGapReading): string {
  const { fits, unsure, between } = instruments.bobbinCase.gap;
  if (slips === undefined) return unsure;
  return atLeast === atMost ? fits[atLeast] : between(fits[atLeast], fits[atMost]);
}

function round(value: number): number {
  return Math.round(value * 1000) / 1000;
}
