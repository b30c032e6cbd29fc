import type { CallFault } from '@nodo/client';
import type { Session } from '@nodo/contract';
import { useState } from 'react';
import { useAccountsQuery } from '../../api/client.ts';
import { faultWords } from '../../messages/faults.ts';
import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { Blank, Sewing } from '../../ui/Stitches.tsx';
import { Accounts } from './Accounts.tsx';
import { AuditList } from './AuditList.tsx';
import { type Handed, HandedCode } from './HandedCode.tsx';
import { InviteForm } from './InviteForm.tsx';
import { Screens } from './Screens.tsx';

/** What a lead looks after: who may do what, where they are signed in, who saw and did what. */
export default function PeopleView({ session }: { readonly session: Session }) {
  if (session.person.role !== 'lead') {
    return (
      <Blank title={m.people.title}>
        <p>{m.people.onlyLead}</p>
      </Blank>
    );
  }
  return <ForLead session={session} />;
}

function ForLead({ session }: { readonly session: Session }) {
  const { data: accounts, error, refetch } = useAccountsQuery();
  const [handed, setHanded] = useState<Handed>();
  const words = m.people;
  if (!accounts) {
    return error ? (
      <Blank title={words.failed}>
        <p>{faultWords(error as CallFault)}</p>
        <Button look="main" onClick={() => void refetch()}>
          {m.shell.tryAgain}
        </Button>
      </Blank>
    ) : (
      <div className="p-8">
        <Sewing label={m.shell.loading} />
      </div>
    );
  }
  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      <div className="min-w-0 flex-1 px-6 py-4">
        <h1 className="mb-3 text-2xl font-bold">{words.title}</h1>
        {handed && <HandedCode handed={handed} onDone={() => setHanded(undefined)} />}
        <Accounts accounts={accounts} self={session.person.id} onHanded={setHanded} />
        <InviteForm onHanded={setHanded} />
        <Screens accounts={accounts} here={session.screen.id} />
      </div>
      <AuditList accounts={accounts} />
    </div>
  );
}
