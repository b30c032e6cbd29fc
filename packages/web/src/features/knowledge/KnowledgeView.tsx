import type { FamilyModel } from '@nodo/knowledge';
import { useParams, useSearchParams } from 'react-router';
import { later } from '../../messages/later.ts';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { type ShopTables, useTables } from '../../session/useTables.ts';
import { ProvenanceLegend } from '../../ticket/ProvenanceMark.tsx';
import { TicketBar } from '../../ticket/TicketBar.tsx';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { TicketGate } from '../../ticket/TicketGate.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextLink } from '../../ui/TextLink.tsx';
import { CauseArticle } from './CauseArticle.tsx';
import { CheckArticle } from './CheckArticle.tsx';
import { Contents } from './Contents.tsx';
import { ChangesList } from './changes/ChangesList.tsx';
import { ProposalPage } from './changes/ProposalPage.tsx';
import { ProposeChange } from './changes/ProposeChange.tsx';
import type { OnTicket } from './onTicket.ts';
import { WhereItHurts } from './WhereItHurts.tsx';

const FIRST_FAMILY = 'drop-in';

/** The tables to be read: any cause or check, and where it stands on the ticket at hand. */
export default function KnowledgeView() {
  const [search] = useSearchParams();
  const { tables, fault, refetch } = useTables();
  const ticket = search.get('ticket');
  if (!tables) return <NotRead title={later.knowledge.failed} fault={fault} again={refetch} />;
  return ticket === null ? (
    <Reading
      model={tables.version.modelOf(search.get('family') ?? FIRST_FAMILY)}
      tables={tables}
      onTicket={undefined}
    />
  ) : (
    <TicketGate id={ticket}>
      <TicketBar />
      <ReadingOnTicket tables={tables} />
    </TicketGate>
  );
}

interface WithTables {
  readonly tables: ShopTables;
}

function ReadingOnTicket({ tables }: WithTables) {
  const onTicket = useTicket();
  return <Reading model={onTicket.model} tables={tables} onTicket={onTicket} />;
}

function Reading({
  model,
  tables,
  onTicket,
}: WithTables & {
  readonly model: FamilyModel | undefined;
  readonly onTicket: OnTicket | undefined;
}) {
  const session = useSession();
  const { kind, id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const words = later.knowledge;
  if (!model) return null;
  const cause = kind === 'cause' ? model.causes.get(id) : undefined;
  const check = kind === 'check' ? model.checks.get(id) : undefined;
  // What was found on one machine alone stands in no table yet.
  const inTables = tables.version.knowledge;
  const mayPropose =
    session.person.role === 'lead' && (inTables.causes.has(id) || inTables.checks.has(id));
  return (
    <div
      className={`grid min-h-0 flex-1 grid-cols-1 max-lg:overflow-y-auto lg:grid-rows-[minmax(0,1fr)] lg:grid-cols-[20rem_minmax(0,1fr)] ${onTicket ? '' : 'lg:h-[calc(100dvh-3.4rem)] lg:flex-none'}`}
    >
      <div className="flex min-h-0 flex-col border-rule p-4 lg:border-r">
        <h1 className="text-2xl font-bold">{words.title}</h1>
        {!onTicket && (
          <Select
            className="mt-2"
            label={words.family}
            value={model.family.id}
            onChoose={(chosen) => {
              search.set('family', chosen);
              setSearch(search, { replace: true });
            }}
            options={[...tables.version.knowledge.families.values()].map(
              ({ id: family, title }) => [family, title] as const,
            )}
          />
        )}
        <TextLink
          to={`/knowledge/changes`}
          aria-current={kind === 'changes' ? 'page' : undefined}
          className="aria-[current=page]:font-semibold"
        >
          {later.tables.link(
            tables.requests.proposals.filter(({ state }) => state === 'open').length,
          )}
        </TextLink>
        <div className={kind === undefined ? 'contents' : 'contents max-lg:hidden'}>
          <Contents key={model.family.id} model={model} current={`${kind ?? ''} ${id}`} />
        </div>
        {/* On a small screen what is read stands before what else there is. */}
        {kind !== undefined && (
          <TextLink to={`/knowledge?${search.toString()}`} className="lg:hidden">
            {words.toAll}
          </TextLink>
        )}
      </div>
      <article className="bg-paper gutter py-4 lg:overflow-y-auto">
        {kind === 'changes' ? (
          <Changes id={id} tables={tables} />
        ) : cause ? (
          <>
            <CauseArticle cause={cause} model={model} onTicket={onTicket} />
            {mayPropose && (
              <ProposeChange
                key={cause.id}
                subject={{ kind: 'cause', cause }}
                model={model}
                version={tables.version}
              />
            )}
          </>
        ) : check ? (
          <>
            <CheckArticle check={check} model={model} onTicket={onTicket} />
            {mayPropose && (
              <ProposeChange
                key={check.id}
                subject={{ kind: 'check', check }}
                model={model}
                version={tables.version}
              />
            )}
          </>
        ) : kind === undefined ? (
          <WhereItHurts model={model} />
        ) : (
          <p className="text-quiet">{words.unknown}</p>
        )}
        {(cause ?? check) !== undefined && (
          <div className="mt-6 border-t border-rule pt-2">
            <ProvenanceLegend />
          </div>
        )}
      </article>
    </div>
  );
}

function Changes({ id, tables }: WithTables & { readonly id: string }) {
  if (id === '') return <ChangesList tables={tables} />;
  const proposal = tables.requests.proposals.find((one) => one.id === id);
  if (!proposal) return <p className="text-quiet">{later.tables.unknown}</p>;
  return <ProposalPage key={id} proposal={proposal} tables={tables} />;
}
