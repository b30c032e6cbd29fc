import { type CauseBelief, type FindingWeight, weightBand } from '@nodo/core';
import { lowerFirst } from '@nodo/kernel';
import type { ActionSource, PutOff } from '@nodo/knowledge';
import { INTERVIEWS, SURE_ENOUGH } from '@nodo/knowledge';
import { allPiecesFound, gatesUnmet, PIECES_FOUND } from '@nodo/ticket';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ThingGlyph } from '../../../drawing/ToolGlyph.tsx';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { AnswerButton } from '../../../ticket/check/AnswerButton.tsx';
import { Caution } from '../../../ticket/check/Caution.tsx';
import { Gates, StepList } from '../../../ticket/check/CheckStep.tsx';
import { Schools } from '../../../ticket/check/Schools.tsx';
import { StepHead } from '../../../ticket/check/StepHead.tsx';
import { needleAddress } from '../../../ticket/instrumentAddresses.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { causeName, findingWords } from '../../../ticket/words.ts';
import { Button } from '../../../ui/Button.tsx';
import { ReasonForm } from '../../../ui/ReasonForm.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';

interface RepairStepProps {
  readonly cause: string;
  /** The action that the plan proposes; undefined for a cause that a person chose. */
  readonly action?: string | undefined;
  readonly heading: string;
  readonly belief: CauseBelief | undefined;
  readonly weights: readonly FindingWeight[] | undefined;
  readonly onChooseCheck: (check: string) => void;
  /** Puts the repair off and looks on. */
  /** Puts off the action on suspicion, or the repair of a cause that is nearly sure. */
  readonly onLookFurther: ((what: PutOff) => void) | undefined;
}

/** One cause: how sure, why, and what puts it right. */
export function RepairStep({
  cause,
  action: proposed,
  heading,
  belief,
  weights,
  onChooseCheck,
  onLookFurther,
}: RepairStepProps) {
  const { ticket, model, record, mayWork } = useTicket();
  const known = model.causes.get(cause);
  const actions = [...model.actions.values()]
    .filter(({ treats }) => treats.includes(cause))
    .sort((a, b) => Number(b.id === proposed) - Number(a.id === proposed));
  const words = later.bench.step;
  const [first] = actions;
  const gates = first ? gatesUnmet(ticket, model, `action:${first.id}`) : [];
  if (!known) return null;
  // On suspicion the step is what to do; once it is nearly sure, what is wrong.
  const isSuspicion = proposed !== undefined && belief !== undefined && belief.is < SURE_ENOUGH;
  return (
    <div>
      <StepHead
        heading={isSuspicion ? words.shorterDone : heading}
        title={isSuspicion ? (model.actions.get(proposed)?.todo ?? known.name) : known.name}
        facts={!isSuspicion && belief && <span>{words.isThere(write.percent(belief.is))}</span>}
        how={isSuspicion ? undefined : known.remedy}
      />
      {isSuspicion && <Treated action={proposed} />}
      {actions
        .flatMap(({ hazard }) => hazard ?? [])
        .slice(0, 1)
        .map((hazard) => (
          <Caution key={hazard} text={later.bench.hazards[hazard]} />
        ))}
      <AtHand actions={actions} />
      <div className="mt-4">
        {mayWork && gates.length > 0 && <Gates gates={gates} onChooseCheck={onChooseCheck} />}
        {mayWork && gates.length === 0 && (
          <StepList heading={words.didIt(actions.length)}>
            {actions.map((action, index) => (
              <AnswerButton
                key={action.id}
                digit={index + 1}
                text={`${action.title}, ${write.duration(action.minutes)}`}
                onPress={() => record('action-done', { action: action.id })}
              />
            ))}
          </StepList>
        )}
        {!mayWork && <p>{words.noRights}</p>}
      </div>
      {onLookFurther && (
        <p className="mt-3">
          <Button onClick={() => onLookFurther(isSuspicion ? { action: proposed } : { cause })}>
            {words.lookFurther}
          </Button>
        </p>
      )}
      {first && <Schools action={first.id} />}
      <Reasons weights={weights} />
      <TextLink to={`/knowledge/cause/${cause}?ticket=${ticket.id}`} className="mt-3">
        {later.knowledge.read}
      </TextLink>
      <CauseChecks cause={cause} onChooseCheck={onChooseCheck} />
    </div>
  );
}

/** So many of the causes that an action treats are named. */
const TREATED_SHOWN = 4;
/** Below this chance none is. */
const LEAST_TREATED = 0.01;

/** What an action on suspicion puts right at once, with the chances that it is to blame. */
function Treated({ action }: { readonly action: string }) {
  const { model, assessment } = useTicket();
  const treats = model.actions.get(action)?.treats ?? [];
  const named = assessment.beliefs
    .filter(({ cause, blame }) => treats.includes(cause) && blame >= LEAST_TREATED)
    .slice(0, TREATED_SHOWN)
    .map(({ cause, blame }) => `${lowerFirst(causeName(model, cause))} ${write.percent(blame)}`);
  if (named.length === 0) return null;
  return <p className="mt-1 leading-snug">{later.bench.step.treats(named.join(', '))}</p>;
}

