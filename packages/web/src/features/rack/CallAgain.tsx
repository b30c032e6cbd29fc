import type { Day } from '@nodo/kernel';
import { m } from '../../messages/index.ts';
import { DayField } from '../../ui/DayField.tsx';

/** The day on which the customer is called again, to be chosen. */
export default function CallAgain({
  of,
  day,
  onChoose,
}: {
  readonly of: string;
  readonly day: Day | null;
  readonly onChoose: (day: Day) => void;
}) {
  const words = m.rack.ring;
  return (
    <DayField
      label={words.againOn}
      aria-label={`${words.againOn}, ${of}`}
      value={day ?? undefined}
      onChange={(chosen) => chosen !== undefined && onChoose(chosen)}
    />
  );
}
