import { useState } from 'react';
import { useSignInMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { FormError } from '../../session/FormError.tsx';
import { deviceId } from '../../store/device.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { SecretField } from '../../ui/SecretField.tsx';
import { readForm } from './readForm.ts';

/** Name and password. */
export function SignInForm({ onDone }: { readonly onDone?: () => void }) {
  const [signIn, { isLoading, error }] = useSignInMutation();
  const [missing, setMissing] = useState(false);
  const words = m.shell.signIn;

  const submit = async (form: HTMLFormElement) => {
    const { login = '', password = '' } = readForm(form);
    const isMissing = login.trim() === '' || password === '';
    setMissing(isMissing);
    if (isMissing) return;
    const { error: refused } = await signIn({ login: login.trim(), password, device: deviceId() });
    if (!refused) onDone?.();
  };

  return (
    <Form onSubmit={submit} className="flex max-w-sm flex-col gap-6" noValidate>
      <TextField label={words.login} name="login" autoComplete="username" autoFocus />
      <SecretField label={words.password} name="password" autoComplete="current-password" />
      <Button look="main" type="submit" disabled={isLoading}>
        {isLoading ? words.submitting : words.submit}
      </Button>
      <FormError text={missing ? words.missing : ''} fault={error} />
    </Form>
  );
}
