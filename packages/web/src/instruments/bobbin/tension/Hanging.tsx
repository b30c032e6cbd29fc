import type { MeasureLimit } from '@nodo/ticket';
import { useState } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { HANGING_FIELDS, readHanging, type TypedHanging } from './hangingReading.ts';
import { keepTension } from './keepTension.ts';
import { TensionAnswer } from './TensionAnswer.tsx';

/** The hanging test: weight, fall and slip give the tension with its bounds. */
export function Hanging({ limit }: { readonly limit: MeasureLimit }) {
  const bench = useInstrumentBench();
  const [typed, setTyped] = useState<TypedHanging>({
    grams: '',
    fall: '25',
    slip: '',
    free: '150',
  });
  const words = instruments.bobbin.tension;
  const reading = readHanging(typed);
  return (
    <div className="flex flex-col gap-3">
      <p className="max-w-prose leading-snug">{words.hang.how}</p>
      <div className="flex flex-wrap gap-3">
        {HANGING_FIELDS.map((field) => (
          <NumberField
            key={field}
            label={words.hang[field]}
            value={typed[field]}
            className="w-52"
            onText={(text) => setTyped({ ...typed, [field]: text })}
          />
        ))}
      </div>
      <div aria-live="polite" className="min-h-24">
        {reading === 'impossible' && <p className="font-semibold">{words.hang.impossible}</p>}
        {typeof reading === 'object' && reading.kind === 'at-least' && (
          <p className="text-lg">{words.hang.atLeast(write.tenths(reading.tension))}</p>
        )}
        {typeof reading === 'object' && reading.kind === 'below' && (
          <p className="text-lg">{words.hang.below(write.tenths(reading.tension))}</p>
        )}
        {typeof reading === 'object' && reading.kind === 'measured' && (
          <TensionAnswer
            tension={reading.tension}
            limit={limit}
            note={words.between(write.tenths(reading.least), write.tenths(reading.most))}
          />
        )}
      </div>
      <KeepButton
        label={words.keep}
        disabled={typeof reading !== 'object' || reading.kind !== 'measured'}
        onKeep={() => {
          if (typeof reading === 'object') keepTension(bench, 'case-drop', reading.tension, limit);
        }}
      />
    </div>
  );
}
