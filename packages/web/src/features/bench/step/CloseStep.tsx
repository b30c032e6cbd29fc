import { lowerFirst } from '@nodo/kernel';
import { mayTakeIn } from '@nodo/ticket';
import { useState } from 'react';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { AnswerButton } from '../../../ticket/check/AnswerButton.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { symptomName } from '../../../ticket/words.ts';
import { Button } from '../../../ui/Button.tsx';
import { ReasonForm } from '../../../ui/ReasonForm.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import type { TicketPlan } from '../../../workers/planner.worker.ts';
import { ClosingSheetForm } from '../closing/ClosingSheetForm.tsx';
import { CustomerInformed } from '../closing/CustomerInformed.tsx';
import { AfterHandOut } from '../handOut/AfterHandOut.tsx';
import { HandOutButton } from '../handOut/HandOutButton.tsx';
import type { Choice } from './choice.ts';

interface CloseStepProps {
  readonly plan: TicketPlan | undefined;
  readonly onChooseCheck: (check: string) => void;
  readonly onChoose: (choice: Choice) => void;
}

/** No duty is owed any more: the ticket can be closed once each symptom is settled. */
export function CloseStep({ plan, onChooseCheck, onChoose }: CloseStepProps) {
  const { assessment, model, record, mayWork } = useTicket();
  const words = later.bench.step;
  const isSettled = assessment.debts.every(({ settled }) => settled !== undefined);
  const silent = assessment.debts.filter(({ settled }) => settled === 'not-brought-out');
  const isNothingFound = isSettled && silent.length > 0;
  const risk = write.percent(assessment.risk);
  const title = isNothingFound ? words.nothingFound.title : words.readyTitle;
  return (
    <div className="max-w-2xl">
      <KnotPicture />
      <h1 className="mt-2 text-3xl font-bold text-balance" id="step-title">
        {isSettled ? title : later.bench.duties.symptoms}
      </h1>
      {isNothingFound ? (
        <NothingFound
          minutes={Math.min(...silent.map(({ silentMinutes }) => silentMinutes))}
          risk={risk}
        />
      ) : (
        <p className="mt-3 text-lg">
          {assessment.debts.length > 0 ? words.ready(risk) : words.notKnown}
        </p>
      )}
      <Symptoms onChoose={onChoose} />
      {plan?.lowersRisk !== undefined && (
        <button
          type="button"
          onClick={() => plan.lowersRisk && onChooseCheck(plan.lowersRisk)}
          className="min-h-11 text-left underline underline-offset-4"
        >
          {later.bench.duties.lowers(
            lowerFirst(model.checks.get(plan.lowersRisk)?.title ?? plan.lowersRisk),
          )}
        </button>
      )}
      <Waived />
      <div className="mt-4 flex max-w-xl flex-col">
        {mayWork && isSettled && (
          <AnswerButton digit={1} text={words.tie} onPress={() => record('ticket-closed', {})} />
        )}
        {!mayWork && <p>{words.noRights}</p>}
      </div>
    </div>
  );
}

/** An honest ending without a repair: what was tried, what may still come, what to tell and to charge. */
function NothingFound({ minutes, risk }: { readonly minutes: number; readonly risk: string }) {
  const words = later.bench.step.nothingFound;
  return (
    <>
      <p className="mt-3 text-lg">{words.sewn(write.minutes(minutes), risk)}</p>
      <p className="mt-2">{words.differs}</p>
      <p className="mt-2">{words.tell}</p>
      <p className="mt-2">{words.charge}</p>
    </>
  );
}

/** Each reported symptom and how it ended; what is still owed can be sewn or settled. */
function Symptoms({ onChoose }: Pick<CloseStepProps, 'onChoose'>) {
  const { assessment, model } = useTicket();
  const words = later.bench.step;
  return (
    <ul className="mt-2">
      {assessment.debts.map(({ kind, symptom, settled }) => (
        <li key={symptom} className="flex flex-wrap items-center gap-x-4">
          {words.settledLine(symptomName(model, symptom), words.settled[settled ?? 'owed'])}
          {settled === undefined && (
            <>
              {kind === 'symptom' && (
                <Button onClick={() => onChoose({ kind: 'prove' })}>{words.settle.sew}</Button>
              )}
              <Button look="quiet" onClick={() => onChoose({ kind: 'settle', symptom })}>
                {words.prove.settle}
              </Button>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

/** The ticket is closed: hand the machine over, or take it back to the bench. */
export function ClosedStep() {
  const { ticket, record, mayWork } = useTicket();
  const { role } = useSession().person;
  const [reopening, setReopening] = useState(false);
  const words = later.bench.step;
  const gone = ticket.status === 'collected';
  return (
    <div>
      <div className="flex items-center gap-4">
        <div className="min-w-0 flex-1">
          <h1 className="text-3xl leading-9 font-bold" id="step-title">
            {words.closedTitle}
          </h1>
          {ticket.closing && (
            <p className="mt-1 text-quiet">
              {words.closedLine(write.percent(ticket.closing.snapshot.risk))}
            </p>
          )}
        </div>
        <span className="hidden shrink-0 @xl:block">
          <KnotPicture />
        </span>
      </div>
      <Waived />
      {gone && <p className="mt-3">{words.gone}</p>}
      <ClosingSheetForm />
      {gone && mayTakeIn(role) && <AfterHandOut />}
      {!gone && <CustomerInformed />}
      {!gone && (
        <div className="mt-4 flex flex-wrap gap-3">
          <HandOutButton />
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
      <TextLink to="/" className="mt-4">
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
  return <p className="mt-2 text-quiet">{later.bench.step.waivedLine(list)}</p>;
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
