import type { WorkingTime } from '@nodo/shop';
import { useState } from 'react';
import { later } from '../../messages/later.ts';
import { readWhole } from '../../messages/typed.ts';
import { Button } from '../../ui/Button.tsx';
import { DaysOffList } from './DaysOffList.tsx';
import { readShift, type Shift, writeShift } from './shift.ts';

/** One person's week in one row: hours of each day, how much of them goes into repairs, days off behind a tap. */
export function HoursRow({
  name,
  time,
  onChange,
}: {
  readonly name: string;
  readonly time: WorkingTime;
  readonly onChange: (time: WorkingTime) => void;
}) {
  const words = later.cards.shop;
  const [isOpen, setOpen] = useState(false);
  const box = 'min-h-11 w-full rounded-md border-2 border-edge bg-paper px-2 text-center';
  return (
    <>
      <tr>
        <th scope="row" className="py-1 pr-3 text-left font-semibold">
          <bdi>{name}</bdi>
        </th>
        {words.weekdays.map((day, at) => (
          <td key={day} className="p-0.5">
            <ShiftBox
              label={words.hoursOf(day, name)}
              shift={time.week[at] ?? null}
              onChange={(shift) =>
                onChange({
                  ...time,
                  week: time.week.map((one, index) => (index === at ? shift : one)),
                })
              }
            />
          </td>
        ))}
        <td className="w-20 p-0.5">
          <input
            inputMode="numeric"
            aria-label={`${name}, ${words.share}`}
            className={box}
            value={Number.isNaN(time.share) ? '' : String(time.share)}
            onChange={({ target }) =>
              onChange({ ...time, share: readWhole(target.value) ?? Number.NaN })
            }
          />
        </td>
        <td className="p-0.5">
          <button
            type="button"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
            className="min-h-11 w-full px-2 text-left whitespace-nowrap underline underline-offset-4"
          >
            <span className="sr-only">{`${words.off}, ${name}: `}</span>
            {words.offCount(time.off.length)}
          </button>
        </td>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={words.weekdays.length + 3} className="pb-4 pl-6">
            <DaysOffList
              add={words.addOff}
              of={name}
              days={time.off}
              onChange={(off) => onChange({ ...time, off })}
            />
          </td>
        </tr>
      )}
    </>
  );
}

/** Somebody whose hours nobody has set: the plan gives them no work. */
export function NoHours({ name, onSet }: { readonly name: string; readonly onSet: () => void }) {
  const words = later.cards.shop;
  return (
    <tr>
      <th scope="row" className="py-1 pr-3 text-left font-semibold">
        <bdi>{name}</bdi>
      </th>
      <td colSpan={words.weekdays.length + 2} className="p-0.5">
        <span className="mr-4 text-quiet">{words.noHours}</span>
        <Button aria-label={words.setHoursOf(name)} onClick={onSet}>
          {words.setHours}
        </Button>
      </td>
    </tr>
  );
}

/** The hours of one day, typed as “9-17”; empty is not at work. */
function ShiftBox({
  label,
  shift,
  onChange,
}: {
  readonly label: string;
  readonly shift: Shift;
  readonly onChange: (shift: Shift) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const read = typed === undefined ? shift : readShift(typed);
  return (
    <input
      aria-label={label}
      aria-invalid={read === undefined ? true : undefined}
      value={typed ?? writeShift(shift)}
      onChange={({ target }) => {
        setTyped(target.value);
        // What cannot be read is held up by the form's own check, so that nothing else is saved.
        onChange(readShift(target.value) ?? (target.value.trim() === '' ? null : UNREADABLE));
      }}
      onBlur={() => {
        if (read !== undefined) setTyped(undefined);
      }}
      className="min-h-11 w-full min-w-22 rounded-md border-2 border-edge bg-paper px-1 text-center text-sm aria-invalid:border-hazard"
    />
  );
}

const UNREADABLE: [number, number] = [Number.NaN, Number.NaN];
