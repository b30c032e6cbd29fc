import { lowerFirst } from '@nodo/kernel';
import { COMPLAINT } from '@nodo/knowledge';
import { IN_WORDS, SETTLED_BY_HAND, type SettledByHand } from '@nodo/ticket';
import { useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { ComplaintTicks } from '../../../shop/intake/Asked.tsx';
import { answersTo } from '../../../ticket/answersTo.ts';
import { AnswerButton } from '../../../ticket/check/AnswerButton.tsx';
import { StepHead } from '../../../ticket/check/StepHead.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { symptomName } from '../../../ticket/words.ts';
import { Button } from '../../../ui/Button.tsx';
import { ReasonForm } from '../../../ui/ReasonForm.tsx';

/** A symptom that is not sewn away: a person says how it ends. */
export function SettleStep({
  symptom,
  onSew,
}: {
  readonly symptom: string;
  /** Left out where there is nothing to sew. */
  readonly onSew: (() => void) | undefined;
}) {
  const { model, record, mayWork } = useTicket();
  const [how, setHow] = useState<SettledByHand>();
  const words = later.bench.step.settle;
  return (
    <div>
      <StepHead
        heading={words.heading}
        title={words.title(lowerFirst(symptomName(model, symptom)))}
        how={words.text}
      />
      {mayWork ? (
        <div className="mt-3 flex flex-col gap-2">
          {SETTLED_BY_HAND.map((way, index) => (
            <AnswerButton
              key={way}
              digit={index + 1}
              text={words.ways[way]}
              pressed={how === undefined ? undefined : how === way}
              onPress={() => setHow(way)}
            />
          ))}
          {how && (
            <ReasonForm
              key={how}
              label={words.reasons[how]}
              submit={words.ways[how]}
              onSubmit={(reason) => record('symptom-settled', { symptom, how, reason })}
            />
          )}
        </div>
      ) : (
        <p className="mt-3">{later.bench.step.noRights}</p>
      )}
      {onSew && (
        <Button look="quiet" className="mt-3" onClick={onSew}>
          {words.sew}
        </Button>
      )}
    </div>
  );
}

/** The complaint was given in words alone: what does the machine do? */
export function AskSymptomsStep({ onSettle }: { readonly onSettle: (symptom: string) => void }) {
  const { ticket, model, record, mayFind } = useTicket();
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const words = later.bench.step.ask;
  const complaint = model.checks.get(COMPLAINT);
  if (!complaint) return null;
  return (
    <div>
      <StepHead heading={words.heading} title={words.title} how={words.text} />
      {ticket.intake?.words && (
        <p className="mt-1 leading-snug">
          <bdi>“{ticket.intake.words}”</bdi>
        </p>
      )}
      {mayFind ? (
        <>
          <ComplaintTicks findings={complaint.findings} ticked={ticked} onChange={setTicked} />
          <div className="mt-4 flex flex-wrap gap-3">
            <Button
              look="main"
              lacks={ticked.length === 0 && m.shell.lacks.tick}
              onClick={() =>
                record('findings-recorded', {
                  check: COMPLAINT,
                  answers: Object.fromEntries(ticked.map((id) => [id, 'yes' as const])),
                })
              }
            >
              {words.log}
            </Button>
            <Button
              lacks={ticked.length > 0 && m.shell.lacks.untick}
              onClick={() =>
                record('findings-recorded', {
                  check: COMPLAINT,
                  answers: answersTo(complaint, new Set()),
                })
              }
            >
              {words.none}
            </Button>
            <Button look="quiet" onClick={() => onSettle(IN_WORDS)}>
              {later.bench.step.prove.settle}
            </Button>
          </div>
        </>
      ) : (
        <p className="mt-3">{later.bench.step.noRights}</p>
      )}
    </div>
  );
}

/** Everything that the tables know was put right or ruled out, and it still shows. */
export function SearchOnStep({
  onWriteDown,
  onSettle,
}: {
  readonly onWriteDown: () => void;
  readonly onSettle: (symptom: string) => void;
}) {
  const { model, assessment } = useTicket();
  const words = later.bench.step.searchOn;
  const unknown = assessment.beliefs
    .filter(({ cause }) => !model.causes.has(cause))
    .reduce((none, { blame }) => none * (1 - blame), 1);
  const owed = assessment.debts.find(({ settled }) => settled === undefined);
  return (
    <div>
      <StepHead
        heading={words.heading}
        title={words.title}
        facts={words.chance(write.percent(1 - unknown))}
        how={words.text}
      />
      <div className="mt-4 flex flex-wrap gap-3">
        <Button look="main" onClick={onWriteDown}>
          {words.found}
        </Button>
        {owed && <Button onClick={() => onSettle(owed.symptom)}>{words.settle}</Button>}
      </div>
    </div>
  );
}
