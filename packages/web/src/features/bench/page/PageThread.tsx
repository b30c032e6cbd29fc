import { type Milestone, milestonesOf } from '@nodo/ticket';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';

/** The way of the machine as a seam: tied where it has been, dashed where it has not. */
export function PageThread() {
  const { ticket } = useTicket();
  const way = milestonesOf(ticket);
  const words = later.ticketPage.way;
  return (
    <ol
      aria-label={words.title}
      className="grid auto-cols-fr grid-flow-col grid-rows-[auto_auto_auto]"
    >
      {way.map(({ id, at }, index) => (
        <li key={id} className="row-span-3 grid min-w-0 grid-rows-subgrid">
          <span
            className={`self-end pr-1 text-sm leading-tight break-words ${at ? 'font-semibold' : 'text-quiet'}`}
          >
            {words.stations[id]}
            {at === undefined && <span className="sr-only">, {words.ahead}</span>}
          </span>
          <Stitch isReached={at !== undefined} goesOn={isReached(way[index + 1])} />
          <span className="pr-1 text-sm leading-tight text-quiet">{at && write.day(at)}</span>
        </li>
      ))}
    </ol>
  );
}

function isReached(one: Milestone | undefined): boolean {
  return one?.at !== undefined;
}

/** One crossing of top and bobbin thread, and both as far as the next one. */
function Stitch({
  isReached: isTied,
  goesOn,
}: {
  readonly isReached: boolean;
  readonly goesOn: boolean;
}) {
  const line = goesOn ? undefined : '2 6';
  return (
    <svg
      viewBox="0 0 120 26"
      preserveAspectRatio="xMinYMid slice"
      className="my-1 h-6.5 w-full bg-cloth"
      aria-hidden="true"
    >
      <g fill="none" strokeWidth="3.5" strokeLinecap="round">
        {isTied && <path d="M0 6C8 6 8 20 16 20S24 6 32 6" stroke="var(--above)" />}
        {isTied && <path d="M0 20C8 20 8 6 16 6S24 20 32 20" stroke="var(--below)" />}
        <path d={`M${isTied ? 32 : 0} 6H400`} stroke="var(--above)" strokeDasharray={line} />
        <path d={`M${isTied ? 32 : 0} 20H400`} stroke="var(--below)" strokeDasharray={line} />
      </g>
    </svg>
  );
}
