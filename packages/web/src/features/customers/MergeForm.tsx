import type { CustomerFile } from '@nodo/api';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useMergeCustomerMutation, useSearchQuery } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { useSettled } from '../../ui/useSettled.ts';

/** Says that this is the same person as another; that can be taken back. */
export function MergeForm({ file }: { readonly file: CustomerFile }) {
  const [typed, setTyped] = useState('');
  const letters = useSettled(typed.trim());
  const { currentData: hits = [] } = useSearchQuery(letters, { skip: letters === '' });
  const [merge, { isLoading, error }] = useMergeCustomerMutation();
  const navigate = useNavigate();
  const words = later.cards.customer;
  const others = hits.filter(({ kind, id }) => kind === 'customer' && id !== file.id);
  const mergeInto = async (into: string, name: string) => {
    const result = await merge({ customer: file.id, into });
    if (!result.data) return;
    toast.success(words.merged(name), {
      action: { label: words.undo, onClick: () => void merge({ customer: file.id, into: null }) },
    });
    void navigate(`/customers/${into}`);
  };
  return (
    <section className="mt-6 max-w-2xl border-t border-rule pt-4" aria-label={words.merge}>
      <h2 className="font-semibold">{words.merge}</h2>
      <TextField label={words.mergeFind} value={typed} autoComplete="off" onText={setTyped} />
      <ul className="mt-2 flex flex-col gap-2">
        {others.map(({ id, title, more }) => (
          <li key={id} className="flex flex-wrap items-center gap-3">
            <Button disabled={isLoading} onClick={() => void mergeInto(id, title)}>
              {words.mergeInto(title)}
            </Button>
            <span className="text-quiet">{more}</span>
          </li>
        ))}
      </ul>
      <FormError fault={error} />
    </section>
  );
}
