import type { TicketEvent } from '@nodo/ticket';
import { ChevronLeft } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { type Tool, ToolGlyph } from '../drawing/ToolGlyph.tsx';
import { m, write } from '../messages/index.ts';
import { later } from '../messages/later.ts';
import { InBar } from '../session/BarSlot.tsx';
import { usePeopleById } from '../session/usePeopleById.ts';
import { Tag } from '../ui/Tag.tsx';
import { TextLink } from '../ui/TextLink.tsx';
import { useShown, useTicket } from './TicketContext.tsx';

/**
 * One bar for one ticket: the way back, which machine, in whose words, the tools that measure on it,
 * and what the view adds. It stands over the step as over every instrument.
 */
export function TicketBar({
  summary,
  narrow,
  tools = true,
  children,
}: {
  /** How far the ticket is, shown with the machine's facts when they are opened. */
  readonly summary?: ReactNode;
  /** Whether what measures and explains the machine stands in it. */
  readonly tools?: boolean;
  /** What a small screen shows at the end of the bar. */
  readonly narrow?: ReactNode;
  /** What a wide screen shows at the end of the bar. */
  readonly children?: ReactNode;
}) {
  const { ticket } = useTicket();
  const { intake } = ticket;
  if (!intake) return null;
  return (
    <InBar>
      <Link
        to="/"
        className="hidden min-h-11 shrink-0 items-center gap-1 pr-1 text-quiet hover:text-ink lg:inline-flex"
      >
        <ChevronLeft aria-hidden size={20} />
        {m.shell.toRack}
      </Link>
      {intake.tag !== undefined && (
        <Link
          to={`/bench/${ticket.id}`}
          aria-label={later.bench.bar.toStep(intake.tag)}
          className="inline-flex min-h-11 shrink-0 items-center"
        >
          <Tag tag={intake.tag} />
        </Link>
      )}
      <Facts summary={summary} />
      {/* Where no tools stand, the customer's words stand among the facts of the page. */}
      {tools && intake.words && (
        <blockquote
          className="line-clamp-2 hidden min-w-0 flex-1 border-l-3 border-edge pl-3 leading-snug text-quiet xl:[display:-webkit-box]"
          title={intake.words}
        >
          <span className="sr-only">{later.bench.machine.words}: </span>
          <bdi>“{intake.words}”</bdi>
        </blockquote>
      )}
      <span className="ml-auto flex shrink-0 items-center lg:hidden">{narrow}</span>
      <div className="ml-auto hidden shrink-0 items-center gap-x-3 lg:flex">
        {tools && <ToolLinks ticket={ticket.id} isInShop={intake.tag !== undefined} />}
        {children}
      </div>
    </InBar>
  );
}

/** Which machine, whose, for when; opened, all that is known of the ticket in short. */
function Facts({ summary }: { readonly summary: ReactNode }) {
  const { ticket, events, customer } = useShown();
  const people = usePeopleById();
  const last = events.at(-1);
  const lastBy = last && people.get(last.actor.person);
  const { intake, life } = ticket;
  if (!intake) return null;
  const promised = life.promised && later.bench.bar.due(write.plainDay(life.promised));
  return (
    <Popover.Root>
      <Popover.Trigger
        className="min-h-11 min-w-0 rounded-md px-1 text-left leading-tight hover:bg-sunk max-lg:flex-1"
        data-facts
      >
        <span className="block truncate font-semibold">
          <bdi>{intake.label}</bdi>
        </span>
        <span className="block truncate text-sm text-quiet max-lg:hidden">
          <bdi>{customer?.name}</bdi>
          {customer && promised && ', '}
          {promised}
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={12}
          className="z-40 flex max-h-[70vh] w-[min(32rem,92vw)] flex-col gap-3 overflow-y-auto rounded-lg border-2 border-ink bg-paper p-4 text-ink"
        >
          <p className="leading-snug font-semibold break-words">
            <bdi>{intake.label}</bdi>
            <span className="block font-normal text-quiet">
              <bdi>{[customer?.name, customer?.phone].filter(Boolean).join(', ')}</bdi>
            </span>
            {promised && <span className="block font-normal text-quiet">{promised}</span>}
          </p>
          {intake.words && (
            <blockquote className="border-l-3 border-edge pl-3 leading-snug break-words">
              <bdi>“{intake.words}”</bdi>
            </blockquote>
          )}
          {notesOf(events).map(({ id, words }) => (
            <p key={id} className="leading-snug break-words">
              <bdi>{words}</bdi>
            </p>
          ))}
          {life.comebackOf !== undefined && (
            <TextLink to={`/t/${life.comebackOf}`}>{later.bench.bar.cameBack}</TextLink>
          )}
          {summary}
          {last && lastBy && (
            <p className="text-sm text-quiet">
              {later.bench.lastEntry(lastBy.name, write.moment(last.observedAt))}
            </p>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** What was noted of the machine as a whole, not at a check. */
function notesOf(events: readonly TicketEvent[]) {
  const undone = new Set(
    events.flatMap((event) => (event.type === 'entry-corrected' ? [event.body.corrects] : [])),
  );
  return events.flatMap((event) =>
    event.type === 'observation-noted' && event.body.check === undefined && !undone.has(event.id)
      ? [{ id: event.id, words: event.body.words }]
      : [],
  );
}

/** The tools that work on a ticket's machine, in the order of the day. */
const TOOLS: readonly (readonly [tool: Tool, address: (ticket: string) => string])[] = [
  ['needle', (ticket) => `/bench/${ticket}/needle`],
  ['bobbin', (ticket) => `/bench/${ticket}/bobbin`],
  ['stitch', (ticket) => `/bench/${ticket}/stitch`],
  ['tension', (ticket) => `/bench/${ticket}/tension`],
  ['sample', (ticket) => `/bench/${ticket}/sample`],
  ['knowledge', (ticket) => `/knowledge?ticket=${ticket}`],
];

/** The way from a ticket to what measures and explains its machine. */
export function ToolLinks({
  ticket,
  isInShop = true,
  large = false,
}: {
  readonly ticket: string;
  /** What is only spoken of can be read about, not measured. */
  readonly isInShop?: boolean;
  readonly large?: boolean;
}) {
  const tools = TOOLS.filter(([tool]) => isInShop || tool === 'knowledge');
  return (
    <nav aria-label={later.bench.bar.tools}>
      <ul className={large ? 'grid grid-cols-2 gap-3' : 'flex'}>
        {tools.map(([tool, address]) => (
          <li key={tool}>
            <Link
              to={address(ticket)}
              className={`flex flex-col items-center justify-center rounded-md text-quiet hover:bg-sunk hover:text-ink ${
                large
                  ? 'min-h-20 gap-1 border-2 border-edge bg-paper text-base text-ink'
                  : 'h-13 min-w-14 px-1 text-sm leading-tight'
              }`}
            >
              <ToolGlyph tool={tool} />
              {later.bench.bar.tool[tool]}
            </Link>
          </li>
        ))}
      </ul>
    </nav>
  );
}
