import { assess, type Session, tablesOf } from '@nodo/contract';
import { type FamilyModel, KNOWLEDGE, modelOf } from '@nodo/knowledge';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { m } from '../../messages/index.ts';
import { type ShownTicket, useShownTicket } from '../bench/useShownTicket.ts';
import { CauseArticle } from './CauseArticle.tsx';
import { CheckArticle } from './CheckArticle.tsx';
import { Contents } from './Contents.tsx';
import type { OnTicket } from './onTicket.ts';

const FIRST_FAMILY = 'drop-in';

/** The tables to be read: any cause or check, and where it stands on the ticket at hand. */
export default function KnowledgeView({ session }: { readonly session: Session }) {
  const [search] = useSearchParams();
  const ticket = search.get('ticket');
  return ticket === null ? (
    <Reading model={modelOf(search.get('family') ?? FIRST_FAMILY)} onTicket={undefined} />
  ) : (
    <ReadingOnTicket id={ticket} session={session} />
  );
}

function ReadingOnTicket({ id, session }: { readonly id: string; readonly session: Session }) {
  const { shown } = useShownTicket(id, session);
  const onTicket = useMemo(() => shown && standingOf(shown), [shown]);
  return <Reading model={onTicket?.model ?? modelOf(FIRST_FAMILY)} onTicket={onTicket} />;
}

function standingOf({ ticket }: ShownTicket): (OnTicket & { model: FamilyModel }) | undefined {
  const model = tablesOf(ticket);
  return model && { ticket, model, assessment: assess(ticket, model) };
}

function Reading({
  model,
  onTicket,
}: {
  readonly model: FamilyModel | undefined;
  readonly onTicket: OnTicket | undefined;
}) {
  const { kind, id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const words = m.knowledge;
  if (!model) return null;
  const cause = kind === 'cause' ? model.causes.get(id) : undefined;
  const check = kind === 'check' ? model.checks.get(id) : undefined;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-1 lg:h-[calc(100dvh-3.4rem)] lg:grid-cols-[20rem_minmax(0,1fr)]">
      <div className="flex min-h-0 flex-col border-rule p-4 lg:border-r">
        <h1 className="text-2xl font-bold">{words.title}</h1>
        {onTicket ? (
          <Link
            to={`/bench/${onTicket.ticket.id}`}
            className="inline-flex min-h-11 items-center underline underline-offset-4"
          >
            {words.toTicket}
          </Link>
        ) : (
          <label className="mt-2 flex flex-col gap-1 font-semibold">
            {words.family}
            <select
              value={model.family.id}
              onChange={({ target }) => {
                search.set('family', target.value);
                setSearch(search, { replace: true });
              }}
              className="min-h-11 rounded-md border-2 border-edge bg-paper px-2 font-normal"
            >
              {[...KNOWLEDGE.families.values()].map(({ id: family, title }) => (
                <option key={family} value={family}>
                  {title}
                </option>
              ))}
            </select>
          </label>
        )}
        <Contents key={model.family.id} model={model} current={`${kind ?? ''} ${id}`} />
      </div>
      <article className="bg-paper px-6 py-4 lg:overflow-y-auto">
        {cause ? (
          <CauseArticle cause={cause} model={model} onTicket={onTicket} />
        ) : check ? (
          <CheckArticle check={check} model={model} onTicket={onTicket} />
        ) : (
          <p className="text-quiet">{kind === undefined ? words.empty : words.unknown}</p>
        )}
      </article>
    </div>
  );
}
