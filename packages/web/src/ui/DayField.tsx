import { type Day, toDay } from '@nodo/kernel';
import { CalendarDays, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useId, useState } from 'react';
import { DayPicker } from 'react-day-picker';
import { twMerge } from 'tailwind-merge';
import { m, write } from '../messages/index.ts';
import { Button } from './Button.tsx';

/** A day to be chosen from a calendar; undefined while none is. */
export function DayField({
  label,
  value,
  onChange,
  mayBeNone = true,
  className,
  ...rest
}: {
  readonly label: string;
  readonly value: Day | undefined;
  readonly onChange: (day: Day | undefined) => void;
  /** Whether the day can be cleared. */
  readonly mayBeNone?: boolean;
  readonly className?: string;
  readonly 'aria-label'?: string;
}) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const name = rest['aria-label'] ?? label;
  const shown = value === undefined ? m.shell.noDay : write.plainDay(value);
  return (
    <div className={twMerge('flex flex-col gap-1', className)}>
      <span id={id} className="font-semibold">
        {label}
      </span>
      <div className="flex">
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Trigger
            aria-label={`${name}: ${shown}`}
            className={`inline-flex min-h-11 min-w-40 items-center justify-between gap-2 rounded-md border-2 border-edge bg-paper px-3 text-left hover:border-ink ${value === undefined ? 'text-quiet' : ''}`}
          >
            {shown}
            <CalendarDays aria-hidden size={18} className="shrink-0 text-quiet" />
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              align="start"
              sideOffset={4}
              collisionPadding={8}
              aria-label={name}
              className="z-70 rounded-md border-2 border-ink bg-paper p-3 text-ink shadow-lg"
            >
              <DayPicker
                mode="single"
                required
                autoFocus
                weekStartsOn={1}
                classNames={LOOK}
                selected={value === undefined ? undefined : dateOf(value)}
                {...(value === undefined ? {} : { defaultMonth: dateOf(value) })}
                onSelect={(date) => {
                  onChange(dayIn(date));
                  setOpen(false);
                }}
              />
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
        {value !== undefined && mayBeNone && (
          <Button
            look="quiet"
            aria-label={m.shell.clearDay(name)}
            onClick={() => onChange(undefined)}
          >
            <X aria-hidden size={18} />
          </Button>
        )}
      </div>
    </div>
  );
}

const STEP = 'inline-grid size-11 place-items-center rounded hover:bg-sunk disabled:opacity-55';

const LOOK = {
  months: 'relative',
  month_caption: 'flex h-11 items-center justify-center font-semibold',
  nav: 'absolute inset-x-0 top-0 flex justify-between',
  button_previous: STEP,
  button_next: STEP,
  chevron: 'size-5 fill-current',
  weekday: 'size-11 text-sm font-normal text-quiet',
  day: 'p-0 text-center',
  day_button: 'size-11 rounded tabular-nums hover:bg-sunk',
  selected: 'font-semibold [&>button]:bg-ink [&>button]:text-ground',
  today: '[&>button]:border-2 [&>button]:border-edge',
  outside: 'text-quiet',
} as const;

/** A day as the calendar has it: noon, wherever the device is. */
function dateOf(day: Day): Date {
  return new Date(`${day}T12:00:00`);
}

function dayIn(date: Date): Day {
  const two = (part: number) => String(part).padStart(2, '0');
  return toDay(`${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`);
}
