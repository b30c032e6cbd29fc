import { instruments } from '../../messages/instruments.ts';
import { BeingRead } from '../../session/NotRead.tsx';
import { useInstrumentBench } from '../frame/InstrumentContext.tsx';
import { type InstrumentPart, InstrumentView } from '../frame/InstrumentView.tsx';
import { BrokenPart } from './broken/BrokenPart.tsx';
import { ConditionPart } from './condition/ConditionPart.tsx';
import { FitPart } from './fit/FitPart.tsx';
import { RegisterPart } from './register/RegisterPart.tsx';
import { useRegister } from './register/useRegister.ts';
import { SeatPart } from './seat/SeatPart.tsx';
import { WearPart } from './wear/WearPart.tsx';

/**
 * A part that begins with the needle in the machine waits until the register is read: what
 * somebody chose meanwhile would be lost when it comes.
 */
function onceRead(Part: InstrumentPart['Shown']): InstrumentPart['Shown'] {
  return function OnceRead() {
    return useRegister(useInstrumentBench()).isRead ? <Part /> : <BeingRead />;
  };
}

const { parts } = instruments.needle;
const PARTS: readonly InstrumentPart[] = [
  { id: 'seat', title: parts.seat, Shown: SeatPart },
  { id: 'condition', title: parts.condition, Shown: ConditionPart },
  { id: 'fit', title: parts.fit, Shown: FitPart },
  { id: 'wear', title: parts.wear, Shown: onceRead(WearPart) },
  { id: 'broken', title: parts.broken, Shown: BrokenPart },
  { id: 'register', title: parts.register, Shown: onceRead(RegisterPart) },
];

/** The needle instrument: beside a ticket, or alone. */
export default function NeedleView() {
  return <InstrumentView name="needle" parts={PARTS} />;
}
