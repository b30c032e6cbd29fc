import { later } from '../../messages/later.ts';
import { CheckBoxes } from '../../ui/CheckBox.tsx';
import { TextField } from '../../ui/Field.tsx';

/** What the customer has tried already: ticked from the usual, or in words. */
export function Tried({
  tried,
  words,
  onTried,
  onWords,
}: {
  readonly tried: readonly string[];
  readonly words: string;
  readonly onTried: (tried: readonly string[]) => void;
  readonly onWords: (words: string) => void;
}) {
  const texts = later.counter.tried;
  return (
    <fieldset className="mt-6">
      <legend className="font-semibold">{texts.title}</legend>
      <div className="grid gap-x-6 sm:grid-cols-2 xl:grid-cols-4">
        <CheckBoxes
          options={texts.usual.map((one) => [one, one] as const)}
          ticked={tried}
          onTick={onTried}
          className="rounded px-1 leading-tight hover:bg-sunk"
        />
      </div>
      <TextField
        className="mt-2 max-w-xl"
        label={texts.other}
        value={words}
        maxLength={300}
        onText={onWords}
      />
    </fieldset>
  );
}
