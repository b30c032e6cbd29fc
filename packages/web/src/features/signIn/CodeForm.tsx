import { SHORTEST_PASSWORD } from '@nodo/kernel';
import { useRedeemCodeMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { SecretField } from '../../ui/SecretField.tsx';
import { readForm } from './readForm.ts';

/** A code from the lead becomes a password of one's own. */
export function CodeForm({ onDone }: { readonly onDone: () => void }) {
  const [redeem, { isLoading, error }] = useRedeemCodeMutation();
  const words = m.shell.signIn;
  const submit = async (form: HTMLFormElement) => {
    const { login = '', code = '', password = '' } = readForm(form);
    const { error: refused } = await redeem({ login: login.trim(), code, password });
    if (!refused) onDone();
  };
  return (
    <Form onSubmit={submit} className="flex max-w-sm flex-col gap-6">
      <TextField label={words.login} name="login" autoComplete="username" autoFocus required />
      <TextField label={words.code} name="code" autoComplete="one-time-code" required />
      <SecretField
        label={words.fresh}
        hint={words.freshHint(SHORTEST_PASSWORD)}
        name="password"
        autoComplete="new-password"
        minLength={SHORTEST_PASSWORD}
        required
      />
      <Button look="main" type="submit" disabled={isLoading}>
        {words.redeem}
      </Button>
      <FormError fault={error} />
    </Form>
  );
}
