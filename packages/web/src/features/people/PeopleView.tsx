import type { HandedCode } from '@nodo/api';
import { useState } from 'react';
import { useAccountsQuery } from '../../api/client.ts';
import { people } from '../../messages/people.ts';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { ShopTabs } from '../../shop/ShopTabs.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { Accounts } from './Accounts.tsx';
import { AuditList } from './AuditList.tsx';
import { HandedSecret } from './HandedSecret.tsx';
import { InviteForm } from './InviteForm.tsx';
import { OtherBenches } from './OtherBenches.tsx';
import { Screens } from './Screens.tsx';

/** What a lead looks after: who may do what, where they are signed in, who saw and did what. */
export default function PeopleView() {
  const session = useSession();
  if (session.person.role !== 'lead') return <Blank title={people.title} text={people.onlyLead} />;
  return <ForLead />;
}

function ForLead() {
  const session = useSession();
  const { data: accounts, error, refetch } = useAccountsQuery();
  const [handed, setHanded] = useState<HandedCode>();
  const words = people;
  if (!accounts) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      <div className="min-w-0 flex-1 gutter py-4">
        <ShopTabs />
        <h1 className="mb-3 text-2xl font-bold">{words.title}</h1>
        {handed && <HandedSecret handed={handed} onDone={() => setHanded(undefined)} />}
        <Accounts accounts={accounts} self={session.person.id} onHanded={setHanded} />
        <InviteForm onHanded={setHanded} />
        <Screens accounts={accounts} here={session.screen.id} />
        <OtherBenches />
      </div>
      <AuditList accounts={accounts} />
    </div>
  );
}
