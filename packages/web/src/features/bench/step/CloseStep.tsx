import { useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { AnswerButton } from '../../../ticket/check/AnswerButton.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { lowerFirst } from '../../../ticket/words.ts';
import { Button } from '../../../ui/Button.tsx';
import { ReasonForm } from '../../../ui/ReasonForm.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import type { TicketPlan } from '../../../workers/planner.worker.ts';

interface CloseStepProps {
  readonly plan: TicketPlan | undefined;
  readonly onChooseCheck: (check: string) => void;
}

/** No duty is owed any more: the ticket can be closed. */
export function CloseStep({ plan, onChooseCheck }: CloseStepProps) {
  const { assessment, model, record, mayWork } = useTicket();
  const words = m.bench.step;
  return (
    <div className="max-w-2xl">
      <KnotPicture />
      <h1 className="mt-2 text-3xl font-bold" id="step-title">
        {words.readyTitle}
      </h1>
      <p className="mt-3 text-lg">{words.ready(write.percent(assessment.risk))}</p>
      {plan?.lowersRisk !== undefined && (
        <button
          type="button"
          onClick={() => plan.lowersRisk && onChooseCheck(plan.lowersRisk)}
          className="min-h-11 text-left underline underline-offset-4"
        >
          {m.bench.duties.lowers(
            lowerFirst(model.checks.get(plan.lowersRisk)?.title ?? plan.lowersRisk),
          )}
        </button>
      )}
      <Waived />
      <div className="mt-5 flex max-w-xl flex-col">
        {mayWork ? (
          <AnswerButton digit={1} text={words.tie} onPress={() => record('ticket-closed', {})} />
        ) : (
          <p>{words.noRights}</p>
        )}
      </div>
    </div>
  );
}

/** The ticket is closed: hand the machine over, or take it back to the bench. */
export function ClosedStep() {
  const { ticket, record, mayWork } = useTicket();
  const [reopening, setReopening] = useState(false);
  const words = m.bench.step;
  const gone = ticket.status === 'collected';
  return (
    <div className="max-w-2xl">
      <KnotPicture />
      <h1 className="mt-2 text-3xl font-bold" id="step-title">
        {words.closedTitle}
      </h1>
      {ticket.closing && (
        <p className="mt-3 text-lg">
          {words.closedLine(write.percent(ticket.closing.snapshot.risk))}
        </p>
      )}
      <Waived />
      {gone && <p className="mt-3">{words.gone}</p>}
      {!gone && (
        <div className="mt-5 flex flex-wrap gap-3">
          <Button look="main" onClick={() => record('machine-collected', {})}>
            {words.collected}
          </Button>
          {mayWork && !reopening && (
            <Button onClick={() => setReopening(true)}>{words.reopen}</Button>
          )}
        </div>
      )}
      {reopening && !gone && (
        <ReasonForm
          label={words.reopenWhy}
          submit={words.reopen}
          onSubmit={(reason) => record('ticket-reopened', { reason })}
        />
      )}
      <TextLink to="/" className="mt-5">
        {words.toRack}
      </TextLink>
    </div>
  );
}

function Waived() {
  const { model, assessment } = useTicket();
  const waived = assessment.duties.filter(({ state }) => state === 'waived');
  if (waived.length === 0) return null;
  const list = waived
    .map(({ duty }) => lowerFirst(model.duties.get(duty)?.text ?? duty))
    .join('; ');
  return <p className="mt-2 text-quiet">{m.bench.step.waivedLine(list)}</p>;
}

function KnotPicture() {
  return (
    <svg width="180" height="54" viewBox="0 0 180 54" fill="none" aria-hidden="true">
      <path
        d="M2 27H56C92 27 78 4 98 4S118 34 98 34 84 10 108 16 120 27 178 27"
        stroke="var(--above)"
        strokeWidth="5"
        strokeLinecap="round"
      />
      <path
        d="M2 40H66C88 40 96 48 110 44S126 40 178 40"
        stroke="var(--below)"
        strokeWidth="5"
        strokeLinecap="round"
      />
    </svg>
  );
}
