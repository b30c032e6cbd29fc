import { TextField } from '../../ui/Field.tsx';

/** A number as it is typed. */
export function NumberField({
  label,
  value,
  onType,
}: {
  readonly label: string;
  readonly value: string;
  readonly onType: (typed: string) => void;
}) {
  return (
    <TextField label={label} inputMode="decimal" value={value} className="w-52" onText={onType} />
  );
}
