import { READING_QUANTITY, STITCH_QUANTITIES, type StitchMachine } from '@nodo/shop';
import { toast } from 'sonner';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { FormError } from '../../../session/FormError.tsx';
import { shopClock } from '../../../time/shopTime.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { type OwnCard, useOwnCard } from '../../frame/useOwnCard.ts';
import type { ReadCell } from './timingReading.ts';

/** What is missing on the machine's record, and how what was read here gets there. */
export function OwnValues({
  machine,
  cells,
}: {
  readonly machine: StitchMachine;
  readonly cells: readonly ReadCell[];
}) {
  const { machine: id } = useInstrumentBench();
  const own = useOwnCard();
  const words = instruments.stitch.timing.own;
  const missing = STITCH_QUANTITIES.filter((quantity) => !machine.own.has(quantity));
  return (
    <section aria-label={words.title}>
      <h2 className="text-lg font-semibold">{words.title}</h2>
      {missing.length > 0 && (
        <p className="text-sm text-quiet">
          {words.missing(
            missing
              .filter(
                (quantity) => quantity !== 'swing-width' || machine.preset.set.former.swing > 0,
              )
              .map((quantity) => m.life.quantity(quantity))
              .join(', '),
          )}
        </p>
      )}
      {id !== undefined && own && <KeepOwn own={own} machine={id} cells={cells} />}
    </section>
  );
}

function KeepOwn({
  own,
  machine,
  cells,
}: {
  readonly own: OwnCard;
  readonly machine: string;
  readonly cells: readonly ReadCell[];
}) {
  const { card } = own;
  const words = instruments.stitch.timing.own;
  const read = cells.filter(
    ({ place, value }) => place === 'middle' && value !== undefined && !Number.isNaN(value),
  );
  const keep = async () => {
    if (!card) return;
    const from = words.from(write.plainDay(shopClock().day));
    const values = read.flatMap(({ reading, value }) =>
      value === undefined
        ? []
        : [[READING_QUANTITY[reading], aroundRead(reading, value, from)] as const],
    );
    const service = { ...card.service, ...Object.fromEntries(values) };
    if (await own.keep({ service })) toast.success(words.kept);
  };
  return (
    <>
      {read.length > 0 && (
        <>
          <p className="leading-snug">{words.text}</p>
          <Button className="mt-1" disabled={own.isBusy} onClick={() => void keep()}>
            {words.keep}
          </Button>
          <FormError fault={own.fault} />
        </>
      )}
      <p className="mt-1 text-sm">
        <TextLink to={`/machines/${machine}`}>{words.copy}</TextLink>
      </p>
    </>
  );
}

/** As far to either side as a hand reads it again; ours. */
const AROUND = { lift: 0.2, aboveEye: 0.3, gap: 0.025 } as const;

function aroundRead(reading: ReadCell['reading'], value: number, from: string) {
  const round = (one: number) => Math.round(one * 1000) / 1000;
  const around = AROUND[reading];
  return { least: round(Math.max(0, value - around)), most: round(value + around), from };
}
