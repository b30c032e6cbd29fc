import type { MeasureLimit } from '@nodo/ticket';
import { type RefObject, useRef } from 'react';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { KeepButton } from '../../frame/KeepButton.tsx';
import {
  HANGING_FIELDS,
  type HangingField,
  readHanging,
  type TypedHanging,
} from './hangingReading.ts';
import { keepTension } from './keepTension.ts';
import { TensionAnswer } from './TensionAnswer.tsx';

export type HangingBoxes = Readonly<Record<HangingField, RefObject<HTMLInputElement | null>>>;

/** The boxes of the test's measures, for the drawing to lead to. */
export function useHangingBoxes(): HangingBoxes {
  const grams = useRef<HTMLInputElement>(null);
  const fall = useRef<HTMLInputElement>(null);
  const slip = useRef<HTMLInputElement>(null);
  const free = useRef<HTMLInputElement>(null);
  return { grams, fall, slip, free };
}

interface HangingProps {
  readonly typed: TypedHanging;
  readonly limit: MeasureLimit;
}

/** What the hanging test measures: weight, fall and slip. */
export function Hanging({
  typed,
  boxes,
  onType,
}: Pick<HangingProps, 'typed'> & {
  readonly boxes: HangingBoxes;
  readonly onType: (typed: TypedHanging) => void;
}) {
  const words = instruments.bobbin.tension;
  return (
    <>
      <p className="max-w-prose leading-snug">{words.hang.how}</p>
      <div className="grid grid-cols-2 gap-3">
        {HANGING_FIELDS.map((field) => (
          <NumberField
            key={field}
            ref={boxes[field]}
            label={words.hang[field]}
            value={typed[field]}
            onText={(text) => onType({ ...typed, [field]: text })}
          />
        ))}
      </div>
    </>
  );
}

/** The tension that the test shows, with its bounds. */
export function HangingAnswer({ typed, limit }: HangingProps) {
  const words = instruments.bobbin.tension;
  const reading = readHanging(typed);
  if (reading === 'impossible') return <p className="font-semibold">{words.hang.impossible}</p>;
  if (reading === 'incomplete') return <TensionAnswer tension={undefined} limit={limit} />;
  if (reading.kind === 'measured') {
    return (
      <TensionAnswer
        tension={reading.tension}
        limit={limit}
        note={words.between(write.tenths(reading.least), write.tenths(reading.most))}
      />
    );
  }
  const say = reading.kind === 'at-least' ? words.hang.atLeast : words.hang.below;
  return <p className="text-lg">{say(write.tenths(reading.tension))}</p>;
}

/** Keeps the measured tension. */
export function KeepHanging({ typed, limit }: HangingProps) {
  const bench = useInstrumentBench();
  const reading = readHanging(typed);
  const measured = typeof reading === 'object' && reading.kind === 'measured' ? reading : undefined;
  return (
    <KeepButton
      label={instruments.bobbin.tension.keep}
      lacks={!measured && m.shell.lacks.all}
      onKeep={() => measured && keepTension(bench, 'case-drop', measured.tension, limit)}
    />
  );
}
