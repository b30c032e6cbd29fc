import { useState } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { Reading } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { threadOn } from '../../frame/instrumentBench.ts';
import { LEFT_FIELDS, type TypedBobbin, threadLeft } from './leftReading.ts';

/** How much thread is on the bobbin, full and now, and whether that lasts. */
export function LeftPart() {
  const bench = useInstrumentBench();
  const [typed, setTyped] = useState<TypedBobbin>({
    full: '19.5',
    core: '8',
    width: '8.8',
    winding: '19.5',
    thread: threadOn(bench).toFixed(2),
    length: '2.5',
    zigzag: '0',
    fabric: '0.6',
    seam: '5',
  });
  const words = instruments.bobbin.left;
  const left = threadLeft(typed);
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(22rem,1fr)_minmax(20rem,30rem)]">
      <div>
        <h1 className="mb-3 text-2xl font-bold">{words.heading}</h1>
        <div className="flex flex-wrap gap-3">
          {LEFT_FIELDS.map((field) => (
            <NumberField
              key={field}
              label={words[field]}
              value={typed[field]}
              className="w-52"
              onText={(text) => setTyped({ ...typed, [field]: text })}
            />
          ))}
        </div>
      </div>
      <div aria-live="polite">
        {left === undefined ? (
          <p className="text-lg">{words.wrong}</p>
        ) : (
          <>
            <p className={`text-lg font-semibold ${left.lasts ? 'text-below' : ''}`}>
              {left.lasts ? words.lasts : words.short}
            </p>
            <dl className="mt-3">
              <Reading
                name={words.holds}
                value={words.metres(write.tenths(left.full))}
                standing="derived"
              />
              <Reading
                name={words.has}
                value={words.metres(write.tenths(left.left))}
                standing="derived"
              />
              <Reading
                name={words.stitches}
                value={words.count(write.figure(left.stitches))}
                note={words.seams(write.tenths(left.seam))}
                standing="derived"
                bad={!left.lasts}
              />
            </dl>
          </>
        )}
      </div>
    </div>
  );
}
