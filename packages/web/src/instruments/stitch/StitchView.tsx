import { type InstrumentPart, InstrumentView } from '../frame/InstrumentView.tsx';
import { ofMachine } from './ofMachine.tsx';
import { STITCH_PARTS } from './stitchParts.ts';
import { TimingPart } from './timing/TimingPart.tsx';
import { TurnPart } from './turn/TurnPart.tsx';
import { WhyPart } from './why/WhyPart.tsx';

type PartId = (typeof STITCH_PARTS)[number]['id'];

const SHOWN: Readonly<Record<PartId, Pick<InstrumentPart, 'Shown' | 'unplugged'>>> = {
  why: { Shown: ofMachine(WhyPart) },
  turn: { Shown: ofMachine(TurnPart) },
  timing: { Shown: ofMachine(TimingPart), unplugged: true },
};
const PARTS: readonly InstrumentPart[] = STITCH_PARTS.map((part) => ({
  ...part,
  ...SHOWN[part.id],
}));

/** The stitch instrument: beside a ticket, or alone. */
export default function StitchView() {
  return <InstrumentView name="stitch" parts={PARTS} />;
}
