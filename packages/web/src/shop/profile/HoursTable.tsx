import { USUAL_TIME, type WorkingTime } from '@nodo/shop';
import { later } from '../../messages/later.ts';
import { HoursRow, NoHours } from './Hours.tsx';

/** When each person works, week by week. */
export function HoursTable({
  rows,
  onChange,
}: {
  /** Without a time nobody has said theirs yet. */
  readonly rows: readonly {
    readonly id: string;
    readonly name: string;
    readonly time: WorkingTime | undefined;
  }[];
  readonly onChange: (person: string, time: WorkingTime) => void;
}) {
  const words = later.cards.shop;
  return (
    <div className="relative overflow-x-auto">
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-sm text-quiet">
            <td />
            {words.weekdays.map((day) => (
              <th key={day} scope="col" className="font-semibold">
                {day}
              </th>
            ))}
            <th scope="col" className="font-semibold">
              {words.shareShort}
            </th>
            <th scope="col" className="pl-2 text-left font-semibold">
              {words.off}
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, name, time }) =>
            time ? (
              <HoursRow key={id} name={name} time={time} onChange={(to) => onChange(id, to)} />
            ) : (
              <NoHours key={id} name={name} onSet={() => onChange(id, USUAL_TIME)} />
            ),
          )}
        </tbody>
      </table>
    </div>
  );
}
