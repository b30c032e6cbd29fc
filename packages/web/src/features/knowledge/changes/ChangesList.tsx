import { SHIPPED } from '@nodo/knowledge';
import type { Proposal } from '@nodo/tables';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import type { ShopTables } from '../../../session/useTables.ts';
import { TextLink } from '../../../ui/TextLink.tsx';
import { Candidates } from './Candidates.tsx';
import { FromTo, subjectOf, whichOf } from './ChangeWords.tsx';
import { HandWords } from './HandWords.tsx';
import { RiskLimit } from './RiskLimit.tsx';

const STATES = ['open', 'accepted', 'withdrawn'] as const;

/** Every change of the tables that this shop has in force, had, or proposes. */
export function ChangesList({ tables }: { readonly tables: ShopTables }) {
  const session = useSession();
  const words = later.tables;
  const isLead = session.person.role === 'lead';
  const { proposals } = tables.requests;
  return (
    <div className="max-w-3xl">
      <h2 className="text-3xl font-bold text-balance">{words.title}</h2>
      <p className="mt-1 text-quiet">{words.lead}</p>
      <RiskLimit version={tables.version} isLead={isLead} />
      {proposals.length === 0 && (
        <p className="mt-4 text-lg">{isLead ? words.none : words.noneForYou}</p>
      )}
      {STATES.map((state) => {
        const these = proposals.filter((proposal) => proposal.state === state).reverse();
        if (these.length === 0) return null;
        return (
          <section key={state} className="mt-6">
            <h3 className="font-semibold">
              {words.states[state]} ({these.length})
            </h3>
            <ul>
              {these.map((proposal) => (
                <Line key={proposal.id} proposal={proposal} tables={tables} />
              ))}
            </ul>
          </section>
        );
      })}
      {isLead && <Candidates tables={tables} />}
    </div>
  );
}

function Line({
  proposal,
  tables: { version },
}: {
  readonly proposal: Proposal;
  readonly tables: ShopTables;
}) {
  const { id, change, reason, state } = proposal;
  const before =
    state === 'open'
      ? { version, name: later.tables.from }
      : { version: SHIPPED, name: later.tables.came };
  return (
    <li className="border-b border-rule py-2">
      <TextLink to={`/knowledge/changes/${id}`} className="font-semibold">
        {subjectOf(change, version)}
      </TextLink>
      <p className="text-quiet">{whichOf(change, version)}</p>
      <FromTo change={change} before={before} />
      <p>{reason}</p>
      <HandWords proposal={proposal} />
    </li>
  );
}
