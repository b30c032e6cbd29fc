import { useState } from 'react';
import { toast } from 'sonner';
import { useChangePasswordMutation, useSetPinMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';

const words = m.shell.person;

/** One's own PIN, for the password. */
export function SetPin({ onDone }: { readonly onDone: () => void }) {
  const [setPin, { isLoading, error }] = useSetPinMutation();
  return (
    <SecretForm
      lead={words.setPinLead}
      fresh={{ label: words.pin, inputMode: 'numeric', maxLength: 8, pattern: /^\d{4,8}$/ }}
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
      lead={m.shell.signIn.freshHint}
      fresh={{ label: m.shell.signIn.fresh, maxLength: 200, pattern: /^.{10,200}$/s }}
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
  fresh: { label, pattern, ...input },
  busy,
  error,
  onSubmit,
}: {
  readonly lead: string;
  readonly fresh: {
    readonly label: string;
    readonly pattern: RegExp;
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
      <TextField
        label={words.password}
        type="password"
        autoComplete="current-password"
        autoFocus
        value={password}
        onText={setPassword}
      />
      <TextField
        {...input}
        label={label}
        hint={lead}
        type="password"
        autoComplete="new-password"
        value={fresh}
        onText={setFresh}
      />
      <FormError fault={!busy && error} />
      <Button
        look="main"
        type="submit"
        disabled={busy}
        lacks={(password === '' || !pattern.test(fresh)) && m.shell.lacks.all}
      >
        {words.save}
      </Button>
    </Form>
  );
}
