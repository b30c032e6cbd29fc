import type { SeamKind } from '@nodo/ticket';
import { SeamDrawing } from '../../../drawing/tension/SeamDrawing.tsx';
import { m } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ATLAS, PLACES, type Place, type ReadPlaces, SEAMS, SLIDE } from './reading.ts';

/** The sample as it was read, drawn large, with the slider between the pictures of the atlas. */
export function SampleDrawn({
  seam,
  balance,
  onBalance,
}: {
  readonly seam: SeamKind;
  readonly balance: number;
  readonly onBalance: (balance: number) => void;
}) {
  const words = instruments.tension;
  return (
    <div className="flex flex-col gap-3">
      <SeamDrawing
        seam={{ ...SEAMS[seam], balance }}
        account={words.picture.account(balance)}
        names={words.picture}
        className="w-full"
      />
      <label className="flex flex-col print:hidden">
        <span className="flex items-baseline justify-between font-semibold">
          {words.slider}
          <span className="font-normal tabular-nums" data-testid="balance">
            {words.tile(balance)} {words.signed(balance)}
          </span>
        </span>
        <input
          type="range"
          min={SLIDE.least}
          max={SLIDE.most}
          step={SLIDE.step}
          value={balance}
          aria-valuetext={`${words.tile(balance)} ${words.signed(balance)}`}
          className="h-11 w-full accent-own"
          onChange={({ target }) => onBalance(target.valueAsNumber)}
        />
      </label>
    </div>
  );
}

/** Where along the seam it was read, and the pictures of which one looks like it. */
export function Atlas({
  seam,
  read,
  place,
  onPlace,
  onRead,
}: {
  readonly seam: SeamKind;
  readonly read: ReadPlaces;
  readonly place: Place;
  readonly onPlace: (place: Place) => void;
  readonly onRead: (balance: number) => void;
}) {
  const words = instruments.tension;
  return (
    <>
      <fieldset>
        <legend className="font-semibold">{words.place}</legend>
        <div className="mt-1 grid grid-cols-3 gap-1">
          {PLACES.map((one) => {
            const value = read[one];
            return (
              <button
                key={one}
                type="button"
                aria-pressed={one === place}
                className="choice flex min-h-11 flex-col items-start rounded-md px-2 py-1 text-left leading-tight"
                onClick={() => onPlace(one)}
              >
                <span>{words.places[one]}</span>
                <span className="text-sm tabular-nums">
                  {value === undefined ? words.notRead : words.signed(value)}
                </span>
              </button>
            );
          })}
        </div>
      </fieldset>
      <fieldset>
        <legend className="font-semibold">{words.atlas}</legend>
        <div className="mt-1 grid grid-cols-2 gap-1 sm:grid-cols-4 lg:grid-cols-2 xl:grid-cols-4">
          {ATLAS.map((balance) => (
            <button
              key={balance}
              type="button"
              aria-pressed={read[place] === balance}
              className="choice flex min-h-11 flex-col gap-1 rounded-md p-1 text-left text-sm leading-tight"
              onClick={() => onRead(balance)}
            >
              <span aria-hidden className="block w-full">
                <SeamDrawing
                  seam={{ ...SEAMS[seam], stitches: 3, balance }}
                  account={m.shell.product}
                  className="w-full"
                />
              </span>
              {words.tile(balance)}
            </button>
          ))}
        </div>
      </fieldset>
    </>
  );
}
