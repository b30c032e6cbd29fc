import { later } from '../../messages/later.ts';
import { Select } from '../../ui/Select.tsx';

/** Where the shop's clocks and calendar are. */
export function ZoneSelect({
  value,
  onChoose,
}: {
  readonly value: string;
  readonly onChoose: (zone: string) => void;
}) {
  return (
    <Select
      label={later.cards.shop.timeZone}
      value={value}
      onChoose={onChoose}
      options={zonesWith(value).map((zone) => [zone, zone] as const)}
    />
  );
}

/** Every zone that this browser knows by name, the present one among them. */
function zonesWith(present: string): readonly string[] {
  return [...new Set([...Intl.supportedValuesOf('timeZone'), present])].sort();
}
