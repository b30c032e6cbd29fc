import { useState } from 'react';
import { useChangePersonMutation } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';

/** The PIN of one of the screen's people, who then stands at it. */
export function PinForm({
  person,
  submit,
  onDone,
}: {
  readonly person: { readonly id: string; readonly name: string };
  readonly submit: string;
  readonly onDone?: () => void;
}) {
  const [pin, setPin] = useState('');
  const [changePerson, { isLoading, error }] = useChangePersonMutation();
  const go = async () => {
    const { error: refused } = await changePerson({ person: person.id, pin });
    setPin('');
    if (!refused) onDone?.();
  };
  return (
    <Form className="flex max-w-xs flex-col gap-3" onSubmit={go}>
      <TextField
        inputMode="numeric"
        label={m.shell.person.pinOf(person.name)}
        type="password"
        autoComplete="off"
        autoFocus
        maxLength={8}
        value={pin}
        error={error ? faultWords(error, m.shell.person.needsLine) : undefined}
        onText={(typed) => setPin(typed.replaceAll(/\D/g, ''))}
      />
      <Button
        look="main"
        type="submit"
        disabled={isLoading}
        lacks={pin.length < 4 && m.shell.lacks.text}
      >
        {submit}
      </Button>
    </Form>
  );
}
