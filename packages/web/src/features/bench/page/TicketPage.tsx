import { mayTakeIn, type Situation, situationOf } from '@nodo/ticket';
import { ChevronRight } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { m, write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { usePeopleById } from '../../../session/usePeopleById.ts';
import { TicketBar } from '../../../ticket/TicketBar.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { TicketGate } from '../../../ticket/TicketGate.tsx';
import { shopClock } from '../../../time/shopTime.ts';
import { TextLink } from '../../../ui/TextLink.tsx';
import { JobButton } from '../job/JobBar.tsx';
import { PageActions } from './PageActions.tsx';
import { PageFacts } from './PageFacts.tsx';
import { PageThread } from './PageThread.tsx';

/** A ticket for the counter, and for whoever answers a call: how it stands, what to do, the facts. */
export default function TicketPage() {
  const { ticket: id = '' } = useParams();
  return (
    <TicketGate id={id}>
      <Page />
    </TicketGate>
  );
}

function Page() {
  const { ticket } = useTicket();
  const { role } = useSession().person;
  const situation = situationOf(ticket);
  const isInShop = ticket.intake?.tag !== undefined;
  const toWork = (
    <Link
      to={`/${isInShop ? 'bench' : 'phone'}/${ticket.id}`}
      className="inline-flex min-h-11 items-center gap-1 rounded-md border-2 border-edge px-3 font-semibold"
    >
      {isInShop ? later.ticketPage.bench : later.ticketPage.call}{' '}
      <ChevronRight aria-hidden size={18} />
    </Link>
  );
  return (
    <div className="mx-auto flex w-full max-w-4xl flex-1 flex-col gap-6 gutter py-6">
      <TicketBar tools={false} narrow={toWork}>
        <JobButton />
        {toWork}
      </TicketBar>
      <div>
        <h1 className="text-3xl leading-9 font-bold text-balance">
          <Sentence situation={situation} />
        </h1>
        <Day situation={situation} />
      </div>
      {mayTakeIn(role) && <PageActions situation={situation} />}
      <PageThread />
      <PageFacts />
      <p className="flex flex-wrap gap-6 lg:hidden">
        <JobButton />
        <TextLink to="/">{m.shell.backToRack}</TextLink>
      </p>
    </div>
  );
}

function Sentence({ situation }: { readonly situation: Situation }) {
  const people = usePeopleById();
  const money = useMoney();
  const { instead } = useTicket().ticket.life;
  const words = later.ticketPage.sentence;
  const { stage, workedOnBy, question, awaited, unrepaired, informedAt } = situation;
  switch (stage) {
    case 'away':
    case 'taken-in':
      return words[stage];
    case 'on-the-bench': {
      const names = workedOnBy.flatMap((person) => people.get(person)?.name ?? []);
      return names.length > 0 ? words.workedOn(names.join(', ')) : words[stage];
    }
    case 'ask-customer':
      return question && words.question(money.say(question.amount));
    case 'part-awaited':
      return awaited && words.awaited(awaited.part);
    case 'ready':
      if (unrepaired) {
        const why = m.life.unrepaired(unrepaired);
        return (informedAt ? words.unrepairedInformed : words.unrepaired)(why);
      }
      return informedAt ? words.informed : words.ready;
    case 'collected':
      if (instead) return words.instead(m.life.neverCollected(instead.way), instead.reason);
      return unrepaired ? words.collectedUnrepaired : words.collected;
  }
}

/** The day that the customer waits for, as far as it can hold. */
function Day({ situation: { awaited, conflict, stage } }: { readonly situation: Situation }) {
  const { promised } = useTicket().ticket.life;
  const words = later.ticketPage;
  if (stage === 'ready' || stage === 'collected') return null;
  const part =
    awaited &&
    (awaited.expected ? words.expected(write.plainDay(awaited.expected)) : words.notOrdered);
  const isOver = promised !== undefined && promised < shopClock().day;
  const day =
    promised === undefined
      ? words.nothingPromised
      : (conflict ? words.conflict : isOver ? words.overdue : words.promised)(
          write.plainDay(promised),
        );
  return (
    <p className="mt-1 text-lg">
      {part} <span className={conflict || isOver ? 'font-semibold' : undefined}>{day}</span>
    </p>
  );
}
