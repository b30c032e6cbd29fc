import type { SeatEffect } from '@nodo/core';
import { systemFor } from '@nodo/knowledge';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Reading } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';

/** What this needle's seat does to the loop, beside what it would be if it sat right. */
export function SeatEffectView({
  effect,
  right,
  thread,
}: {
  readonly effect: SeatEffect;
  readonly right: SeatEffect;
  readonly thread: number;
}) {
  const bench = useInstrumentBench();
  const words = instruments.needle.effect;
  const system = systemFor(bench.model.family.traits);
  const own = bench.card?.service ?? {};
  const say = (length: number) => `${write.figure(Math.round(length * 100) / 100)} mm`;
  const needs = effect.towards - effect.margin;
  return (
    <section aria-label={words.title} className="min-w-0">
      <h2 className="text-sm font-semibold text-quiet">{words.title}</h2>
      <p className="mt-1 text-lg leading-snug font-semibold">
        {words.says[spokenOf(effect, thread)]}
      </p>
      <dl className="mt-2">
        <Reading
          name={words.towards}
          value={say(effect.towards)}
          note={words.asRight(say(right.towards))}
          standing="derived"
          bad={effect.margin < 0}
        />
        <Reading name={words.needs} value={say(needs)} standing="typical" />
        {Math.abs(effect.aside) > 0.05 && (
          <Reading name={words.aside} value={say(Math.abs(effect.aside))} standing="derived" />
        )}
        <Reading
          name={words.meets}
          value={say(effect.meetsAt)}
          note={`${words.scarfEnds} ${say(system.scarfLength)}`}
          standing={own['hook-above-eye'] ? 'shop' : 'typical'}
          bad={effect.pastScarf}
        />
        <Reading
          name={words.gap}
          value={say(effect.gap)}
          standing={own['hook-gap'] ? 'shop' : 'typical'}
          bad={effect.gap < 0}
        />
        <Reading
          name={words.skips}
          value={write.percent(effect.skips)}
          note={words.asRight(write.percent(right.skips))}
          standing="derived"
          bad={effect.skips > 0.01}
        />
      </dl>
      <p className="mt-1 text-sm text-quiet">{words.model}</p>
    </section>
  );
}

/** Which sentence fits what the hook finds. */
function spokenOf(
  { towards, pastScarf, meetsAt, aside, loop }: SeatEffect,
  thread: number,
): keyof typeof instruments.needle.effect.says {
  if (towards === 0 && loop.bulge > 0) return 'backward';
  if (pastScarf) return 'pastScarf';
  if (Math.abs(aside) > thread) return 'turned';
  return meetsAt > 1.8 ? 'low' : 'right';
}
