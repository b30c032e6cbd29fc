import type { MachineFile } from '@nodo/api';
import { mayTakeIn } from '@nodo/ticket';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useMachineQuery } from '../../api/client.ts';
import { Silhouette } from '../../drawing/Silhouette.tsx';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { Visits } from '../../shop/Visits.tsx';
import { Button } from '../../ui/Button.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { TextLink } from '../../ui/TextLink.tsx';
import { useFormBehind } from '../../ui/useFormBehind.ts';
import { MachineCardForm } from './MachineCardForm.tsx';
import { MachineFacts } from './MachineFacts.tsx';

/** One machine: what it is, what its manual says, and what was ever done to it. */
export default function MachineView() {
  const session = useSession();
  const { machine: id = '' } = useParams();
  const mayRead = mayTakeIn(session.person.role);
  const { currentData: file, error, refetch } = useMachineQuery(id, { skip: !mayRead });
  const words = later.cards.machine;
  if (!mayRead) return <Blank title={words.failed} text={later.cards.customer.noRights} />;
  if (!file) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return <Machine key={file.machine.id} file={file} />;
}

function Machine({ file }: { readonly file: MachineFile }) {
  const { machine, customerName, visits, earlier } = file;
  const people = usePeopleById();
  // A card of before that was brought back into the form, to be looked at and saved.
  const [brought, setBrought] = useState<number>();
  const form = useFormBehind();
  const words = later.cards.machine;
  const card = earlier.find(({ revision }) => revision === brought)?.card ?? machine.card;
  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      <div className="min-w-0 flex-1 gutter py-4">
        <div className="mb-4 flex items-end gap-4">
          <span className="w-24 shrink-0">
            <Silhouette family={machine.card.family} colour={machine.card.colour} />
          </span>
          <div className="min-w-0">
            <h1 className="text-2xl font-bold break-words">
              <bdi>{machine.card.label}</bdi>
            </h1>
            <p className="text-quiet">
              {machine.customer === null ? (
                words.nobody
              ) : (
                <TextLink to={`/customers/${machine.customer}`}>
                  <bdi>{words.of(customerName ?? later.cards.customer.erased)}</bdi>
                </TextLink>
              )}{' '}
              <TextLink to={`/needle/register?machine=${machine.id}`}>{words.needles}</TextLink>
            </p>
          </div>
        </div>
        {form.isOpened && (
          <div hidden={!form.isShown}>
            <MachineCardForm
              key={`${machine.revision} ${brought ?? ''}`}
              machine={{ ...machine, card }}
              onLeave={form.leave}
              onSaved={() => {
                setBrought(undefined);
                form.begin();
              }}
            />
          </div>
        )}
        {!form.isShown && (
          <>
            <MachineFacts card={machine.card} />
            <Button className="mt-4" onClick={form.show}>
              {words.edit}
            </Button>
          </>
        )}
        {earlier.length > 0 && (
          <section className="mt-6" aria-label={words.earlier}>
            <h2 className="font-semibold">{words.earlier}</h2>
            <ul>
              {earlier.map(({ revision, at, by }) => (
                <li key={revision} className="flex items-center gap-4 border-b border-rule py-1">
                  <span className="flex-1">
                    {words.earlierLine(write.moment(at), people.get(by)?.name ?? '')}
                  </span>
                  <Button
                    onClick={() => {
                      setBrought(revision);
                      form.show();
                    }}
                  >
                    {words.bringBack}
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <aside
        aria-label={words.visits}
        className="border-rule bg-paper gutter py-4 max-lg:border-t lg:w-[26rem] lg:border-l"
      >
        <h2 className="mb-2 text-lg font-semibold">{words.visits}</h2>
        {visits.length === 0 ? (
          <p className="text-quiet">{words.noVisits}</p>
        ) : (
          <Visits visits={visits} machine={machine.card} />
        )}
      </aside>
    </div>
  );
}
