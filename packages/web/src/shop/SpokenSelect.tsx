import { SPOKEN, type Spoken } from '@nodo/ticket';
import { m } from '../messages/index.ts';
import { Select } from '../ui/Select.tsx';

/** How the shop and a customer speak to each other. */
export function SpokenSelect({
  label,
  how,
  className,
  onChange,
}: {
  readonly label: string;
  readonly how: Spoken;
  readonly className?: string;
  readonly onChange: (how: Spoken) => void;
}) {
  return (
    <Select
      label={label}
      className={className}
      value={how}
      onChoose={onChange}
      options={SPOKEN.map((one) => [one, m.life.spoken(one)] as const)}
    />
  );
}
