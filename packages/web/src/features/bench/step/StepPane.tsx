import { MOST_PROOF_MINUTES } from '@nodo/core';
import type { PutOff } from '@nodo/knowledge';
import type { NextStep } from '@nodo/ticket';
import { memo } from 'react';
import { later } from '../../../messages/later.ts';
import { CheckStep, CloseFirst } from '../../../ticket/check/CheckStep.tsx';
import { FreeingWalk } from '../../../ticket/check/FreeingWalk.tsx';
import { WaysOut } from '../../../ticket/check/WaysOut.tsx';
import { WhyThis } from '../../../ticket/check/WhyThis.tsx';
import { StepBody } from '../../../ticket/StepBody.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Key } from '../../../ui/Key.tsx';
import { Sewing } from '../../../ui/Stitches.tsx';
import { useKeys } from '../../../ui/useKeys.ts';
import type { TicketPlan } from '../../../workers/planner.worker.ts';
import { CannotTell } from './CannotTell.tsx';
import { ClosedStep, CloseStep } from './CloseStep.tsx';
import type { Choice } from './choice.ts';
import { ProveStep } from './ProveStep.tsx';
import { ActionStep, ChosenActionStep, RepairStep } from './RepairStep.tsx';
import { AskSymptomsStep, SearchOnStep, SettleStep } from './SettleStep.tsx';

interface StepPaneProps {
  readonly plan: TicketPlan | undefined;
  /** What comes next; undefined while it is being computed. */
  readonly step: NextStep | undefined;
  readonly planFailed: boolean;
  readonly choice: Choice | undefined;
  readonly onChoose: (choice: Choice | undefined) => void;
  readonly onDefer: (what: PutOff) => void;
  readonly onSomethingElse: () => void;
  /** Lets go of the step that stands here: what is proposed now takes its place. */
  readonly onRelease: () => void;
  /** It was answered: it stays as it stands, out of reach, until the next takes its place. */
  readonly isHeld: boolean;
}

/** The middle of the bench: the one thing to do next, and the ways out of it. */
export const StepPane = memo(function StepPane(props: StepPaneProps) {
  const { step, choice, onChoose } = props;
  if (useTicket().ticket.status !== 'open') {
    return (
      <StepBody name="closed" waysOut={null}>
        <ClosedStep />
      </StepBody>
    );
  }
  return (
    <StepBody
      name={JSON.stringify(choice ?? step ?? null)}
      waysOut={
        <StepWaysOut
          {...props}
          check={choice ? (choice.kind === 'check' ? choice.check : undefined) : checkOf(step)}
          onBack={choice && (() => onChoose(undefined))}
        />
      }
    >
      <Step {...props} />
    </StepBody>
  );
}, staysHeld);

function staysHeld(_before: StepPaneProps, now: StepPaneProps): boolean {
  return now.isHeld;
}

function checkOf(step: NextStep | undefined): string | undefined {
  return step?.kind === 'check' ? step.check : undefined;
}

