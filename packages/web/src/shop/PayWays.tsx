import type { PaidBy } from '@nodo/ticket';
import { later } from '../messages/later.ts';
import { RadioBoxes } from '../ui/RadioBoxes.tsx';

/** By which way it is paid: one of some. */
export function PayWays<Way extends PaidBy>({
  legend,
  ways,
  value,
  onChoose,
}: {
  readonly legend: string;
  readonly ways: readonly Way[];
  readonly value: Way | undefined;
  readonly onChoose: (way: Way) => void;
}) {
  return (
    <RadioBoxes
      className="flex flex-wrap gap-x-6"
      legend={legend}
      options={ways.map((one) => [one, later.bench.closing.paidBy[one]] as const)}
      value={value}
      onChoose={onChoose}
    />
  );
}
