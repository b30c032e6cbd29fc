import { type InstrumentPart, InstrumentView } from '../frame/InstrumentView.tsx';
import { ComparePart } from './compare/ComparePart.tsx';
import { ReadPart } from './read/ReadPart.tsx';
import { SAMPLE_PARTS } from './sampleParts.ts';

type PartId = (typeof SAMPLE_PARTS)[number]['id'];

const SHOWN: Readonly<Record<PartId, InstrumentPart['Shown']>> = {
  read: ReadPart,
  compare: ComparePart,
};
const PARTS: readonly InstrumentPart[] = SAMPLE_PARTS.map((part) => ({
  ...part,
  Shown: SHOWN[part.id],
}));

/** The sample instrument: beside a ticket, or alone. */
export default function SampleView() {
  return <InstrumentView name="sample" parts={PARTS} />;
}
