import type { HandedCode } from '@nodo/api';
import { EVERY_ROLE, type Role } from '@nodo/kernel';
import { useState } from 'react';
import { useInvitePersonMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { people } from '../../messages/people.ts';
import { FormError } from '../../session/FormError.tsx';
import { suggestFor } from '../../shop/suggestFor.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { Select } from '../../ui/Select.tsx';

const NOBODY = { name: '', initials: '', login: '', role: 'technician' as Role };

/** A new person of the shop; initials and sign-in name are suggested from the name. */
export function InviteForm({ onHanded }: { readonly onHanded: (handed: HandedCode) => void }) {
  const [given, setGiven] = useState(NOBODY);
  const [invite, { isLoading, error }] = useInvitePersonMutation();
  const words = people.invite;
  const suggested = suggestFor(given.name);
  const initials = given.initials || suggested.initials;
  const login = given.login || suggested.login;
  const submit = async () => {
    const { data } = await invite({ name: given.name.trim(), initials, login, role: given.role });
    if (!data) return;
    setGiven(NOBODY);
    onHanded(data);
  };
  const field = (name: 'name' | 'initials' | 'login') => (value: string) =>
    setGiven({ ...given, [name]: value });
  return (
    <Form aria-label={words.title} className="mt-6 max-w-2xl" onSubmit={submit}>
      <h2 className="mb-2 text-lg font-semibold">{words.title}</h2>
      <div className="grid gap-4 sm:grid-cols-[2fr_1fr]">
        <TextField
          label={words.name}
          value={given.name}
          maxLength={80}
          autoComplete="off"
          onText={field('name')}
        />
        <TextField
          label={words.initials}
          value={initials}
          maxLength={3}
          autoComplete="off"
          onText={field('initials')}
        />
        <TextField
          label={words.login}
          hint={words.loginHint}
          value={login}
          maxLength={40}
          autoComplete="off"
          autoCapitalize="none"
          onText={(typed) => field('login')(typed.toLowerCase())}
        />
        <Select
          label={words.role}
          hint={people.roleHint[given.role]}
          value={given.role}
          onChoose={(role) => setGiven({ ...given, role })}
          options={EVERY_ROLE.map((role) => [role, m.shell.roles[role]] as const)}
        />
      </div>
      <FormError fault={error} />
      <Button
        look="main"
        type="submit"
        disabled={isLoading}
        lacks={given.name.trim() === '' && m.shell.lacks.all}
      >
        {words.submit}
      </Button>
    </Form>
  );
}
