import type { WorkingTime } from '@nodo/shop';
import { m } from '../../messages/index.ts';
import { readNumber } from '../../messages/typed.ts';
import { NumberField } from '../../ui/Field.tsx';
import { DaysOffList } from './DaysOffList.tsx';

/** One person's week, days off, and how much of the time goes into repairs. */
export function Hours({
  name,
  time,
  onChange,
}: {
  readonly name: string;
  readonly time: WorkingTime;
  readonly onChange: (time: WorkingTime) => void;
}) {
  const words = m.cards.shop;
  const setDay = (day: number, end: 0 | 1, typed: string) => {
    const minute = minuteOf(typed);
    const before = time.week[day] ?? [540, 1020];
    const shift: [number, number] | null =
      minute === undefined ? null : end === 0 ? [minute, before[1]] : [before[0], minute];
    onChange({ ...time, week: time.week.map((one, at) => (at === day ? shift : one)) });
  };
  return (
    <section aria-label={name} className="mb-6 border-t border-rule pt-3">
      <h3 className="mb-2 font-semibold">
        <bdi>{name}</bdi>
      </h3>
      <div className="flex flex-wrap gap-3">
        {words.weekdays.map((day, at) => (
          <div key={day} className="flex flex-col gap-1">
            <span className="text-sm text-quiet" aria-hidden="true">
              {day}
            </span>
            {([0, 1] as const).map((end) => (
              <input
                key={end}
                type="time"
                aria-label={(end === 0 ? words.from : words.until)(day, name)}
                value={clockOf(time.week[at]?.[end])}
                onChange={({ target }) => setDay(at, end, target.value)}
                className="min-h-11 w-34 rounded-md border-2 border-edge bg-paper px-2"
              />
            ))}
          </div>
        ))}
        <NumberField
          whole
          label={words.share}
          aria-label={`${name}, ${words.share}`}
          value={Number.isNaN(time.share) ? '' : String(time.share)}
          className="w-52"
          onText={(typed) =>
            onChange({
              ...time,
              share: readNumber(typed) ?? Number.NaN,
            })
          }
        />
      </div>
      <h4 className="mt-3 text-sm font-semibold text-quiet">{words.off}</h4>
      <DaysOffList
        add={words.addOff}
        of={name}
        days={time.off}
        onChange={(off) => onChange({ ...time, off })}
      />
    </section>
  );
}

function clockOf(minute: number | undefined): string {
  if (minute === undefined) return '';
  const two = (value: number) => String(value).padStart(2, '0');
  return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
}

function minuteOf(clock: string): number | undefined {
  const [hours, minutes] = clock.split(':').map(Number);
  return hours === undefined || minutes === undefined ? undefined : hours * 60 + minutes;
}
