import type { ShopRecord } from '@nodo/api';
import { currencyCode } from '@nodo/kernel';
import {
  type ShopProfile,
  shopProfile,
  USUAL_TIME,
  type WorkingTime,
  workingTimeOf,
} from '@nodo/shop';
import { mayWorkAtBench } from '@nodo/ticket';
import { toast } from 'sonner';
import { z } from 'zod';
import { useChangeShopMutation, usePeopleQuery, useShopQuery } from '../../api/client.ts';
import { m, readMoney, typedMoney } from '../../messages/index.ts';
import { readNumber } from '../../messages/typed.ts';
import { FormError } from '../../session/FormError.tsx';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { ShopTabs } from '../../shop/ShopTabs.tsx';
import { Button } from '../../ui/Button.tsx';
import { CheckBox } from '../../ui/CheckBox.tsx';
import { NumberField, TextArea, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { Select } from '../../ui/Select.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { useSchemaForm } from '../../ui/useSchemaForm.ts';
import { DaysOffList } from './DaysOffList.tsx';
import { HoursRow, NoHours } from './Hours.tsx';
import { PriceList } from './PriceList.tsx';

/** What holds for the whole shop: money, patience, working time. */
export default function ShopView() {
  const session = useSession();
  const { data, error, refetch } = useShopQuery();
  const words = m.cards.shop;
  if (session.person.role !== 'lead') return <Blank title={words.title} text={words.onlyLead} />;
  if (!data) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return <ShopForm key={data.revision} sheet={data} />;
}

const NUMBERS = ['usualDays', 'stuckDays', 'uncollectedDays', 'warrantyDays'] as const;
const MONEY = ['hour', 'leastFee'] as const;
type Typed = (typeof NUMBERS)[number] | (typeof MONEY)[number] | 'taxPerMille';

/** The shop's profile with its numbers as they are typed, the tax in per cent. */
type TypedProfile = Omit<ShopProfile, Typed> & Readonly<Record<Typed, string>>;

function typedProfile(card: ShopProfile): TypedProfile {
  return {
    ...card,
    hour: typedMoney(card.hour, card.currency),
    leastFee: typedMoney(card.leastFee, card.currency),
    taxPerMille: String(card.taxPerMille / 10),
    usualDays: String(card.usualDays),
    stuckDays: String(card.stuckDays),
    uncollectedDays: String(card.uncollectedDays),
    warrantyDays: String(card.warrantyDays),
  };
}

const readyProfile = z.pipe(
  z.transform((form: TypedProfile): unknown => {
    // Money is read in its currency: without one there is none.
    const isCurrency = currencyCode.safeParse(form.currency).success;
    const money = (typed: string) => (isCurrency ? readMoney(typed, form.currency) : undefined);
    const percent = readNumber(form.taxPerMille);
    return {
      ...form,
      hour: money(form.hour),
      leastFee: money(form.leastFee),
      taxPerMille: percent && Math.round(percent * 10),
      usualDays: readNumber(form.usualDays),
      stuckDays: readNumber(form.stuckDays),
      uncollectedDays: readNumber(form.uncollectedDays),
      warrantyDays: readNumber(form.warrantyDays),
    };
  }),
  shopProfile,
);

function ShopForm({ sheet }: { readonly sheet: ShopRecord }) {
  const { data: people = [] } = usePeopleQuery();
  const {
    values: card,
    set,
    faults,
    submit,
  } = useSchemaForm<TypedProfile, ShopProfile>(readyProfile, typedProfile(sheet.card));
  const [change, { isLoading, error }] = useChangeShopMutation();
  const words = m.cards.shop;
  const atBenches = people.filter(({ role, locked }) => mayWorkAtBench(role) && !locked);

  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? '';
  const bad = faultyField(faults, nameOf);
  const save = async (filled: ShopProfile) => {
    const result = await change({ revision: sheet.revision, card: filled });
    if (result.data) toast.success(words.saved);
  };

  return (
    <Form
      noValidate
      className="flex max-w-5xl flex-col gap-8 px-6 py-4"
      onSubmit={() => submit(save)}
    >
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
        <TextField
          label={words.phone}
          value={card.phone}
          maxLength={40}
          inputMode="tel"
          onText={(phone) => set({ phone })}
        />
        <TextField
          label={words.openingHours}
          value={card.openingHours}
          maxLength={200}
          onText={(openingHours) => set({ openingHours })}
        />
        <TextField
          label={words.publicAddress}
          hint={words.publicHint}
          value={card.publicAddress}
          maxLength={200}
          inputMode="url"
          onText={(typed) => set({ publicAddress: typed.trim() })}
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
        {MONEY.map((name) => (
          <NumberField
            key={name}
            label={words[name]}
            value={card[name]}
            className="w-40"
            onText={(typed) => set({ [name]: typed })}
          />
        ))}
        <NumberField
          label={words.tax}
          value={card.taxPerMille}
          className="w-40"
          onText={(taxPerMille) => set({ taxPerMille })}
        />
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
            value={card[name]}
            onText={(typed) => set({ [name]: typed })}
          />
        ))}
      </fieldset>
      <PriceList
        lines={card.priceList}
        currency={card.currency}
        onChange={(priceList) => set({ priceList })}
      />
      <TextArea
        label={words.uncollectedText}
        rows={3}
        maxLength={1000}
        value={card.uncollectedText}
        onText={(uncollectedText) => set({ uncollectedText })}
      />
      <section aria-label={words.hours}>
        <h2 className="text-lg font-bold">{words.hours}</h2>
        <p className="mb-3 text-quiet">{words.hoursLead}</p>
        <div className="relative overflow-x-auto">
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
              {atBenches.map(({ id, name }) => {
                const time = workingTimeOf(card, id);
                const change = (to: WorkingTime) => set({ people: { ...card.people, [id]: to } });
                return time ? (
                  <HoursRow key={id} name={name} time={time} onChange={change} />
                ) : (
                  <NoHours key={id} name={name} onSet={() => change(USUAL_TIME)} />
                );
              })}
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
      <FormError text={bad && `${words.bad} ${bad}`} fault={error} />
      <Button look="main" type="submit" className="self-start" disabled={isLoading}>
        {words.save}
      </Button>
    </Form>
  );
}

/** What the first field that is not filled in as it must be is called on the page; empty without one. */
function faultyField(
  faults: Readonly<Record<string, object | undefined>>,
  nameOf: (id: string) => string,
) {
  const words = m.cards.shop;
  const [field = ''] = Object.keys(faults);
  if (field === 'people')
    return words.hoursOfPerson(nameOf(Object.keys(faults.people ?? {})[0] ?? ''));
  const labels: Readonly<Record<string, string>> = {
    timeZone: words.timeZone,
    currency: words.currency,
    hour: words.hour,
    leastFee: words.leastFee,
    taxPerMille: words.tax,
    usualDays: words.usualDays,
    stuckDays: words.stuckDays,
    uncollectedDays: words.uncollectedDays,
    warrantyDays: words.warrantyDays,
    uncollectedText: words.uncollectedText,
    priceList: words.prices.title,
    address: words.address,
    taxNumber: words.taxNumber,
    phone: words.phone,
    openingHours: words.openingHours,
    publicAddress: words.publicAddress,
    closed: words.closed,
  };
  return labels[field] ?? '';
}

/** Every zone that this browser knows by name, the present one among them. */
function zonesWith(present: string): readonly string[] {
  return [...new Set([...Intl.supportedValuesOf('timeZone'), present])].sort();
}
