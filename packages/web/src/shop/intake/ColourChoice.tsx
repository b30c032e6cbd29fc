import { BODY_COLOURS, type BodyColour } from '@nodo/ticket';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';

/** The colour a machine is told by across the shop; tapped again, it is not said. */
export function ColourChoice({
  value,
  onChoose,
}: {
  readonly value: BodyColour | null;
  readonly onChoose: (colour: BodyColour | null) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{later.counter.colour}</legend>
      <div className="flex flex-wrap gap-2">
        {BODY_COLOURS.map((colour) => (
          <button
            key={colour}
            type="button"
            aria-pressed={value === colour}
            onClick={() => onChoose(value === colour ? null : colour)}
            className="choice min-h-11 rounded-md px-2 text-sm"
          >
            <span
              aria-hidden="true"
              className="size-4 rounded-full border border-edge"
              style={{ background: `var(--body-${colour})` }}
            />
            {m.life.colour(colour)}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
