import type { Person, Presence } from '@nodo/api';
import type { FamilyModel } from '@nodo/knowledge';
import { type HandOver, handOverOf } from '@nodo/ticket';
import { Link2, UserRoundPlus } from 'lucide-react';
import { useState } from 'react';
import { usePresenceQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { usePeopleById } from '../../../session/usePeopleById.ts';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';
import { lowerFirst } from '../../../ticket/words.ts';
import { Button } from '../../../ui/Button.tsx';
import { Modal } from '../../../ui/Modal.tsx';
import { PersonMark } from '../../../ui/PersonMark.tsx';
import { CustomerLinks } from './CustomerLinks.tsx';
import { HandOverForm } from './HandOverForm.tsx';

/** Who else has this ticket open, and what of it leaves this bench: to a colleague, to its owner. */
export function Together({ mayRecord }: { readonly mayRecord: boolean }) {
  const { model, record } = useTicket();
  const { ticket } = useShown();
  const people = usePeopleById();
  const session = useSession();
  const { data: present = [] } = usePresenceQuery();
  const here = present.filter((presence) => presence.ticket === ticket.id);
  const [sheet, setSheet] = useState<'hand-over' | 'links'>();
  const words = m.together;
  const done = () => setSheet(undefined);
  return (
    <div className="flex items-center gap-1">
      {here.length > 0 && (
        <ul className="flex gap-1" aria-label={words.also('')}>
          {here.map((presence) => {
            const person = people.get(presence.person);
            return (
              person && (
                <li key={presence.screen}>
                  <PersonMark person={person} title={lookWords(presence, person, model)} />
                </li>
              )
            );
          })}
        </ul>
      )}
      {mayRecord && (
        <>
          {ticket.status === 'open' && (
            <Button
              look="quiet"
              aria-label={words.handOver}
              title={words.handOver}
              onClick={() => setSheet('hand-over')}
            >
              <UserRoundPlus aria-hidden size={20} />
            </Button>
          )}
          <Button
            look="quiet"
            aria-label={m.links.open}
            title={m.links.open}
            onClick={() => setSheet('links')}
          >
            <Link2 aria-hidden size={20} />
          </Button>
        </>
      )}
      <Modal
        open={sheet !== undefined}
        onOpenChange={(open) => !open && done()}
        title={sheet === 'links' ? m.links.title : words.handTitle}
        closeLabel={words.close}
      >
        {sheet === 'hand-over' && (
          <HandOverForm
            people={[...people.values()]}
            self={session.person.id}
            record={record}
            onDone={done}
          />
        )}
        {sheet === 'links' && <CustomerLinks />}
      </Modal>
    </div>
  );
}

function lookWords({ check }: Presence, { name }: Person, model: FamilyModel): string {
  const title = check === null ? undefined : model.checks.get(check)?.title;
  return title === undefined ? m.together.onIt(name) : m.together.looksAt(name, lowerFirst(title));
}

/** What somebody left to whoever goes on, until it is taken up. */
export function LeftHere() {
  const { ticket } = useShown();
  const people = usePeopleById();
  const session = useSession();
  const left = handOverOf(ticket);
  if (!left) return null;
  const nameOf = (id: string) => people.get(id)?.name ?? '';
  return (
    <p
      role="status"
      data-left
      className="border-b-2 border-dashed border-own bg-sunk px-5 py-2 break-words"
    >
      {leftWords(left, session.person.id, nameOf)}{' '}
      <strong>
        <bdi>{left.note}</bdi>
      </strong>
    </p>
  );
}

function leftWords({ to, by }: HandOver, self: string, nameOf: (id: string) => string): string {
  const { forYou, forAnybody, forOther, byYou, byYouToAnybody } = m.together;
  if (by === self) return to === null ? byYouToAnybody : byYou(nameOf(to));
  if (to === null) return forAnybody(nameOf(by));
  return to === self ? forYou(nameOf(by)) : forOther(nameOf(by), nameOf(to));
}
