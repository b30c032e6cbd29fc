import {
  type CauseSource,
  type FamilyModel,
  STRENGTHS,
  type StrengthWord,
  type TableChange,
} from '@nodo/knowledge';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { ProvenanceMark } from '../../ticket/ProvenanceMark.tsx';
import { ChangedHere } from './changes/ChangedHere.tsx';
import { useStandings } from './changes/useStandings.ts';
import type { OnTicket } from './onTicket.ts';
import { StrengthBar } from './StrengthBar.tsx';
import { TableLink } from './TableLink.tsx';

/** One cause: what it is, what it shows and how surely, what puts it right. */
export function CauseArticle({
  cause,
  model,
  onTicket,
}: {
  readonly cause: CauseSource;
  readonly model: FamilyModel;
  readonly onTicket: OnTicket | undefined;
}) {
  const words = later.knowledge;
  const actions = [...model.actions.values()].filter(({ treats }) => treats.includes(cause.id));
  const isAbout = (change: TableChange) =>
    change.kind === 'new-cause'
      ? change.own.id === cause.id
      : 'cause' in change && change.cause === cause.id;
  const standing = useStandings(isAbout);
  const belief = onTicket?.assessment.beliefs.find((one) => one.cause === cause.id);
  return (
    <div className="max-w-3xl">
      <h2 className="text-3xl font-bold text-balance">{cause.name}</h2>
      <p className="mt-1 flex flex-wrap items-center gap-x-4 text-quiet">
        <span>{words.sides[cause.side]}</span>
        <span>
          {words.howOften(cause.perMille)}{' '}
          <ProvenanceMark standing={standing('how-often', 'tuned')} />
        </span>
        <span>
          {words.fix(write.duration(cause.fixMinutes))}{' '}
          <ProvenanceMark standing={standing('fix-minutes', 'common-practice')} />
        </span>
        {cause.byPhone && <span>{words.byPhone}</span>}
      </p>
      {onTicket && belief && (
        <p className="mt-3 border-l-3 border-own pl-3">
          <strong>{words.onTicket(String(onTicket.ticket.intake?.tag ?? ''))}:</strong>{' '}
          {words.chance(write.percent(belief.is))}
        </p>
      )}
      <ChangedHere isAbout={isAbout} />
      <p className="mt-3 text-lg">{cause.remedy}</p>
      {actions.length > 0 && (
        <p className="text-quiet">
          {words.treatedBy}: {actions.map(({ title }) => title).join('; ')}
        </p>
      )}
      <h3 className="mt-6 font-semibold">
        {words.showsTitle} <ProvenanceMark standing="tuned" />
      </h3>
      <p className="text-sm text-quiet">{words.showsNote}</p>
      <dl className="mt-1">
        {(Object.keys(STRENGTHS) as StrengthWord[]).map((strength) => {
          const shown = (cause.shows[strength] ?? []).flatMap((id) => model.findings.get(id) ?? []);
          if (shown.length === 0) return null;
          return (
            <div
              key={strength}
              className="grid grid-cols-[9rem_1fr] gap-x-4 border-b border-rule py-1"
            >
              <dt className="pt-2 text-quiet">
                {words.strengths[strength]}
                <StrengthBar chance={STRENGTHS[strength]} />
                <span className="sr-only">{write.percent(STRENGTHS[strength])}</span>
              </dt>
              <dd className="flex flex-wrap gap-x-6">
                {shown.map(({ id, answer, check }) => (
                  <TableLink key={id} kind="check" id={check}>
                    {answer}
                  </TableLink>
                ))}
              </dd>
            </div>
          );
        })}
      </dl>
    </div>
  );
}
