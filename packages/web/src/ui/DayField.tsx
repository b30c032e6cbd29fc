import { type Day, readDay } from '@nodo/kernel';
import { TextField } from './Field.tsx';

/** A day to be chosen; undefined while none is. */
export function DayField({
  value,
  onChange,
  ...field
}: {
  readonly label: string;
  readonly value: Day | undefined;
  readonly onChange: (day: Day | undefined) => void;
  readonly className?: string;
  readonly 'aria-label'?: string;
}) {
  return (
    <TextField
      {...field}
      type="date"
      value={value ?? ''}
      onText={(typed) => onChange(readDay(typed))}
    />
  );
}
