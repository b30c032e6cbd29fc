import { DOCUMENT_KINDS, type DocumentKind, pathTo } from '@nodo/api';
import { NEW_SHOP_PROFILE, TAG_PAPERS, type TagPaper } from '@nodo/shop';
import { mayRecord, mayTakeIn } from '@nodo/ticket';
import type { ReactNode } from 'react';
import { useShopQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';
import { Modal } from '../../../ui/Modal.tsx';
import { PaperLink } from '../../../ui/PaperLink.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { SendOn, type SentOn } from '../together/Together.tsx';
import { DayPromise } from './DayPromise.tsx';
import { FoundPart } from './FoundPart.tsx';
import { MoneyPart } from './MoneyPart.tsx';
import { PartsPart } from './PartsPart.tsx';
import { TimePart } from './TimePart.tsx';

/** Everything of a ticket that is not the diagnosis: price, parts, time, promise, papers. */
export default function JobSheet({
  onClose,
  onSendOn,
}: {
  readonly onClose: () => void;
  readonly onSendOn: (sheet: SentOn) => void;
}) {
  const { ticket } = useTicket();
  const { customer } = useShown();
  const { role } = useSession().person;
  const { tagPaper } = useShopQuery().data?.card ?? NEW_SHOP_PROFILE;
  const words = m.life.sheet;
  const { machine, toldAt } = ticket.life;
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={words.title}
      closeLabel={words.close}
    >
      <div className="flex flex-col gap-6 overflow-y-auto pr-2">
        {(customer || machine) && (
          <p className="flex flex-wrap gap-x-6">
            {customer && (
              <SheetLink to={`/customers/${customer.id}`}>
                {`${words.customer}: ${customer.name}`}
              </SheetLink>
            )}
            {machine !== undefined && (
              <SheetLink to={`/machines/${machine}`}>
                {`${words.machine}: ${ticket.intake?.label ?? ''}`}
              </SheetLink>
            )}
          </p>
        )}
        {mayRecord(role, 'handed-over') && <SendOn onChoose={onSendOn} />}
        {!mayTakeIn(role) ? (
          <p>{words.noRights}</p>
        ) : (
          <>
            <Part title={words.money}>
              <MoneyPart />
            </Part>
            {ticket.status === 'open' && (
              <Part title={m.life.promise.title}>
                <DayPromise />
              </Part>
            )}
            <Part title={words.things}>
              <PartsPart />
            </Part>
            <Part title={words.time}>
              <TimePart />
            </Part>
            <Part title={words.asFound}>
              <FoundPart />
            </Part>
            {ticket.intake?.tag !== undefined && (
              <Part title={words.papers}>
                <ul className="flex flex-wrap gap-3">
                  {papersOf(tagPaper, toldAt !== undefined).map((paper) => (
                    <li key={paper}>
                      <PaperLink href={pathTo('readPaper', { ticket: ticket.id, paper })}>
                        {m.life.paper(paper)}
                      </PaperLink>
                    </li>
                  ))}
                </ul>
              </Part>
            )}
          </>
        )}
      </div>
    </Modal>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title} className="border-t border-rule pt-3 first:border-0">
      <h2 className="mb-2 text-lg font-semibold">{title}</h2>
      {children}
    </section>
  );
}

function SheetLink({ to, children }: { readonly to: string; readonly children: string }) {
  return (
    <TextLink to={to}>
      <bdi>{children}</bdi>
    </TextLink>
  );
}

/** What can be printed of a ticket: its tag in the shop's size; a reminder once the customer was informed. */
function papersOf(tagPaper: TagPaper, isInformed: boolean): readonly DocumentKind[] {
  const left = new Set<DocumentKind>(['credit', ...TAG_PAPERS.filter((one) => one !== tagPaper)]);
  if (!isInformed) left.add('reminder');
  return DOCUMENT_KINDS.filter((paper) => !left.has(paper));
}
