import {
  type CaseMove,
  type CasesVerdict,
  type CaseVerdict,
  caseMoves,
  type KnowledgeVersion,
} from '@nodo/knowledge';
import { outlookShift } from '@nodo/ticket';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { Button } from '../../../ui/Button.tsx';
import { Sewing } from '../../../ui/Stitches.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import type { Compared } from '../../../workers/effect.worker.ts';
import type { EffectState, TicketEffect } from './useEffectOf.ts';

/** What a change would do to what is known to be right, and to what is on the benches. */
export function EffectView({
  state,
  version,
  again,
}: {
  readonly state: EffectState;
  /** The tables as they are, for the names. */
  readonly version: KnowledgeVersion;
  readonly again: () => void;
}) {
  const words = later.tables;
  return (
    <section className="mt-6" aria-live="polite">
      <h3 className="text-lg font-semibold">{words.effect}</h3>
      {state.kind === 'reckoning' && (
        <div className="mt-2">
          <Sewing
            label={
              state.of === 0
                ? words.reckoning
                : `${words.reckoning}: ${words.ofTickets(state.done, state.of)}`
            }
          />
        </div>
      )}
      {state.kind === 'failed' && (
        <div className="mt-2 flex items-center gap-4">
          <p role="alert">{words.failed}</p>
          <Button onClick={again}>{words.tryAgain}</Button>
        </div>
      )}
      {state.kind === 'computed' && (
        <>
          <OnCases cases={state.effect.cases} version={version} />
          <OnTickets tickets={state.effect.tickets} version={version} />
          {state.effect.unread > 0 && (
            <div className="mt-2 flex items-center gap-4">
              <p role="alert">{words.unread(state.effect.unread)}</p>
              <Button onClick={again}>{words.tryAgain}</Button>
            </div>
          )}
        </>
      )}
    </section>
  );
}

