import { useState } from 'react';
import { useNameMyselfMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { FormError } from '../../session/FormError.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';

/** What one is called, and the letters on one's mark. */
export function NameMyself({ onDone }: { readonly onDone: () => void }) {
  const { person } = useSession();
  const [name, setName] = useState(person.name);
  const [initials, setInitials] = useState(person.initials);
  const [tell, { isLoading, error }] = useNameMyselfMutation();
  const words = m.shell.person;
  const isMissing = name.trim() === '' || initials.trim() === '';
  const submit = async () => {
    const { error: refused } = await tell({ name: name.trim(), initials: initials.trim() });
    if (!refused) onDone();
  };
  return (
    <Form className="flex max-w-sm flex-col gap-4" onSubmit={submit}>
      <TextField label={words.myName} autoFocus maxLength={80} value={name} onText={setName} />
      <TextField
        label={words.myInitials}
        maxLength={3}
        className="w-32"
        value={initials}
        onText={setInitials}
      />
      <FormError fault={error} />
      <Button
        look="main"
        type="submit"
        disabled={isLoading}
        lacks={isMissing && m.shell.lacks.text}
      >
        {words.save}
      </Button>
    </Form>
  );
}
