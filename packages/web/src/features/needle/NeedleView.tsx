import type { Session } from '@nodo/api';
import { instruments } from '../../messages/instruments.ts';
import { type InstrumentPart, InstrumentView } from '../instrument/InstrumentView.tsx';
import { BeingRead } from '../shell/NotRead.tsx';
import { BrokenPart } from './BrokenPart.tsx';
import { ConditionPart } from './ConditionPart.tsx';
import { FitPart } from './fit/FitPart.tsx';
import { RegisterPart } from './RegisterPart.tsx';
import { SeatPart } from './seat/SeatPart.tsx';
import { useRegister } from './useRegister.ts';
import { WearPart } from './WearPart.tsx';

/**
 * A part that begins with the needle in the machine waits until the register is read: what
 * somebody chose meanwhile would be lost when it comes.
 */
function onceRead(Part: InstrumentPart['Shown']): InstrumentPart['Shown'] {
  return function OnceRead({ bench }) {
    return useRegister(bench).isRead ? <Part bench={bench} /> : <BeingRead />;
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
export default function NeedleView({ session }: { readonly session: Session }) {
  return <InstrumentView session={session} name="needle" parts={PARTS} />;
}
