import { type DocumentKind, pathTo } from '@nodo/api';
import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { Printer, Receipt, UserRoundPlus } from 'lucide-react';
import type { ReactNode } from 'react';
import { useShopQuery } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { ticketAddress } from '../../shop/ticketAddress.ts';
import { Button } from '../../ui/Button.tsx';
import { PaperLink } from '../../ui/PaperLink.tsx';
import { TextLink } from '../../ui/TextLink.tsx';

/** A machine that was just taken in. */
export interface JustTaken {
  readonly ticket: string;
  readonly tag: number;
  readonly label: string;
}

/** The end of an intake: its papers, and the next customer. */
export function TakenIn({
  taken: { ticket, tag, label },
  onNext,
}: {
  readonly taken: JustTaken;
  readonly onNext: () => void;
}) {
  const { role } = useSession().person;
  const { tagPaper } = useShopQuery().data?.card ?? NEW_SHOP_PROFILE;
  const words = later.counter;
  return (
    <section className="mx-auto flex w-full max-w-2xl flex-col gap-6 gutter py-10">
      <div>
        <h1 className="text-3xl font-bold">{words.taken(tag)}</h1>
        <p className="mt-1 text-lg">
          <bdi>{label}</bdi>
        </p>
      </div>
      <div className="flex flex-wrap gap-3">
        <Paper ticket={ticket} paper={tagPaper}>
          <Printer aria-hidden size={22} /> {words.printTag}
        </Paper>
        <Paper ticket={ticket} paper="receipt">
          <Receipt aria-hidden size={22} /> {words.printReceipt}
        </Paper>
        <Button look="main" autoFocus className="min-h-14 text-lg" onClick={onNext}>
          <UserRoundPlus aria-hidden size={22} /> {words.next}
        </Button>
      </div>
      <TextLink to={ticketAddress(role, { ticket, tag })}>{words.open}</TextLink>
    </section>
  );
}

function Paper({
  ticket,
  paper,
  children,
}: {
  readonly ticket: string;
  readonly paper: DocumentKind;
  readonly children: ReactNode;
}) {
  return (
    <PaperLink
      href={pathTo('readPaper', { ticket, paper })}
      className="min-h-14 gap-2 rounded-md border-2 border-edge bg-paper px-4 text-lg no-underline hover:border-ink"
    >
      {children}
    </PaperLink>
  );
}
