import { READING_QUANTITY, STITCH_QUANTITIES, type StitchMachine } from '@nodo/shop';
import { mayTakeIn } from '@nodo/ticket';
import { toast } from 'sonner';
import { useChangeMachineMutation, useMachineQuery } from '../../../api/client.ts';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { FormError } from '../../../session/FormError.tsx';
import { useSession } from '../../../session/SessionContext.tsx';
import { shopClock } from '../../../time/shopTime.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
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
  const mayRead = mayTakeIn(useSession().person.role);
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
      {id !== undefined && mayRead && <KeepOwn id={id} cells={cells} />}
    </section>
  );
}

function KeepOwn({ id, cells }: { readonly id: string; readonly cells: readonly ReadCell[] }) {
  const { data } = useMachineQuery(id);
  const [change, { isLoading, error }] = useChangeMachineMutation();
  const words = instruments.stitch.timing.own;
  const read = cells.filter(
    ({ place, value }) => place === 'middle' && value !== undefined && !Number.isNaN(value),
  );
  const keep = async () => {
    if (!data) return;
    const { revision, customer, card } = data.machine;
    const from = words.from(write.plainDay(shopClock().day));
    const values = read.flatMap(({ reading, value }) =>
      value === undefined
        ? []
        : [[READING_QUANTITY[reading], aroundRead(reading, value, from)] as const],
    );
    const service = { ...card.service, ...Object.fromEntries(values) };
    const saved = await change({ machine: id, revision, customer, card: { ...card, service } });
    if (saved.data) toast.success(words.kept);
  };
  return (
    <>
      {read.length > 0 && (
        <>
          <p className="leading-snug">{words.text}</p>
          <Button className="mt-1" disabled={!data || isLoading} onClick={() => void keep()}>
            {words.keep}
          </Button>
          <FormError fault={error} />
        </>
      )}
      <p className="mt-1 text-sm">
        <TextLink to={`/machines/${id}`}>{words.copy}</TextLink>
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
