import {
  checkMinutes,
  type FamilyCheck,
  type FamilyModel,
  parseCheckCondition,
  STRENGTHS,
  type StrengthWord,
  type TableChange,
} from '@nodo/knowledge';
import { checkOutcome } from '@nodo/ticket';
import { useRef } from 'react';
import { CheckDrawing } from '../../drawing/CheckDrawing.tsx';
import { KeepPicture } from '../../drawing/KeepPicture.tsx';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { Caution } from '../../ticket/check/Caution.tsx';
import { ProvenanceMark } from '../../ticket/ProvenanceMark.tsx';
import { TextLink } from '../../ui/TextLink.tsx';
import { ChangedHere } from './changes/ChangedHere.tsx';
import { useStandings } from './changes/useStandings.ts';
import type { OnTicket } from './onTicket.ts';
import { TableLink } from './TableLink.tsx';

const CLOSED = 'closed';
const TOLD_CAUSES = 8;

/** One check: how it is done, what it can find, and what each finding speaks for. */
export function CheckArticle({
  check,
  model,
  onTicket,
}: {
  readonly check: FamilyCheck;
  readonly model: FamilyModel;
  readonly onTicket: OnTicket | undefined;
}) {
  const words = later.knowledge;
  const drawn = useRef<HTMLDivElement>(null);
  const isAbout = (change: TableChange) =>
    change.kind === 'by-itself'
      ? check.findings.some(({ id }) => id === change.finding)
      : 'check' in change && change.check === check.id;
  const standing = useStandings(isAbout);
  const access = model.access.find(({ id }) => id === check.access);
  const first = (check.requires ?? []).map(
    (text) => model.checks.get(parseCheckCondition(text).id)?.title ?? text,
  );
  return (
    <div className="flex max-w-4xl flex-col gap-6 xl:flex-row">
      <div className="min-w-0 flex-1">
        <h2 className="text-3xl font-bold text-balance">{check.title}</h2>
        <p className="mt-1 flex flex-wrap items-center gap-x-4 text-quiet">
          <span>
            {write.duration(checkMinutes(model, new Set(), check))}{' '}
            <ProvenanceMark standing={standing('check-minutes', 'common-practice')} />
          </span>
          <span>{words.where(words.places[check.where])}</span>
          {access && check.access !== CLOSED && <span>{words.opens(access.title)}</span>}
          {first.length > 0 && <span>{words.needsFirst(first.join(', '))}</span>}
        </p>
        {check.hazard && <Caution text={later.bench.hazards[check.hazard]} />}
        {onTicket && (
          <p className="mt-3 border-l-3 border-own pl-3">
            <strong>{words.onTicket(String(onTicket.ticket.intake?.tag ?? ''))}:</strong>{' '}
            {checkOutcome(onTicket.ticket, model, check.id).done
              ? words.answered
              : words.notAnswered}{' '}
            {onTicket.ticket.intake?.tag !== undefined && onTicket.ticket.status === 'open' && (
              <TextLink to={`/bench/${onTicket.ticket.id}?check=${check.id}`}>
                {words.doCheck}
              </TextLink>
            )}
          </p>
        )}
        <ChangedHere isAbout={isAbout} />
        <p className="mt-3 text-lg leading-snug">{check.how}</p>
        {check.tools && (
          <p className="text-quiet">{later.bench.step.tools(check.tools.join(', '))}</p>
        )}
        <h3 className="mt-6 font-semibold">
          {words.findsTitle} <ProvenanceMark standing="tuned" />
        </h3>
        <p className="text-quiet">{words.normal(check.normal)}</p>
        <ul>
          {check.findings.map(({ id, answer, defines }) => (
            <li key={id} className="border-b border-rule py-2">
              <p className="font-semibold">{answer}</p>
              {defines !== undefined && <p className="text-sm text-quiet">{words.defines}</p>}
              <p className="flex flex-wrap gap-x-6">
                {causesOf(model, id).map(({ cause, strength }) => (
                  <TableLink key={cause} kind="cause" id={cause}>
                    {model.causes.get(cause)?.name}{' '}
                    <span className="ml-2 text-sm text-quiet">{words.strengths[strength]}</span>
                  </TableLink>
                ))}
              </p>
            </li>
          ))}
        </ul>
      </div>
      <div>
        <div ref={drawn}>
          <CheckDrawing check={check} family={model.family} />
        </div>
        <KeepPicture within={drawn} name={check.title} />
      </div>
    </div>
  );
}

/** The causes that show a finding, the surest first. */
function causesOf(model: FamilyModel, finding: string) {
  return (Object.keys(STRENGTHS) as StrengthWord[])
    .flatMap((strength) =>
      [...model.causes.values()]
        .filter(({ shows }) => shows[strength]?.includes(finding))
        .map(({ id }) => ({ cause: id, strength })),
    )
    .slice(0, TOLD_CAUSES);
}
