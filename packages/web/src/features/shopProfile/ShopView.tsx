import type { ShopRecord } from '@nodo/api';
import { type ShopProfile, TAG_PAPERS, workingTimeOf } from '@nodo/shop';
import { mayWorkAtBench } from '@nodo/ticket';
import { useState } from 'react';
import { toast } from 'sonner';
import {
  useChangeShopMutation,
  useNameShopMutation,
  usePeopleQuery,
  useShopQuery,
} from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { AmountField } from '../../session/AmountField.tsx';
import { FormError } from '../../session/FormError.tsx';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { DaysOffList } from '../../shop/profile/DaysOffList.tsx';
import { HoursTable } from '../../shop/profile/HoursTable.tsx';
import { PaperLanguage } from '../../shop/profile/PaperLanguage.tsx';
import { ShelvesField } from '../../shop/profile/ShelvesField.tsx';
import {
  faultyField,
  MONEY,
  NUMBERS,
  readyProfile,
  TEXTS,
  type TypedProfile,
  typedProfile,
} from '../../shop/profile/shopForm.ts';
import { ZoneSelect } from '../../shop/profile/ZoneSelect.tsx';
import { ShopTabs } from '../../shop/ShopTabs.tsx';
import { Button } from '../../ui/Button.tsx';
import { CheckBox } from '../../ui/CheckBox.tsx';
import { NumberField, TextArea, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { RadioBoxes } from '../../ui/RadioBoxes.tsx';
import { SaveBar } from '../../ui/SaveBar.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { useSchemaForm } from '../../ui/useSchemaForm.ts';
import { PriceList } from './PriceList.tsx';

/** What holds for the whole shop: money, patience, working time. */
export default function ShopView() {
  const session = useSession();
  const { data, error, refetch } = useShopQuery();
  const words = later.cards.shop;
  if (session.person.role !== 'lead') return <Blank title={words.title} text={words.onlyLead} />;
  if (!data) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return <ShopForm key={data.revision} sheet={data} />;
}

function ShopForm({ sheet }: { readonly sheet: ShopRecord }) {
  const { data: people = [] } = usePeopleQuery();
  const {
    values: card,
    set,
    faults,
    isDirty,
    submit,
  } = useSchemaForm<TypedProfile, ShopProfile>(readyProfile, typedProfile(sheet.card));
  const [change, { isLoading, error }] = useChangeShopMutation();
  const session = useSession();
  const [name, setName] = useState(session.shop.name);
  const [rename, renamed] = useNameShopMutation();
  const isRenamed = name.trim() !== session.shop.name && name.trim() !== '';
  const words = later.cards.shop;
  const atBenches = people.filter(({ role, locked }) => mayWorkAtBench(role) && !locked);

  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? '';
  const bad = faultyField(faults, nameOf);
  const save = async (filled: ShopProfile) => {
    if (isRenamed && (await rename({ name: name.trim() })).error) return;
    const result = await change({ revision: sheet.revision, card: filled });
    if (result.data) toast.success(words.saved);
  };

  return (
    <Form
      noValidate
      className="flex max-w-5xl flex-col gap-6 gutter py-4"
      onSubmit={() => submit(save)}
    >
      <ShopTabs />
      <h1 className="text-2xl font-bold">{words.title}</h1>
      <fieldset>
        <legend className="mb-2 text-lg font-semibold">{words.place}</legend>
        <div className="grid gap-4 md:grid-cols-2">
          <TextField label={words.name} value={name} maxLength={80} onText={setName} />
          <ZoneSelect value={card.timeZone} onChoose={(timeZone) => set({ timeZone })} />
          <ShelvesField value={card.shelves} onChange={(shelves) => set({ shelves })} />
        </div>
      </fieldset>
      <fieldset className="grid gap-4 md:grid-cols-2">
        <legend className="mb-2 text-lg font-semibold">{words.onBills}</legend>
        {TEXTS.map(({ name, ...rest }) => (
          <TextField
            key={name}
            label={words[name]}
            value={card[name]}
            onText={(typed) => set({ [name]: typed })}
            {...rest}
          />
        ))}
      </fieldset>
      <fieldset className="flex flex-wrap items-end gap-4">
        <legend className="mb-2 text-lg font-semibold">{words.money}</legend>
        <TextField
          label={words.currency}
          value={card.currency}
          maxLength={3}
          className="w-52"
          onText={(typed) => set({ currency: typed.toUpperCase() })}
        />
        {MONEY.map((name) => (
          <AmountField
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
        <legend className="mb-2 text-lg font-semibold">{words.patience}</legend>
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
      <fieldset className="flex flex-col gap-4">
        <legend className="mb-2 text-lg font-semibold">{words.papers}</legend>
        <RadioBoxes
          className="flex flex-wrap gap-x-6"
          legend={words.tagPaper}
          options={TAG_PAPERS.map((one) => [one, words.tagPapers[one]] as const)}
          value={card.tagPaper}
          onChoose={(tagPaper) => set({ tagPaper })}
        />
        <PaperLanguage
          value={card.paperLanguage}
          onChoose={(paperLanguage) => set({ paperLanguage })}
        />
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
        <h2 className="text-lg font-semibold">{words.hours}</h2>
        <p className="mb-3 text-quiet">{words.hoursLead}</p>
        <HoursTable
          rows={atBenches.map(({ id, name }) => ({ id, name, time: workingTimeOf(card, id) }))}
          onChange={(id, time) => set({ people: { ...card.people, [id]: time } })}
        />
      </section>
      <section aria-label={words.closed}>
        <h2 className="mb-2 text-lg font-semibold">{words.closed}</h2>
        <DaysOffList
          add={words.addClosed}
          days={card.closed}
          onChange={(closed) => set({ closed })}
        />
      </section>
      <SaveBar isDirty={isDirty || isRenamed}>
        <Button look="main" type="submit" disabled={isLoading}>
          {words.save}
        </Button>
        <FormError text={bad && `${words.bad} ${bad}`} fault={renamed.error ?? error} />
      </SaveBar>
    </Form>
  );
}
