import { instruments } from '../../messages/instruments.ts';
import { type InstrumentPart, InstrumentView } from '../frame/InstrumentView.tsx';
import { CasePart } from './case/CasePart.tsx';
import { ConditionPart } from './condition/ConditionPart.tsx';
import { LeftPart } from './left/LeftPart.tsx';
import { MarksPart } from './marks/MarksPart.tsx';
import { TensionPart } from './tension/TensionPart.tsx';
import { WhichPart } from './which/WhichPart.tsx';

const { parts } = instruments.bobbin;
const PARTS: readonly InstrumentPart[] = [
  { id: 'which', title: parts.which, Shown: WhichPart },
  { id: 'condition', title: parts.condition, Shown: ConditionPart },
  { id: 'case', title: parts.case, Shown: CasePart },
  { id: 'marks', title: parts.marks, Shown: MarksPart },
  { id: 'tension', title: parts.tension, Shown: TensionPart },
  { id: 'left', title: parts.left, Shown: LeftPart },
];

/** The bobbin instrument: beside a ticket, or alone. */
export default function BobbinView() {
  return <InstrumentView name="bobbin" parts={PARTS} />;
}
