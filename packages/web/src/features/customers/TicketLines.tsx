import type { RackEntry } from '@nodo/ticket';
import { Link } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { Opens } from '../../ui/Opens.tsx';

/** Tickets as lines: when, what, where it stands. */
export function TicketLines({ lines }: { readonly lines: readonly RackEntry[] }) {
  return (
    <ul>
      {lines.map((line) => (
        <li key={line.ticket} className="border-b border-rule last:border-0">
          <Link
            to={`/t/${line.ticket}`}
            className="flex min-h-11 items-center gap-3 py-2 hover:bg-sunk"
          >
            <span className="min-w-0">
              <bdi className="block font-semibold break-words">{line.label}</bdi>
              <span className="text-sm text-quiet">
                {[
                  write.day(line.takenInAt),
                  m.life.standing(line.standing, line.unrepaired),
                  line.comebackOf === null ? '' : later.cards.machine.comeback,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </span>
            <Opens />
          </Link>
        </li>
      ))}
    </ul>
  );
}
