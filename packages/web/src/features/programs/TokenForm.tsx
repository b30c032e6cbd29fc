import { TOKEN_SCOPES, type TokenScope } from '@nodo/api';
import { useState } from 'react';
import { useMakeTokenMutation } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { RadioBoxes } from '../../ui/RadioBoxes.tsx';
import { SecretField } from '../../ui/SecretField.tsx';

const USUAL_DAYS = 90;
const MOST_DAYS = 365;

/** Gives a program access, for one's password. */
export function TokenForm({
  onGiven,
}: {
  readonly onGiven: (name: string, secret: string) => void;
}) {
  const words = later.programs;
  const [name, setName] = useState('');
  const [scope, setScope] = useState<TokenScope>('read');
  const [days, setDays] = useState(String(USUAL_DAYS));
  const [password, setPassword] = useState('');
  const [make, { isLoading, error }] = useMakeTokenMutation();
  const count = Number(days);
  const isCount = Number.isInteger(count) && count >= 1 && count <= MOST_DAYS;
  const submit = async () => {
    const { data } = await make({ name: name.trim(), scope, days: count, password });
    if (data) onGiven(data.token.name, data.secret);
  };
  return (
    <Form
      className="flex max-w-3xl flex-col gap-4 border-l-6 border-ink bg-paper px-6 py-4"
      onSubmit={() => void submit()}
    >
      <div className="flex flex-wrap gap-4">
        <TextField
          label={words.what}
          value={name}
          maxLength={60}
          className="min-w-60 flex-1"
          onText={setName}
        />
        <NumberField whole label={words.days} value={days} className="w-44" onText={setDays} />
      </div>
      <RadioBoxes
        legend={words.scope}
        className="flex flex-wrap gap-x-6"
        options={TOKEN_SCOPES.map((one) => [one, words.scopes[one]] as const)}
        value={scope}
        onChoose={setScope}
      />
      <SecretField
        label={words.password}
        autoComplete="current-password"
        value={password}
        className="max-w-80"
        onText={setPassword}
      />
      <div className="flex flex-wrap items-center gap-x-4">
        <Button
          look="main"
          type="submit"
          disabled={isLoading || !isCount}
          lacks={
            (name.trim() === '' && words.lacksName) || (password === '' && words.lacksPassword)
          }
        >
          {words.make}
        </Button>
        <FormError fault={error} />
      </div>
    </Form>
  );
}
