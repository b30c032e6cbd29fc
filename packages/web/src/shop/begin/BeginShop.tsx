import type { ShopRecord } from '@nodo/api';
import { type ShopProfile, USUAL_TIME, type WorkingTime } from '@nodo/shop';
import { useState } from 'react';
import {
  useChangeShopMutation,
  useNameMyselfMutation,
  useNameShopMutation,
} from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { AmountField } from '../../session/AmountField.tsx';
import { FormError } from '../../session/FormError.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { ownZone } from '../../time/shopTime.ts';
import { Button } from '../../ui/Button.tsx';
import { CheckBox } from '../../ui/CheckBox.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { useSchemaForm } from '../../ui/useSchemaForm.ts';
import { HoursTable } from '../profile/HoursTable.tsx';
import { PaperLanguage } from '../profile/PaperLanguage.tsx';
import { ShelvesField } from '../profile/ShelvesField.tsx';
import {
  faultyField,
  MONEY,
  readyProfile,
  type TypedProfile,
  typedProfile,
} from '../profile/shopForm.ts';
import { ZoneSelect } from '../profile/ZoneSelect.tsx';
import { suggestFor } from '../suggestFor.ts';

/** What a shop of one's own says of itself before its first machine: its name and papers, its lead, their hours, its shelves. */
export default function BeginShop({ sheet }: { readonly sheet: ShopRecord }) {
  const { person } = useSession();
  const [name, setName] = useState('');
  const [own, setOwn] = useState('');
  const [letters, setLetters] = useState('');
  const {
    values: card,
    set,
    faults,
    submit,
  } = useSchemaForm<TypedProfile, ShopProfile>(
    readyProfile,
    typedProfile({
      ...sheet.card,
      timeZone: ownZone(),
      people: { [person.id]: USUAL_TIME },
    }),
  );
  const [nameShop, shopNamed] = useNameShopMutation();
  const [nameMyself, selfNamed] = useNameMyselfMutation();
  const [change, changed] = useChangeShopMutation();
  const words = later.begin;
  const shopWords = later.cards.shop;
  const initials = letters || suggestFor(own).initials;
  const isNamed = name.trim() !== '' && own.trim() !== '' && initials.trim() !== '';
  const bad = faultyField(faults, () => own);
  const isBusy = [shopNamed, selfNamed, changed].some(({ isLoading }) => isLoading);
  const save = async (filled: ShopProfile) => {
    // The settings last: by them the shop counts as begun, and each of the others may be sent again.
    if ((await nameShop({ name: name.trim() })).error) return;
    if ((await nameMyself({ name: own.trim(), initials: initials.trim() })).error) return;
    await change({ revision: sheet.revision, card: filled });
  };
  const time = card.people[person.id] ?? USUAL_TIME;
  return (
    <Form
      noValidate
      className="flex max-w-4xl flex-col gap-6 gutter py-4"
      onSubmit={() => isNamed && submit(save)}
    >
      <div>
        <h1 className="text-2xl font-bold">{words.title}</h1>
        <p className="mt-1 text-quiet">{words.lead}</p>
      </div>
      <fieldset className="grid gap-4 md:grid-cols-2">
        <legend className="mb-2 text-lg font-semibold">{words.shop}</legend>
        <TextField label={shopWords.name} value={name} maxLength={80} autoFocus onText={setName} />
        <TextField
          label={shopWords.address}
          value={card.address}
          maxLength={300}
          onText={(address) => set({ address })}
        />
        <TextField
          label={shopWords.phone}
          value={card.phone}
          maxLength={40}
          inputMode="tel"
          onText={(phone) => set({ phone })}
        />
        <ZoneSelect value={card.timeZone} onChoose={(timeZone) => set({ timeZone })} />
        <div className="flex flex-wrap items-end gap-4 md:col-span-2">
          <TextField
            label={shopWords.currency}
            value={card.currency}
            maxLength={3}
            className="w-52"
            onText={(typed) => set({ currency: typed.toUpperCase() })}
          />
          {MONEY.map((one) => (
            <AmountField
              key={one}
              label={shopWords[one]}
              value={card[one]}
              className="w-40"
              onText={(typed) => set({ [one]: typed })}
            />
          ))}
          <NumberField
            label={shopWords.tax}
            value={card.taxPerMille}
            className="w-32"
            onText={(taxPerMille) => set({ taxPerMille })}
          />
          <CheckBox checked={card.taxIncluded} onCheck={(isSo) => set({ taxIncluded: isSo })}>
            {shopWords.taxIncluded}
          </CheckBox>
        </div>
        <ShelvesField value={card.shelves} onChange={(shelves) => set({ shelves })} />
        <PaperLanguage
          value={card.paperLanguage}
          onChoose={(paperLanguage) => set({ paperLanguage })}
        />
      </fieldset>
      <fieldset className="grid gap-4 md:grid-cols-2">
        <legend className="mb-2 text-lg font-semibold">{words.you}</legend>
        <TextField label={words.name} value={own} maxLength={80} onText={setOwn} />
        <TextField
          label={words.initials}
          value={initials}
          maxLength={3}
          className="w-52"
          onText={setLetters}
        />
      </fieldset>
      <section aria-label={words.hours}>
        <h2 className="mb-2 text-lg font-semibold">{words.hours}</h2>
        <HoursTable
          rows={[{ id: person.id, name: own.trim() || words.you, time }]}
          onChange={(id, to: WorkingTime) => set({ people: { [id]: to } })}
        />
      </section>
      <div className="flex flex-wrap items-center gap-4">
        <Button
          look="main"
          type="submit"
          className="min-h-14 text-lg"
          disabled={isBusy}
          lacks={!isNamed && words.namesFirst}
        >
          {words.submit}
        </Button>
        <FormError
          text={bad && `${shopWords.bad} ${bad}`}
          fault={shopNamed.error ?? selfNamed.error ?? changed.error}
        />
      </div>
    </Form>
  );
}
