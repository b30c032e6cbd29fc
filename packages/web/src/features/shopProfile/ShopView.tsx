import type { ShopRecord } from '@nodo/api';
import { type ShopProfile, shopProfile, workingTimeOf } from '@nodo/shop';
import { useState } from 'react';
import { toast } from 'sonner';
import { useChangeShopMutation, usePeopleQuery, useShopQuery } from '../../api/client.ts';
import { m, readMoney, typedMoney } from '../../messages/index.ts';
import { readNumber } from '../../messages/typed.ts';
import { FormError } from '../../session/FormError.tsx';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { ShopTabs } from '../../shop/ShopTabs.tsx';
import { Button } from '../../ui/Button.tsx';
import { CheckBox } from '../../ui/CheckBox.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { Select } from '../../ui/Select.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { DaysOffList } from './DaysOffList.tsx';
import { HoursRow } from './Hours.tsx';

/** What holds for the whole shop: money, patience, working time. */
export default function ShopView() {
  const session = useSession();
  const { data, error, refetch } = useShopQuery();
  const words = m.cards.shop;
  if (session.person.role !== 'lead') return <Blank title={words.title} text={words.onlyLead} />;
  if (!data) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return <ShopForm key={data.revision} sheet={data} />;
}

const NUMBERS = ['usualDays', 'stuckDays', 'uncollectedDays'] as const;

function ShopForm({ sheet }: { readonly sheet: ShopRecord }) {
  const { data: people = [] } = usePeopleQuery();
  const [card, setCard] = useState(sheet.card);
  const [hour, setHour] = useState(() => typedMoney(sheet.card.hour, sheet.card.currency));
  const [leastFee, setLeastFee] = useState(() =>
    typedMoney(sheet.card.leastFee, sheet.card.currency),
  );
  const [tax, setTax] = useState(() => String(sheet.card.taxPerMille / 10));
  const [bad, setBad] = useState('');
  const [change, { isLoading, error }] = useChangeShopMutation();
  const words = m.cards.shop;
  const set = (part: Partial<ShopProfile>) => setCard({ ...card, ...part });
  const atBenches = people.filter(({ role }) => role === 'technician' || role === 'lead');

  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? '';
  const save = async () => {
    const isCurrency = /^[A-Z]{3}$/.test(card.currency);
    const taxPerMille = Math.round((readNumber(tax) ?? Number.NaN) * 10);
    const parsed = shopProfile.safeParse({
      ...card,
      hour: isCurrency ? readMoney(hour, card.currency) : undefined,
      leastFee: isCurrency ? readMoney(leastFee, card.currency) : undefined,
      taxPerMille,
    });
    const fault = parsed.success ? undefined : parsed.error.issues[0];
    setBad(fault ? `${words.bad} ${faultyField(fault.path, nameOf)}` : '');
    if (!parsed.success) return;
    const result = await change({ revision: sheet.revision, card: parsed.data });
    if (result.data) toast.success(words.saved);
  };

  return (
    <Form noValidate className="flex max-w-5xl flex-col gap-8 px-6 py-4" onSubmit={save}>
      <ShopTabs />
      <h1 className="text-2xl font-bold">{words.title}</h1>
      <fieldset>
        <legend className="mb-2 text-lg font-bold">{words.place}</legend>
        <Select
          label={words.timeZone}
          value={card.timeZone}
          className="max-w-96"
          onChoose={(timeZone) => set({ timeZone })}
          options={zonesWith(card.timeZone).map((zone) => [zone, zone] as const)}
        />
      </fieldset>
      <fieldset className="grid gap-4 md:grid-cols-2">
        <legend className="mb-2 text-lg font-bold">{words.onBills}</legend>
        <TextField
          label={words.address}
          value={card.address}
          maxLength={300}
          onText={(address) => set({ address })}
        />
        <TextField
          label={words.taxNumber}
          value={card.taxNumber}
          maxLength={40}
          onText={(taxNumber) => set({ taxNumber })}
        />
      </fieldset>
      <fieldset className="flex flex-wrap items-end gap-4">
        <legend className="mb-2 text-lg font-bold">{words.money}</legend>
        <TextField
          label={words.currency}
          value={card.currency}
          maxLength={3}
          className="w-52"
          onText={(typed) => set({ currency: typed.toUpperCase() })}
        />
        <NumberField label={words.hour} value={hour} className="w-40" onText={setHour} />
        <NumberField
          label={words.leastFee}
          value={leastFee}
          className="w-40"
          onText={setLeastFee}
        />
        <NumberField label={words.tax} value={tax} className="w-40" onText={setTax} />
        <CheckBox checked={card.taxIncluded} onCheck={(isSo) => set({ taxIncluded: isSo })}>
          {words.taxIncluded}
        </CheckBox>
      </fieldset>
      <fieldset className="grid gap-4 md:grid-cols-3">
        <legend className="mb-2 text-lg font-bold">{words.patience}</legend>
        {NUMBERS.map((name) => (
          <NumberField
            whole
            key={name}
            label={words[name]}
            value={Number.isNaN(card[name]) ? '' : String(card[name])}
            onText={(typed) => set({ [name]: readNumber(typed) ?? Number.NaN })}
          />
        ))}
      </fieldset>
      <section aria-label={words.hours}>
        <h2 className="text-lg font-bold">{words.hours}</h2>
        <p className="mb-3 text-quiet">{words.hoursLead}</p>
        <div className="overflow-x-auto">
          <table className="w-full border-collapse">
            <thead>
              <tr className="text-sm text-quiet">
                <td />
                {words.weekdays.map((day) => (
                  <th key={day} scope="col" className="font-semibold">
                    {day}
                  </th>
                ))}
                <th scope="col" className="font-semibold">
                  {words.shareShort}
                </th>
                <th scope="col" className="pl-2 text-left font-semibold">
                  {words.off}
                </th>
              </tr>
            </thead>
            <tbody>
              {atBenches.map(({ id, name }) => (
                <HoursRow
                  key={id}
                  name={name}
                  time={workingTimeOf(card, id)}
                  onChange={(time) => set({ people: { ...card.people, [id]: time } })}
                />
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <section aria-label={words.closed}>
        <h2 className="mb-2 text-lg font-bold">{words.closed}</h2>
        <DaysOffList
          add={words.addClosed}
          days={card.closed}
          onChange={(closed) => set({ closed })}
        />
      </section>
      <FormError text={bad} fault={error} />
      <Button look="main" type="submit" className="self-start" disabled={isLoading}>
        {words.save}
      </Button>
    </Form>
  );
}

/** What a field that is not filled in as it must be is called on the page. */
function faultyField(
  [field, person = '']: readonly PropertyKey[],
  nameOf: (id: string) => string,
): string {
  const words = m.cards.shop;
  if (field === 'people') return words.hoursOfPerson(nameOf(String(person)));
  const labels: Readonly<Record<string, string>> = {
    timeZone: words.timeZone,
    currency: words.currency,
    hour: words.hour,
    leastFee: words.leastFee,
    taxPerMille: words.tax,
    usualDays: words.usualDays,
    stuckDays: words.stuckDays,
    uncollectedDays: words.uncollectedDays,
    address: words.address,
    taxNumber: words.taxNumber,
    closed: words.closed,
  };
  return labels[String(field)] ?? '';
}

/** Every zone that this browser knows by name, the present one among them. */
function zonesWith(present: string): readonly string[] {
  return [...new Set([...Intl.supportedValuesOf('timeZone'), present])].sort();
}
