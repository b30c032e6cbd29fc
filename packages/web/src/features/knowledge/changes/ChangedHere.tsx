import { SHIPPED, type TableChange } from '@nodo/knowledge';
import type { Proposal } from '@nodo/tables';
import { later } from '../../../messages/later.ts';
import { type ShopTables, useTables } from '../../../session/useTables.ts';
import { TextLink } from '../../../ui/TextLink.tsx';
import { FromTo, whichOf } from './ChangeWords.tsx';
import { HandWords } from './HandWords.tsx';

/** The changes in force of one cause or check. */
export function ChangedHere({ isAbout }: { readonly isAbout: (change: TableChange) => boolean }) {
  const { tables } = useTables();
  const about = tables ? inForce(tables).filter(({ change }) => isAbout(change)) : [];
  if (!tables || about.length === 0) return null;
  return (
    <aside className="mt-3 border-l-3 border-own pl-3">
      <h3 className="font-semibold">{later.tables.changedHere}</h3>
      <ul>
        {about.map((proposal) => (
          <li key={proposal.id}>
            <TextLink to={`/knowledge/changes/${proposal.id}`}>
              {whichOf(proposal.change, tables.version)}
            </TextLink>
            <FromTo
              change={proposal.change}
              before={{ version: SHIPPED, name: later.tables.came }}
              after={later.tables.now}
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
