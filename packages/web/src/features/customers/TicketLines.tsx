import type { RackEntry } from '@nodo/ticket';
import { Link } from 'react-router';
import { m, write } from '../../messages/index.ts';

/** Tickets as lines: when, what, where it stands. */
export function TicketLines({ lines }: { readonly lines: readonly RackEntry[] }) {
  return (
    <ul>
      {lines.map((line) => (
        <li key={line.ticket} className="border-b border-rule last:border-0">
          <Link
            to={`/t/${line.ticket}`}
            className="flex min-h-11 flex-col justify-center py-2 hover:underline"
          >
            <bdi className="font-semibold break-words">{line.label}</bdi>
            <span className="text-sm text-quiet">
              {[
                write.day(line.takenInAt),
                m.life.standing(line.standing, line.unrepaired),
                line.comebackOf === null ? '' : m.cards.machine.comeback,
              ]
                .filter(Boolean)
                .join(' · ')}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