function OnCases({
  cases: { before, after },
  version,
}: {
  readonly cases: Compared<CasesVerdict>;
  readonly version: KnowledgeVersion;
}) {
  const words = later.tables;
  const moves = caseMoves(before.verdicts, after.verdicts);
  const lost = before.first + before.amongThree - after.first - after.amongThree;
  const count = (verdict: CasesVerdict, of: 'first' | 'amongThree') =>
    words.outOf(verdict[of], verdict.verdicts.length);
  return (
    <>
      <h4 className="mt-3 font-semibold">{words.cases}</h4>
      <p className="text-sm text-quiet">{words.casesNote}</p>
      <table className="mt-1">
        <thead className="text-left text-sm text-quiet">
          <tr>
            <td />
            <th scope="col" className="pr-6 font-normal">
              {words.from}
            </th>
            <th scope="col" className="font-normal">
              {words.to}
            </th>
          </tr>
        </thead>
        <tbody>
          {(['first', 'amongThree'] as const).map((of) => (
            <tr key={of}>
              <th scope="row" className="pr-6 text-left font-normal">
                {of === 'first' ? words.casesFirst : words.casesThree}
              </th>
              <td className="pr-6">{count(before, of)}</td>
              <td className="font-semibold">{count(after, of)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {lost > 0 && (
        <p className="mt-1 font-semibold">
          {words.caution(moves.filter(({ turn }) => turn === 'worse').length)}
        </p>
      )}
      {moves.length === 0 ? (
        <p className="mt-1">{words.noCaseMoves}</p>
      ) : (
        <ul className="mt-1">
          {moves.slice(0, MOST_CASES).map((move) => (
            <CaseLine key={move.after.worked.id} move={move} version={version} />
          ))}
        </ul>
      )}
    </>
  );
}

/** So many of them are listed; all are counted. */
const MOST_CASES = 12;

function CaseLine({
  move,
  version,
}: {
  readonly move: CaseMove;
  readonly version: KnowledgeVersion;
}) {
  const words = later.tables;
  const verdictText = ({ was }: CaseVerdict, at: number) => {
    const { place = 0, chance = 0 } = was[at] ?? {};
    return `${words.place(place)}, ${write.percent(chance)}`;
  };
  return (
    <li className="border-b border-rule py-2">
      <p className="text-quiet">{move.after.worked.told}</p>
      {move.after.was.map(({ cause }, at) => (
        <p key={cause}>
          <span className="font-semibold">{version.knowledge.causes.get(cause)?.name}</span>:{' '}
          {verdictText(move.before, at)} → {verdictText(move.after, at)}{' '}
          {move.turn !== 'same' && <strong>({words[move.turn]})</strong>}
        </p>
      ))}
    </li>
  );
}

function OnTickets({
  tickets,
  version,
}: {
  readonly tickets: readonly TicketEffect[];
  readonly version: KnowledgeVersion;
}) {
  const words = later.tables;
  const { causes, checks } = version.knowledge;
  const moves = movesOf(tickets);
  const stay = tickets.length - moves.length;
  const name = (cause: string) => causes.get(cause)?.name ?? cause;
  const likely = ({ likeliest }: TicketEffect['before'], isSame: boolean) => {
    if (!likeliest) return words.nothing;
    const chance = write.percent(likeliest.chance);
    return isSame ? chance : `${name(likeliest.cause)} ${chance}`;
  };
  const next = ({ check }: TicketEffect['before']) =>
    check === undefined ? words.nothing : (checks.get(check)?.title ?? check);
  return (
    <>
      <h4 className="mt-6 font-semibold">{words.tickets}</h4>
      {tickets.length === 0 && <p>{words.noTickets}</p>}
      {tickets.length > 0 && moves.length === 0 && <p>{words.noTicketMoves}</p>}
      {moves.length > 0 && (
        <>
          <div className="relative overflow-x-auto">
            <table className="w-full min-w-2xl text-left">
              <thead className="text-sm text-quiet">
                <tr>
                  {(['machine', 'likeliest', 'risk', 'next'] as const).map((column) => (
                    <th key={column} scope="col" className="pr-4 font-normal">
                      {words.columns[column]}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {moves.map(({ entry, before, after }) => {
                  const stays = before.likeliest?.cause === after.likeliest?.cause;
                  return (
                    <tr key={entry.ticket} className="border-b border-rule align-top">
                      <th scope="row" className="pr-4 font-normal">
                        <TextLink to={`/bench/${entry.ticket}`}>
                          <span>
                            {entry.tag ?? words.byPhone} <bdi>{entry.label}</bdi>
                          </span>
                        </TextLink>
                      </th>
                      <Cell
                        lead={stays && after.likeliest ? name(after.likeliest.cause) : undefined}
                        before={likely(before, stays)}
                        after={likely(after, stays)}
                      />
                      <Cell before={write.percent(before.risk)} after={write.percent(after.risk)} />
                      <Cell before={next(before)} after={next(after)} />
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          {stay > 0 && <p className="mt-1 text-quiet">{words.othersStay(stay)}</p>}
        </>
      )}
    </>
  );
}

function Cell({
  lead,
  before,
  after,
}: {
  /** What stays the same. */
  readonly lead?: string | undefined;
  readonly before: string;
  readonly after: string;
}) {
  return (
    <td className="py-2 pr-4 leading-snug text-quiet">
      {lead !== undefined && `${lead} `}
      {before}
      {before !== after && <span className="font-semibold text-ink"> → {after}</span>}
    </td>
  );
}

/** The tickets that would stand otherwise, what moves most first. */
function movesOf(tickets: readonly TicketEffect[]): readonly TicketEffect[] {
  return tickets
    .flatMap((effect) => {
      const moved = outlookShift(effect.before, effect.after);
      return moved === undefined ? [] : { effect, moved };
    })
    .sort((a, b) => b.moved - a.moved)
    .map(({ effect }) => effect);
}
