import { type CauseBelief, chanceBand } from '@nodo/core';
import type { FamilyModel } from '@nodo/knowledge';
import { memo, useState } from 'react';
import { write } from '../messages/index.ts';
import { later } from '../messages/later.ts';
import { ChanceLine } from '../ui/ChanceLine.tsx';
import type { PlanExplanation } from '../workers/planner.worker.ts';
import { ProvenanceMark } from './ProvenanceMark.tsx';
import { useTicket } from './TicketContext.tsx';
import { causeName, reasonWords } from './words.ts';

const SHOWN = 4;
const SHOWN_ALL = 20;

interface CausesProps {
  /** Undefined while they are being computed for the first time. */
  readonly words: PlanExplanation | undefined;
  readonly chosen: string | undefined;
  /** It stands as it was closed. */
  readonly closed: boolean;
  /** Left out where a cause is only read. */
  readonly onChoose?: (cause: string) => void;
}

/** The likely causes with their chances, in numbers, bars and words, and why. */
export const Causes = memo(function Causes({
  words: explanation,
  chosen,
  closed,
  onChoose,
}: CausesProps) {
  const { model, assessment } = useTicket();
  const [all, setAll] = useState(false);
  const words = later.bench.causes;
  const { toBlame, alsoThere, unknown } = sortedOut(model, assessment.beliefs);
  const shown = toBlame.slice(0, all ? SHOWN_ALL : SHOWN);
  const nothingAsked = assessment.evidence.readings.length === 0;
  const isReported = assessment.debts.some(({ kind }) => kind === 'symptom');

  return (
    <section aria-labelledby="causes-title">
      <h2
        id="causes-title"
        className="mb-2 flex items-center gap-1 text-sm font-semibold text-quiet"
      >
        {closed ? words.closedTitle : isReported ? words.toBlame : words.title}{' '}
        <ProvenanceMark standing="tuned" />
      </h2>
      {nothingAsked && <p className="mb-2 text-sm text-quiet">{words.unasked}</p>}
      <ol>
        {shown.map(({ cause, blame }) => {
          const { speaksFor, against } = reasonWords(model, explanation?.reasons.get(cause));
          const band = later.bench.chanceWords[chanceBand(blame)];
          const line = (
            <>
              <ChanceLine name={model.causes.get(cause)?.name} chance={blame} />
              <span className="block text-sm text-quiet">
                {band}
                {speaksFor
                  ? `, ${words.because(speaksFor)}`
                  : !nothingAsked && !against && `, ${words.noReason}`}
                {against && `; ${words.against(against)}`}
              </span>
            </>
          );
          return (
            <li key={cause}>
              {onChoose ? (
                <button
                  type="button"
                  aria-pressed={chosen === cause}
                  onClick={() => onChoose(cause)}
                  className="w-full rounded-md px-2 py-2 text-left hover:bg-sunk aria-pressed:bg-sunk"
                >
                  {line}
                </button>
              ) : (
                <div className="px-2 py-2">{line}</div>
              )}
            </li>
          );
        })}
      </ol>
      {isReported && unknown > 0 && (
        <Unknown chance={unknown} onChoose={onChoose && (() => onChoose(UNKNOWN))} />
      )}
      {toBlame.length > SHOWN && (
        <button
          type="button"
          onClick={() => setAll(!all)}
          className="min-h-11 px-2 text-quiet underline underline-offset-4"
        >
          {all ? words.fewer : words.more(toBlame.length - SHOWN)}
        </button>
      )}
      {alsoThere.length > 0 && (
        <details className="px-2">
          <summary className="flex min-h-11 cursor-pointer items-center text-quiet underline underline-offset-4">
            {words.alsoThere(alsoThere.length)}
          </summary>
          <ul>
            {alsoThere.map(({ cause, is }) => (
              <li key={cause} className="flex justify-between gap-3 py-1">
                {causeName(model, cause)} <span className="font-mono">{write.percent(is)}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
      {assessment.leftOut > 0 && (
        <p className="px-2 text-sm text-quiet">{words.leftOut(assessment.leftOut)}</p>
      )}
      {explanation && explanation.unexplained.length > 0 && (
        <Note text={words.unexplained}>
          {explanation.unexplained.map(({ finding, epoch }) => (
            <li key={`${finding} ${epoch}`}>{model.findings.get(finding)?.answer}</li>
          ))}
        </Note>
      )}
      {assessment.contested.length > 0 && (
        <Note text={words.contested}>
          {assessment.contested.map(({ finding, check, epoch }) => {
            const effect = explanation?.contests.find(
              (contest) => contest.finding === finding && contest.epoch === epoch,
            );
            return (
              <li key={`${finding} ${epoch}`}>
                {model.checks.get(check)?.title}: {model.findings.get(finding)?.answer}
                {effect && (
                  <span className="block font-normal">
                    {words.ifYes(...named(model, effect.ifYes))};{' '}
                    {words.ifNo(...named(model, effect.ifNo))}
                  </span>
                )}
              </li>
            );
          })}
        </Note>
      )}
    </section>
  );
});

/** What stands for "something that no table has" where a cause is chosen. */
export const UNKNOWN = 'unknown';

/** From this chance on it is likely there, though silent. Ours, no source. */
const LIKELY_THERE = 0.35;
/** What is to blame with less than half the chance of being there is no part of this complaint. */
const MOST_SILENT = 0.5;

/** What is to blame, what is likely there and silent, and what no table names. */
function sortedOut(model: FamilyModel, beliefs: readonly CauseBelief[]) {
  const named = beliefs.filter(({ cause }) => model.causes.has(cause));
  const isSilent = ({ is, blame }: CauseBelief): boolean =>
    is >= LIKELY_THERE && blame < MOST_SILENT * is;
  const quiet = beliefs
    .filter(({ cause }) => !model.causes.has(cause))
    .reduce((none, { blame }) => none * (1 - blame), 1);
  return {
    toBlame: named.filter((belief) => !isSilent(belief)),
    alsoThere: named.filter(isSilent).sort((a, b) => b.is - a.is),
    unknown: 1 - quiet,
  };
}

/** The row for what no table names, with its own next step. */
function Unknown({
  chance,
  onChoose,
}: {
  readonly chance: number;
  readonly onChoose: (() => void) | undefined;
}) {
  const line = (
    <span className="flex items-baseline justify-between gap-3">
      <span className="font-semibold">{later.bench.causes.unknown}</span>
      <span className="font-mono">{write.percent(chance)}</span>
    </span>
  );
  return onChoose ? (
    <button
      type="button"
      onClick={onChoose}
      className="min-h-11 w-full rounded-md px-2 py-2 text-left hover:bg-sunk"
    >
      {line}
    </button>
  ) : (
    <div className="px-2 py-2">{line}</div>
  );
}

function named(model: FamilyModel, { cause, blame }: CauseBelief): readonly [string, string] {
  return [causeName(model, cause), write.percent(blame)];
}

function Note({ text, children }: { readonly text: string; readonly children: React.ReactNode }) {
  return (
    <div className="mt-2 border-l-3 border-dashed border-ink px-3 py-1 text-sm">
      <p>{text}</p>
      <ul className="font-semibold">{children}</ul>
    </div>
  );
}
