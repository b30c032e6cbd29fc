import { useState } from 'react';
import { useEraseCustomerMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';

/** The one thing here that cannot be taken back: so it asks for a word to be typed. */
export function EraseForm({ customer }: { readonly customer: string }) {
  const [typed, setTyped] = useState('');
  const [erase, { isLoading, error }] = useEraseCustomerMutation();
  const words = later.cards.customer;
  const isMeant = typed.trim().toLocaleLowerCase() === words.eraseWord;
  return (
    <Form
      aria-label={words.erase}
      className="mt-6 max-w-2xl border-t border-rule pt-4"
      onSubmit={() => {
        if (isMeant) void erase({ customer });
      }}
    >
      <h2 className="font-semibold">{words.erase}</h2>
      <p className="mb-2 text-quiet">{words.eraseLead}</p>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={words.eraseType(words.eraseWord)}
          value={typed}
          autoComplete="off"
          onText={setTyped}
        />
        <Button
          look="hazard"
          type="submit"
          disabled={isLoading}
          lacks={!isMeant && m.shell.lacks.text}
        >
          {words.erase}
        </Button>
      </div>
      <FormError fault={error} />
    </Form>
  );
}
