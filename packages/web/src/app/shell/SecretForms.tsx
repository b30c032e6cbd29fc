import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from '@nodo/kernel';
import { useState } from 'react';
import { toast } from 'sonner';
import { useChangePasswordMutation, useSetPinMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { Form } from '../../ui/Form.tsx';
import { SecretField } from '../../ui/SecretField.tsx';

const words = m.shell.person;

/** One's own PIN, for the password. */
export function SetPin({ onDone }: { readonly onDone: () => void }) {
  const [setPin, { isLoading, error }] = useSetPinMutation();
  return (
    <SecretForm
      lead={words.setPinLead}
      fresh={{
        label: words.pin,
        inputMode: 'numeric',
        maxLength: 8,
        isGood: (pin) => /^\d{4,8}$/.test(pin),
      }}
      busy={isLoading}
      error={error}
      onSubmit={async (password, pin) => {
        const { error: refused } = await setPin({ password, pin });
        if (refused) return;
        toast(words.pinSet);
        onDone();
      }}
    />
  );
}

/** Another password, for the one of before. */
export function ChangePassword({ onDone }: { readonly onDone: () => void }) {
  const [change, { isLoading, error }] = useChangePasswordMutation();
  return (
    <SecretForm
      lead={m.shell.signIn.freshHint(SHORTEST_PASSWORD)}
      fresh={{
        label: m.shell.signIn.fresh,
        maxLength: LONGEST_PASSWORD,
        isGood: (fresh) => fresh.length >= SHORTEST_PASSWORD,
      }}
      busy={isLoading}
      error={error}
      onSubmit={async (password, fresh) => {
        const { error: refused } = await change({ password, fresh });
        if (refused) return;
        toast(words.passwordSet);
        onDone();
      }}
    />
  );
}

function SecretForm({
  lead,
  fresh: { label, isGood, ...input },
  busy,
  error,
  onSubmit,
}: {
  readonly lead: string;
  readonly fresh: {
    readonly label: string;
    readonly isGood: (fresh: string) => boolean;
    readonly maxLength: number;
    readonly inputMode?: 'numeric';
  };
  readonly busy: boolean;
  readonly error: unknown;
  readonly onSubmit: (password: string, fresh: string) => Promise<void>;
}) {
  const [password, setPassword] = useState('');
  const [fresh, setFresh] = useState('');
  return (
    <Form className="flex max-w-sm flex-col gap-4" onSubmit={() => onSubmit(password, fresh)}>
      <SecretField
        label={words.password}
        autoComplete="current-password"
        autoFocus
        value={password}
        onText={setPassword}
      />
      <SecretField
        {...input}
        label={label}
        hint={lead}
        autoComplete="new-password"
        value={fresh}
        onText={setFresh}
      />
      <FormError fault={!busy && error} />
      <Button
        look="main"
        type="submit"
        disabled={busy}
        lacks={(password === '' || !isGood(fresh)) && m.shell.lacks.all}
      >
        {words.save}
      </Button>
    </Form>
  );
}
