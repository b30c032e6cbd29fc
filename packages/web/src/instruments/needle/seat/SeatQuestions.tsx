import { SCARF_SIDES } from '@nodo/knowledge';
import { useId } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { Choices } from '../../frame/bits.tsx';
import type { SeatReading, SeatTarget } from './seatReading.ts';

const HEIGHTS = [0.5, 1, 1.5, 2, 3, 4] as const;
const MOST_ANGLE = 90;

/** The questions of the insertion check: one tap each. */
export function SeatQuestions({
  reading,
  target,
  knowsSide,
  onChange,
}: {
  readonly reading: SeatReading;
  readonly target: SeatTarget;
  /** Whether it is known where the scarf should face. */
  readonly knowsSide: boolean;
  readonly onChange: (reading: SeatReading) => void;
}) {
  const words = instruments.needle.seat;
  const height = reading.low === undefined ? undefined : String(reading.low);
  return (
    <div className="flex flex-col gap-3">
      <Choices
        legend={words.clamp}
        value={reading.clamp}
        options={[
          ['tight', words.tight],
          ['moves', words.moves],
        ]}
        onChoose={(clamp) => onChange({ ...reading, clamp })}
      />
      <Choices
        legend={words.height}
        value={height}
        options={[
          ['0', words.atStop],
          ...HEIGHTS.map((low) => [String(low), write.figure(low)] as const),
          ['blocked', words.blocked],
        ]}
        onChoose={(low) => onChange({ ...reading, low: low === 'blocked' ? low : Number(low) })}
        beside={<OtherHeight onMeasured={(low) => onChange({ ...reading, low })} />}
      />
      <Choices
        legend={words.faces}
        value={reading.faces}
        options={SCARF_SIDES.map((side) => [side, instruments.needle.drawing.sides[side]] as const)}
        onChoose={(faces) => onChange({ ...reading, faces })}
      >
        <p className="mt-1 text-sm leading-snug text-quiet">
          {knowsSide && words.shouldFace(instruments.needle.drawing.sides[target.faces])}{' '}
          {words.feel}
          {!target.round && ` ${words.flatToo}`}
        </p>
      </Choices>
      {target.round && (
        <Angle
          angle={reading.angle}
          target={target.angle}
          onChange={(angle) => onChange({ ...reading, angle })}
        />
      )}
    </div>
  );
}

function OtherHeight({ onMeasured }: { readonly onMeasured: (low: number) => void }) {
  return (
    <NumberField
      label={instruments.needle.seat.otherMm}
      className="flex-row items-center gap-2 text-sm [&>input]:w-16 [&>label]:font-normal"
      onText={(typed) => {
        const low = readNumber(typed);
        if (low !== undefined && low >= 0 && low <= 20) onMeasured(low);
      }}
    />
  );
}

function Angle({
  angle,
  target,
  onChange,
}: {
  readonly angle: number;
  readonly target: number;
  readonly onChange: (angle: number) => void;
}) {
  const words = instruments.needle.seat;
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="flex items-baseline gap-2 font-semibold">
        {words.angle}
        <span className="text-lg tabular-nums">{`${angle > 0 ? '+' : ''}${write.figure(angle)}°`}</span>
      </label>
      <input
        id={id}
        type="range"
        min={-MOST_ANGLE}
        max={MOST_ANGLE}
        step={1}
        value={angle}
        aria-valuetext={`${angle} degrees`}
        className="h-11 w-full max-w-md accent-own"
        onChange={({ target: { value } }) => onChange(Number(value))}
      />
      <p className="text-sm leading-snug text-quiet">
        {words.target(write.figure(target))}, {words.plus}. {words.angleHow}
      </p>
    </div>
  );
}