function Step(props: StepPaneProps) {
  const { ticket, model, assessment } = useTicket();
  const { step, choice, plan, onChoose, onDefer } = props;
  const words = later.bench.step;
  const chooseCheck = (check: string) => onChoose({ kind: 'check', check });

  const checkStep = (id: string, heading: string) => {
    const check = model.checks.get(id);
    if (!check) return null;
    return (
      <CheckStep
        key={id}
        check={check}
        heading={heading}
        proposal={plan?.checks.find((proposal) => proposal.check === id)}
        onChooseCheck={chooseCheck}
        onGoOn={choice ? () => onChoose(undefined) : props.onRelease}
      />
    );
  };
  const repairStep = (
    cause: string,
    heading: string,
    proposed?: { readonly action: string | undefined },
  ) => (
    <RepairStep
      key={cause}
      cause={cause}
      action={proposed?.action}
      heading={heading}
      belief={assessment.beliefs.find((belief) => belief.cause === cause)}
      weights={plan?.words?.reasons.get(cause)}
      onChooseCheck={chooseCheck}
      onLookFurther={proposed ? onDefer : undefined}
    />
  );

  if (choice?.kind === 'check') return checkStep(choice.check, words.chosen);
  if (choice?.kind === 'freeing') {
    return <FreeingWalk place="bench" onLeave={() => onChoose(undefined)} />;
  }
  const settle = (symptom: string) => onChoose({ kind: 'settle', symptom });
  const owedSymptoms = assessment.debts.flatMap(({ kind, symptom, settled }) =>
    settled === undefined && kind === 'symptom' ? [symptom] : [],
  );
  const proveStep = (symptoms: readonly string[], minutes: number) => (
    <ProveStep symptoms={symptoms} minutes={minutes} plan={plan} onSettle={settle} />
  );
  const searchOn = () => <SearchOnStep onWriteDown={props.onSomethingElse} onSettle={settle} />;

  if (choice?.kind === 'settle') {
    return (
      <SettleStep
        key={choice.symptom}
        symptom={choice.symptom}
        onSew={
          owedSymptoms.includes(choice.symptom) ? () => onChoose({ kind: 'prove' }) : undefined
        }
      />
    );
  }
  if (choice?.kind === 'prove' && owedSymptoms.length > 0) {
    return proveStep(owedSymptoms, Math.max(1, plan?.proof?.minutes ?? MOST_PROOF_MINUTES));
  }
  if (choice?.kind === 'search-on') return searchOn();
  if (choice?.kind === 'cause') return repairStep(choice.cause, words.cause);
  if (choice?.kind === 'action') {
    return (
      <ChosenActionStep key={choice.action} action={choice.action} onChooseCheck={chooseCheck} />
    );
  }
  if (choice?.kind === 'close' || step?.kind === 'close-ticket' || step?.kind === 'close-machine') {
    return ticket.open.size > 0 ? (
      <PutTogether />
    ) : (
      <CloseStep plan={plan} onChooseCheck={chooseCheck} onChoose={onChoose} />
    );
  }
  if (!step)
    return props.planFailed ? <PlanFailed {...props} /> : <Sewing label={words.reckoning} />;
  switch (step.kind) {
    case 'check':
      return checkStep(step.check, words.because[step.because]);
    case 'prove':
      return proveStep(step.symptoms, step.minutes);
    case 'ask-symptoms':
      return <AskSymptomsStep onSettle={settle} />;
    case 'settle':
      return (
        <SettleStep
          key={step.symptom}
          symptom={step.symptom}
          onSew={
            owedSymptoms.includes(step.symptom) ? () => onChoose({ kind: 'prove' }) : undefined
          }
        />
      );
    case 'search-on':
      return searchOn();
    case 'repair':
      return repairStep(step.cause, words.repair, step);
    case 'action':
      return <ActionStep duty={step.duty} actions={step.actions} onChooseCheck={chooseCheck} />;
    case 'waive':
      return <ActionStep duty={step.duty} actions={[]} onChooseCheck={chooseCheck} />;
  }
}

/** The causes still stand at the side; the person chooses the check. */
function PlanFailed({ onSomethingElse }: StepPaneProps) {
  return (
    <div className="flex max-w-xl flex-col items-start gap-4">
      <h1 className="text-3xl font-bold" id="step-title">
        {later.bench.step.failedTitle}
      </h1>
      <p>{later.bench.step.failed}</p>
      <Button look="main" onClick={onSomethingElse}>
        {later.bench.step.chooseCheck}
      </Button>
    </div>
  );
}

function PutTogether() {
  return (
    <div>
      <h1 className="mb-4 text-3xl font-bold" id="step-title">
        {later.bench.step.closeFirst}
      </h1>
      <CloseFirst />
    </div>
  );
}

/** Besides answering: cannot tell, not now, something else, back to the proposal. */
function StepWaysOut({
  check,
  onDefer,
  onSomethingElse,
  onBack,
}: StepPaneProps & {
  readonly check: string | undefined;
  readonly onBack: (() => void) | undefined;
}) {
  const { model, mayFind } = useTicket();
  const known = model.checks.get(check ?? '');
  const words = later.bench.step;
  useKeys({ s: onSomethingElse, ...(onBack ? { Escape: onBack } : {}) });
  if (!mayFind) return null;
  return (
    <WaysOut
      cannotTell={known && <CannotTell check={known.id} />}
      onNotNow={check ? () => onDefer({ check }) : undefined}
    >
      <Button look="quiet" title={words.somethingElseFull} onClick={onSomethingElse}>
        <Key>s</Key> {words.somethingElse}
      </Button>
      {known && <WhyThis check={known} />}
      {onBack && (
        <Button look="quiet" onClick={onBack}>
          {words.backToProposal}
        </Button>
      )}
    </WaysOut>
  );
}
