import { type InstrumentPart, InstrumentView } from '../frame/InstrumentView.tsx';
import { AlikePart } from './alike/AlikePart.tsx';
import { BalancePart } from './balance/BalancePart.tsx';
import { PathPart } from './path/PathPart.tsx';
import { PullPart } from './pull/PullPart.tsx';
import { TENSION_PARTS } from './tensionParts.ts';

type PartId = (typeof TENSION_PARTS)[number]['id'];

const SHOWN: Readonly<Record<PartId, Pick<InstrumentPart, 'Shown' | 'unplugged'>>> = {
  balance: { Shown: BalancePart },
  pull: { Shown: PullPart },
  path: { Shown: PathPart },
  alike: { Shown: AlikePart },
};
const PARTS: readonly InstrumentPart[] = TENSION_PARTS.map((part) => ({
  ...part,
  ...SHOWN[part.id],
}));

/** The tension instrument: beside a ticket, or alone. */
export default function TensionView() {
  return <InstrumentView name="tension" parts={PARTS} />;
}
