import { type InstrumentPart, InstrumentView } from '../frame/InstrumentView.tsx';
import { BOBBIN_PARTS } from './bobbinParts.ts';
import { CasePart } from './case/CasePart.tsx';
import { ConditionPart } from './condition/ConditionPart.tsx';
import { LeftPart } from './left/LeftPart.tsx';
import { MarksPart } from './marks/MarksPart.tsx';
import { TensionPart } from './tension/TensionPart.tsx';
import { WhichPart } from './which/WhichPart.tsx';

type PartId = (typeof BOBBIN_PARTS)[number]['id'];

const SHOWN: Readonly<Record<PartId, Pick<InstrumentPart, 'Shown' | 'unplugged'>>> = {
  which: { Shown: WhichPart },
  condition: { Shown: ConditionPart },
  case: { Shown: CasePart, unplugged: true },
  marks: { Shown: MarksPart, unplugged: true },
  tension: { Shown: TensionPart, unplugged: true },
  left: { Shown: LeftPart },
};
const PARTS: readonly InstrumentPart[] = BOBBIN_PARTS.map((part) => ({
  ...part,
  ...SHOWN[part.id],
}));

/** The bobbin instrument: beside a ticket, or alone. */
export default function BobbinView() {
  return <InstrumentView name="bobbin" parts={PARTS} />;
}
