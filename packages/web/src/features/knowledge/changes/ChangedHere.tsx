import { SHIPPED, type TableChange } from '@nodo/knowledge';
import type { Proposal } from '@nodo/tables';
import { Link } from 'react-router';
import { m } from '../../../messages/index.ts';
import { type ShopTables, useTables } from '../../../session/useTables.ts';
import { FromTo, whichOf } from './ChangeWords.tsx';
import { HandWords } from './HandWords.tsx';

/** The changes in force of one cause or check. */
export function ChangedHere({ isAbout }: { readonly isAbout: (change: TableChange) => boolean }) {
  const { tables } = useTables();
  const about = tables ? inForce(tables).filter(({ change }) => isAbout(change)) : [];
  if (!tables || about.length === 0) return null;
  return (
    <aside className="mt-3 border-l-3 border-own pl-3">
      <h3 className="font-bold">{m.tables.changedHere}</h3>
      <ul>
        {about.map((proposal) => (
          <li key={proposal.id}>
            <Link
              to={`/knowledge/changes/${proposal.id}`}
              className="inline-flex min-h-11 items-center underline underline-offset-4"
            >
              {whichOf(proposal.change, tables.edition)}
            </Link>
            <FromTo
              change={proposal.change}
              before={{ edition: SHIPPED, name: m.tables.came }}
              after={m.tables.now}
            />
            <p>{proposal.reason}</p>
            <HandWords proposal={proposal} />
          </li>
        ))}
      </ul>
    </aside>
  );
}

function inForce({ requests }: ShopTables): readonly Proposal[] {
  return requests.proposals.filter(({ state }) => state === 'accepted');
}
