import { useState } from 'react';
import { useNameScreenMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { FormError } from '../../session/FormError.tsx';
import { deviceName, nameDevice } from '../../store/device.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';

/** What the shop calls this screen: the lead finds it by that, and entries are signed with it. */
export function NameScreen({ onDone }: { readonly onDone: () => void }) {
  const [name, setName] = useState(deviceName);
  const [tell, { isLoading, error }] = useNameScreenMutation();
  const words = m.shell.person;
  const submit = async () => {
    const given = name.trim();
    const { error: refused } = await tell(given);
    if (refused) return;
    nameDevice(given);
    onDone();
  };
  return (
    <Form className="flex max-w-sm flex-col gap-4" onSubmit={submit}>
      <TextField
        label={words.screenName}
        hint={words.screenNameHint}
        autoFocus
        maxLength={64}
        value={name}
        onText={setName}
      />
      <FormError fault={error} />
      <Button
        look="main"
        type="submit"
        disabled={isLoading}
        lacks={name.trim() === '' && m.shell.lacks.text}
      >
        {words.save}
      </Button>
    </Form>
  );
}
