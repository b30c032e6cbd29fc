import { later } from '../../../messages/later.ts';
import { useMoney } from '../../../session/useMoney.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { TakenOff } from './TakenOff.tsx';
import type { useClosingSheet } from './useClosingSheet.ts';

/** Minutes that are charged, what is taken off, and what it comes to. */
export function PriceFields({
  sheet: { form, minutesFrom, price },
}: {
  readonly sheet: ReturnType<typeof useClosingSheet>;
}) {
  const { values, set, errorOf } = form;
  const money = useMoney();
  const words = later.bench.closing;
  return (
    <>
      <NumberField
        whole
        className="w-56"
        label={words.minutes}
        hint={minutesFrom && words.minutesFrom[minutesFrom]}
        error={errorOf('minutes')}
        value={values.minutes}
        onText={(minutes) => set({ minutes })}
      />
      <TakenOff form={form} whole={price ? price.labour + price.parts + price.toLeastFee : 0} />
      {price && (
        <p data-price>
          <strong className="text-lg">{money.say(price.total)}</strong>{' '}
          <span className="text-quiet">
            {words.priceOf(
              money.say(price.labour),
              money.say(price.tax),
              price.toLeastFee > 0 ? money.say(price.toLeastFee) : undefined,
            )}
          </span>
        </p>
      )}
    </>
  );
}
