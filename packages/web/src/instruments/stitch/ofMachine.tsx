import { whereValid } from '@nodo/core';
import { type StitchMachine, stitchMachine } from '@nodo/shop';
import type { ComponentType } from 'react';
import { instruments } from '../../messages/instruments.ts';
import { useInstrumentBench } from '../frame/InstrumentContext.tsx';
import type { InstrumentPart } from '../frame/InstrumentView.tsx';
import { useRegister } from '../frame/useRegister.ts';

export interface OfMachine {
  readonly machine: StitchMachine;
  /** The size of the needle that is in it, where that is known. */
  readonly size: number | undefined;
}

/** A part that works on how this machine forms its stitch; said instead where it has no hook, or its values contradict. */
export function ofMachine(Part: ComponentType<OfMachine>): InstrumentPart['Shown'] {
  return function OfMachinePart() {
    const bench = useInstrumentBench();
    const { model, card } = bench;
    const { at } = useRegister(bench);
    const read = whereValid(() => ({ is: stitchMachine(model.family.id, card?.service ?? {}) }));
    const words = instruments.stitch;
    if (!read?.is) {
      return (
        <>
          <h1 className="text-2xl leading-tight font-bold">{words.title}</h1>
          <p className="max-w-prose text-lg">{read ? words.noHook : words.contradicts}</p>
        </>
      );
    }
    // What is known of the machine comes a little later: what was slid or typed until then stays.
    return <Part machine={read.is} size={at.get(1)?.needle.size} />;
  };
}
