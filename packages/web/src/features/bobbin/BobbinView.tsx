import type { Session } from '@nodo/contract';
import { instruments } from '../../messages/instruments.ts';
import { type InstrumentPart, InstrumentView } from '../instrument/InstrumentView.tsx';
import { LeftPart } from './LeftPart.tsx';
import { TensionPart } from './TensionPart.tsx';
import { WhichPart } from './WhichPart.tsx';

const { parts } = instruments.bobbin;
const PARTS: readonly InstrumentPart[] = [
  { id: 'which', title: parts.which, Shown: WhichPart },
  { id: 'tension', title: parts.tension, Shown: TensionPart },
  { id: 'left', title: parts.left, Shown: LeftPart },
];

/** The bobbin instrument: beside a ticket, or alone. */
export default function BobbinView({ session }: { readonly session: Session }) {
  return <InstrumentView session={session} name="bobbin" parts={PARTS} />;
}
