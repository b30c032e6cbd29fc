import { turnsAfter } from '@nodo/core';
import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { NumberField } from '../../../ui/Field.tsx';
import type { BothRead } from '../../../workers/sample.worker.ts';
import { patternsOf, type Reads } from './reading.ts';

/** A spool across, in millimetres. */
const SPOOL = { least: 8, most: 90 } as const;

/** What comes again along the seam, and what of the machine turns once in as many stitches. */
export function PatternPart({
  reads,
  loose,
}: {
  readonly reads: Reads;
  readonly loose: BothRead['loose'] | undefined;
}) {
  const [typedSpool, setTypedSpool] = useState('');
  const words = instruments.sample.pattern;
  const found = reads.flatMap(([side, read]) => {
    const leg = Math.hypot(read.seam.length, read.seam.width);
    return patternsOf(read, loose?.[side]).map((pattern) => ({ side, leg, ...pattern }));
  });
  if (found.length === 0) return null;
  const spool = readNumber(typedSpool);
  const isSpool =
    typedSpool === '' || (spool !== undefined && spool >= SPOOL.least && spool <= SPOOL.most);
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      {found.map(({ side, leg, of, stitches, chance }) => {
        const { thread, turns } = turnsAfter({ stitches }, leg, isSpool ? spool : undefined);
        return (
          <div key={`${side} ${of}`} className="max-w-prose leading-snug">
            <p className="font-semibold">{words.again(side, of, stitches, chance)}</p>
            <p>{words.thread(thread)}</p>
            {turns.map((one) => (
              <p key={one}>{words.turns[one]}</p>
            ))}
            {turns.length === 0 && (
              <p>
                {
                  words.turnsNone[
                    spool === undefined && thread[1] > Math.PI * SPOOL.least
                      ? 'askSpool'
                      : 'nothing'
                  ]
                }
              </p>
            )}
          </div>
        );
      })}
      <p className="text-sm text-quiet">{words.notTheHook}</p>
      <NumberField
        label={words.spool}
        unit="mm"
        hint={words.spoolHint}
        value={typedSpool}
        className="w-60"
        error={isSpool ? undefined : words.notASpool}
        onText={setTypedSpool}
      />
    </section>
  );
}
