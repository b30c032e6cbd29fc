import { lowerFirst } from '@nodo/kernel';
import {
  type CauseSource,
  type FamilyModel,
  INTERVIEWS,
  lookAlikes,
  STRENGTHS,
  type StrengthWord,
  type TableChange,
} from '@nodo/knowledge';
import { CheckDrawing } from '../../drawing/CheckDrawing.tsx';
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
  const surest = (Object.keys(STRENGTHS) as StrengthWord[])
    .flatMap((strength) => cause.shows[strength] ?? [])
    .map((id) => model.checks.get(model.findings.get(id)?.check ?? ''))
    .find((check) => check && !INTERVIEWS.has(check.id));
  const belief = onTicket?.assessment.beliefs.find((one) => one.cause === cause.id);
  return (
    <div className="flex max-w-6xl flex-col gap-6 xl:flex-row">
      <div className="min-w-0 flex-1">
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
            const shown = (cause.shows[strength] ?? []).flatMap(
              (id) => model.findings.get(id) ?? [],
            );
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
      <div className="xl:w-96">
        {surest && <CheckDrawing check={surest} family={model.family} />}
        <Alike cause={cause} model={model} />
      </div>
    </div>
  );
}

const MOST_ALIKE = 5;

/** The causes that show much the same, and what tells them apart. */
function Alike({ cause, model }: { readonly cause: CauseSource; readonly model: FamilyModel }) {
  const words = later.knowledge;
  const alike = lookAlikes(model, cause.id, MOST_ALIKE);
  if (alike.length === 0) return null;
  const finding = (id: string | undefined) => id !== undefined && model.findings.get(id);
  return (
    <section aria-label={words.alikeTitle}>
      <h3 className="mt-6 font-semibold">
        {words.alikeTitle} <ProvenanceMark standing="derived" />
      </h3>
      <p className="text-sm text-quiet">{words.alikeNote}</p>
      <ul className="mt-1">
        {alike.map(({ cause: id, shared, ours, theirs }) => {
          const [mine, other] = [finding(ours), finding(theirs)];
          return (
            <li key={id} className="grid grid-cols-[6rem_1fr] gap-x-4 border-b border-rule py-1">
              <span className="pt-3 text-quiet">
                <StrengthBar chance={shared} />
                <span className="sr-only">{write.percent(shared)}</span>
              </span>
              <div>
                <TableLink kind="cause" id={id}>
                  {model.causes.get(id)?.name}
                </TableLink>
                <p className="flex flex-wrap gap-x-4 pb-1 text-sm text-quiet">
                  {mine && <span>{words.ours(lowerFirst(mine.answer))}</span>}
                  {other && <span>{words.theirs(lowerFirst(other.answer))}</span>}
                </p>
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
