import { BeingRead } from '../../session/NotRead.tsx';
import { useInstrumentBench } from '../frame/InstrumentContext.tsx';
import { type InstrumentPart, InstrumentView } from '../frame/InstrumentView.tsx';
import { useRegister } from '../frame/useRegister.ts';
import { BrokenPart } from './broken/BrokenPart.tsx';
import { ConditionPart } from './condition/ConditionPart.tsx';
import { FitPart } from './fit/FitPart.tsx';
import { NEEDLE_PARTS } from './needleParts.ts';
import { RegisterPart } from './register/RegisterPart.tsx';
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

type PartId = (typeof NEEDLE_PARTS)[number]['id'];

const SHOWN: Readonly<Record<PartId, Pick<InstrumentPart, 'Shown' | 'unplugged'>>> = {
  seat: { Shown: SeatPart, unplugged: true },
  condition: { Shown: ConditionPart, unplugged: true },
  fit: { Shown: FitPart },
  wear: { Shown: onceRead(WearPart) },
  broken: { Shown: BrokenPart, unplugged: true },
  register: { Shown: onceRead(RegisterPart) },
};
const PARTS: readonly InstrumentPart[] = NEEDLE_PARTS.map((part) => ({
  ...part,
  ...SHOWN[part.id],
}));

/** The needle instrument: beside a ticket, or alone. */
export default function NeedleView() {
  return <InstrumentView name="needle" parts={PARTS} />;
}
