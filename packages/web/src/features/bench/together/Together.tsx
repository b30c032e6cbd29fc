import type { Person, Presence } from '@nodo/api';
import { lowerFirst } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import { type HandOver, handOverOf } from '@nodo/ticket';
import { Link2, UserRoundPlus } from 'lucide-react';
import { usePresenceQuery } from '../../../api/client.ts';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { usePeopleById } from '../../../session/usePeopleById.ts';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';

import { Button } from '../../../ui/Button.tsx';
import { Modal } from '../../../ui/Modal.tsx';
import { PersonMark } from '../../../ui/PersonMark.tsx';
import { CustomerLinks } from './CustomerLinks.tsx';
import { HandOverForm } from './HandOverForm.tsx';

/** Who else has this ticket open, and what each is looking at. */
export function AlsoHere() {
  const { model } = useTicket();
  const { ticket } = useShown();
  const people = usePeopleById();
  const { data: present = [] } = usePresenceQuery();
  const here = present.filter((presence) => presence.ticket === ticket.id);
  if (here.length === 0) return null;
  return (
    <ul className="flex gap-1" aria-label={later.together.also('')}>
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
  );
}

/** What of a ticket can leave this bench: to a colleague, to its owner. */
export type SentOn = 'hand-over' | 'links';

/** The ways by which a ticket leaves this bench, as buttons. */
export function SendOn({ onChoose }: { readonly onChoose: (sheet: SentOn) => void }) {
  const { ticket } = useTicket();
  return (
    <div className="flex flex-wrap gap-3">
      {ticket.status === 'open' && (
        <Button onClick={() => onChoose('hand-over')}>
          <UserRoundPlus aria-hidden size={20} />
          {later.together.handOver}
        </Button>
      )}
      <Button onClick={() => onChoose('links')}>
        <Link2 aria-hidden size={20} />
        {later.links.open}
      </Button>
    </div>
  );
}

/** The sheet of one of them. */
export function SendSheet({
  sheet,
  onDone,
}: {
  readonly sheet: SentOn;
  readonly onDone: () => void;
}) {
  const { record } = useTicket();
  const people = usePeopleById();
  const session = useSession();
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={sheet === 'links' ? later.links.title : later.together.handTitle}
      closeLabel={later.together.close}
    >
      {sheet === 'hand-over' ? (
        <HandOverForm
          people={[...people.values()]}
          self={session.person.id}
          record={record}
          onDone={onDone}
        />
      ) : (
        <CustomerLinks />
      )}
    </Modal>
  );
}

function lookWords({ check }: Presence, { name }: Person, model: FamilyModel): string {
  const title = check === null ? undefined : model.checks.get(check)?.title;
  return title === undefined
    ? later.together.onIt(name)
    : later.together.looksAt(name, lowerFirst(title));
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
      className="border-b-2 border-dashed border-own bg-sunk gutter py-2 break-words"
    >
      {leftWords(left, session.person.id, nameOf)}{' '}
      <strong>
        <bdi>{left.note}</bdi>
      </strong>
    </p>
  );
}

function leftWords({ to, by }: HandOver, self: string, nameOf: (id: string) => string): string {
  const { forYou, forAnybody, forOther, byYou, byYouToAnybody } = later.together;
  if (by === self) return to === null ? byYouToAnybody : byYou(nameOf(to));
  if (to === null) return forAnybody(nameOf(by));
  return to === self ? forYou(nameOf(by)) : forOther(nameOf(by), nameOf(to));
}