/** Parts and supplies that the ways of putting it right need. */
function AtHand({ actions }: { readonly actions: readonly ActionSource[] }) {
  const needed = [...new Set(actions.flatMap(({ parts }) => parts ?? []))];
  if (needed.length === 0) return null;
  return (
    <p className="mt-2 flex items-center gap-2">
      <ThingGlyph thing="packet" className="shrink-0" />
      <span>
        <span className="font-semibold">{later.bench.step.atHand}:</span> {needed.join('; ')}
      </span>
    </p>
  );
}

function Reasons({ weights }: { readonly weights: readonly FindingWeight[] | undefined }) {
  const { model } = useTicket();
  const shown = (weights ?? [])
    .flatMap((reading) => {
      const size = weightBand(reading.weight);
      return size === undefined ? [] : [{ ...reading, size }];
    })
    .slice(0, 6);
  if (shown.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="mb-1 text-sm font-semibold text-quiet">{later.bench.step.speaks}</h2>
      <ul>
        {shown.map(({ finding, epoch, present, weight, size }) => (
          <li key={`${finding} ${epoch}`} className="flex gap-3">
            <span className="w-36 shrink-0 text-quiet">
              {later.bench.step.weight(size, weight > 0)}
            </span>
            {findingWords(model, finding, present)}
          </li>
        ))}
      </ul>
    </section>
  );
}

function CauseChecks({ cause, onChooseCheck }: Pick<RepairStepProps, 'cause' | 'onChooseCheck'>) {
  const { model } = useTicket();
  const strong = new Set([
    ...(model.causes.get(cause)?.shows.sure ?? []),
    ...(model.causes.get(cause)?.shows.usual ?? []),
  ]);
  const checks = [...model.checks.values()].filter(
    ({ id, findings }) => !INTERVIEWS.has(id) && findings.some((finding) => strong.has(finding.id)),
  );
  if (checks.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="text-sm font-semibold text-quiet">{later.bench.step.finds}</h2>
      <ul className="flex flex-wrap gap-x-4">
        {checks.map(({ id, title }) => (
          <li key={id}>
            <button
              type="button"
              className="min-h-11 underline underline-offset-4"
              onClick={() => onChooseCheck(id)}
            >
              {title}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A duty that only an action clears. */
export function ActionStep({
  duty,
  actions,
  onChooseCheck,
}: {
  readonly duty: string;
  readonly actions: readonly string[];
  readonly onChooseCheck: (check: string) => void;
}) {
  const { model } = useTicket();
  const known = model.duties.get(duty);
  return (
    <div>
      <StepHead
        heading={later.bench.step.because.duty}
        title={known?.title ?? duty}
        how={known && `${known.text}. ${later.bench.duties.why(known.why)}`}
      />
      {known?.hazard && <Caution text={later.bench.hazards[known.hazard]} />}
      <ToDo actions={actions} onChooseCheck={onChooseCheck} />
    </div>
  );
}

/** An action that a person chose, with what must hold before it. */
export function ChosenActionStep({
  action,
  onChooseCheck,
}: {
  readonly action: string;
  readonly onChooseCheck: (check: string) => void;
}) {
  const { model } = useTicket();
  const known = model.actions.get(action);
  return (
    <div>
      <StepHead heading={later.bench.step.chosenAction} title={known?.todo ?? action} />
      {known?.hazard && <Caution text={later.bench.hazards[known.hazard]} />}
      <ToDo actions={[action]} onChooseCheck={onChooseCheck} />
      <Schools action={action} />
    </div>
  );
}

/** The gates of an action while they are shut, then what was done. */
function ToDo({
  actions,
  onChooseCheck,
}: {
  readonly actions: readonly string[];
  readonly onChooseCheck: (check: string) => void;
}) {
  const { ticket, model, record, mayWork } = useTicket();
  const [reasoning, setReasoning] = useState<ActionSource>();
  const navigate = useNavigate();
  // Nobody says that the needle is whole: its pieces are measured.
  const isMeasured = (action: string) => action !== PIECES_FOUND || allPiecesFound(ticket);
  const offered: ActionSource[] = actions.flatMap((id) => model.actions.get(id) ?? []);
  const [first] = offered;
  const gates = first ? gatesUnmet(ticket, model, `action:${first.id}`) : [];
  return (
    <div className="mt-4">
      {mayWork && gates.length > 0 && <Gates gates={gates} onChooseCheck={onChooseCheck} />}
      {mayWork && gates.length === 0 && (
        <StepList heading={later.bench.step.didIt(offered.length)}>
          {offered.map((action, index) => (
            <AnswerButton
              key={action.id}
              digit={index + 1}
              text={isMeasured(action.id) ? action.title : later.bench.step.measurePieces}
              onPress={() => {
                if (!isMeasured(action.id)) void navigate(needleAddress(ticket.id, 'broken'));
                else if (action.needsReason) setReasoning(action);
                else record('action-done', { action: action.id });
              }}
            />
          ))}
          {reasoning && (
            <ReasonForm
              label={later.bench.duties.waiveWhy}
              submit={reasoning.title}
              onSubmit={(note) => record('action-done', { action: reasoning.id, note })}
            />
          )}
        </StepList>
      )}
      {!mayWork && <p>{later.bench.step.noRights}</p>}
    </div>
  );
}
