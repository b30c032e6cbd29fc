import { Check, TriangleAlert } from 'lucide-react';
import { instruments } from '../../../messages/instruments.ts';
import { type SeatReading, type SeatTarget, sitsRight } from './seatReading.ts';

export type NeedleState = 'unlooked' | 'right' | 'wrong';

function stateOf(reading: SeatReading | undefined, target: SeatTarget): NeedleState {
  if (!reading) return 'unlooked';
  return sitsRight(reading, target) ? 'right' : 'wrong';
}

const LOOKS: Readonly<Record<NeedleState, string>> = {
  unlooked: 'border-edge text-quiet',
  right: 'border-below text-ink',
  wrong: 'border-dashed border-ink bg-paper font-semibold',
};

/** The needles of a head side by side, each with its state. */
export function HeadRow({
  count,
  readings,
  target,
  chosen,
  onChoose,
}: {
  readonly count: number;
  readonly readings: ReadonlyMap<number, SeatReading>;
  readonly target: SeatTarget;
  readonly chosen: number;
  readonly onChoose: (at: number) => void;
}) {
  const words = instruments.needle.seat;
  return (
    <fieldset className="mb-3">
      <legend className="font-semibold">{words.needles}</legend>
      <div className="mt-1 flex flex-wrap gap-1">
        {Array.from({ length: count }, (_, index) => index + 1).map((at) => {
          const state = stateOf(readings.get(at), target);
          return (
            <button
              key={at}
              type="button"
              data-needle-state={state}
              aria-pressed={at === chosen}
              aria-label={`${words.needle(at)}: ${words.states[state]}`}
              onClick={() => onChoose(at)}
              className={`flex min-h-14 w-11 flex-col items-center justify-between rounded-md border-2 bg-paper py-1 font-mono leading-none aria-pressed:outline-3 aria-pressed:outline-own ${LOOKS[state]}`}
            >
              {at}
              <span aria-hidden className="h-4 w-0.5 bg-current" />
              <span aria-hidden className="grid h-4 place-items-center">
                {state === 'right' && <Check size={15} />}
                {state === 'wrong' && <TriangleAlert size={15} />}
              </span>
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}
