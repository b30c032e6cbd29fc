import { WANTS_FREEING } from '@nodo/knowledge';
import { defer, mayRecord, NOTHING_DEFERRED, nextPhoneStep, type PhoneStep } from '@nodo/ticket';
import { useMemo, useState } from 'react';
import { Navigate, useParams } from 'react-router';
import { later } from '../../messages/later.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { UntilAsked } from '../../session/UntilAsked.tsx';
import { ticketAddress } from '../../shop/ticketAddress.ts';
import { Causes } from '../../ticket/Causes.tsx';
import { FreeingWalk } from '../../ticket/check/FreeingWalk.tsx';
import { WaysOut } from '../../ticket/check/WaysOut.tsx';
import { StepBody } from '../../ticket/StepBody.tsx';
import type { Pane } from '../../ticket/ThumbBar.tsx';
import { TicketBar } from '../../ticket/TicketBar.tsx';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { TicketGate } from '../../ticket/TicketGate.tsx';
import { TicketShell } from '../../ticket/TicketShell.tsx';
import { usePlan } from '../../ticket/usePlan.ts';
import { Button } from '../../ui/Button.tsx';
import { Key } from '../../ui/Key.tsx';
import { Sewing } from '../../ui/Stitches.tsx';
import { useStepKeys } from '../../ui/useKeys.ts';
import { Arrival, CallOver } from './CallOver.tsx';
import { CallStep } from './CallStep.tsx';

/** One call: the next thing to say, and what it could be. */
export default function CallView() {
  const { ticket: id = '' } = useParams();
  return (
    <TicketGate id={id}>
      <Call />
    </TicketGate>
  );
}

function Call() {
  const { ticket, model, assessment, record } = useTicket();
  const { role } = useSession().person;
  const { plan, planFailed } = usePlan();
  const [deferred, setDeferred] = useState(NOTHING_DEFERRED);
  const [ending, setEnding] = useState<'bring-in' | 'stop'>();
  const [freeing, setFreeing] = useState(false);
  const [pane, setPane] = useState<Pane>('step');
  const step = useMemo<PhoneStep | undefined>(
    () => plan && nextPhoneStep(ticket, model, assessment, plan.call, deferred),
    [ticket, model, assessment, plan, deferred],
  );
  if (ticket.intake?.tag !== undefined)
    return (
      <Navigate to={ticketAddress(role, { ticket: ticket.id, tag: ticket.intake.tag })} replace />
    );

  const mayTalk = mayRecord(role, 'call-ended') && ticket.status === 'open';
  const shownStep: PhoneStep | undefined = ending ? { kind: 'end', outcome: ending } : step;
  const over = ticket.call !== undefined;
  const isCaught = ticket.answers.some(
    ({ finding, present }) => present && WANTS_FREEING.has(finding),
  );
  return (
    <TicketShell
      bar={<TicketBar />}
      chosen={freeing || ending}
      pane={pane}
      onPane={setPane}
      step={
        <StepBody
          name={`${freeing} ${JSON.stringify(shownStep ?? null)}`}
          waysOut={
            mayTalk &&
            !freeing &&
            !over &&
            shownStep &&
            shownStep.kind !== 'end' && (
              <CallWaysOut
                step={shownStep}
                onCannotTell={(check) => record('could-not-tell', { check })}
                onNotNow={(what) => setDeferred(defer(deferred, what))}
                onEnd={setEnding}
                onFree={isCaught ? () => setFreeing(true) : undefined}
              />
            )
          }
        >
          {freeing ? (
            <FreeingWalk
              place="phone"
              onLeave={() => setFreeing(false)}
              onStuck={() => {
                setFreeing(false);
                setEnding('bring-in');
              }}
            />
          ) : over ? (
            <Arrival mayTalk={mayTalk} />
          ) : !shownStep ? (
            planFailed ? (
              <p>{later.bench.step.failed}</p>
            ) : (
              <Sewing label={later.phone.reckoning} />
            )
          ) : shownStep.kind === 'end' ? (
            <CallOver
              outcome={shownStep.outcome}
              mayTalk={mayTalk}
              onBack={ending && (() => setEnding(undefined))}
            />
          ) : (
            <CallStep step={shownStep} mayTalk={mayTalk} />
          )}
        </StepBody>
      }
      rightPane="causes"
      right={
        <UntilAsked ask={later.counter.hearsLikeAsk}>
          <Causes words={plan?.words} chosen={undefined} closed={ticket.closing !== undefined} />
        </UntilAsked>
      }
    />
  );
}

/** Besides answering: cannot tell, not now, free it, bring it in, stop. */
function CallWaysOut({
  step,
  onCannotTell,
  onNotNow,
  onEnd,
  onFree,
}: {
  readonly step: Exclude<PhoneStep, { kind: 'end' }>;
  readonly onCannotTell: (check: string) => void;
  readonly onNotNow: (what: { readonly check: string } | { readonly cause: string }) => void;
  readonly onEnd: (outcome: 'bring-in' | 'stop') => void;
  /** Offered where something is caught. */
  readonly onFree: (() => void) | undefined;
}) {
  const check = step.kind === 'ask' ? step.check : undefined;
  const what = step.kind === 'advise' ? { cause: step.cause } : check ? { check } : undefined;
  useStepKeys({
    b: () => onEnd('bring-in'),
    x: () => onEnd('stop'),
    ...(onFree ? { f: onFree } : {}),
  });
  return (
    <WaysOut
      onCannotTell={check ? () => onCannotTell(check) : undefined}
      onNotNow={what ? () => onNotNow(what) : undefined}
    >
      {onFree && (
        <Button look="quiet" onClick={onFree}>
          <Key>f</Key> {later.freeing.offer}
        </Button>
      )}
      <Button look="quiet" onClick={() => onEnd('bring-in')}>
        <Key>b</Key> {later.phone.bringIn}
      </Button>
      <Button look="hazard" className="ml-auto" onClick={() => onEnd('stop')}>
        <Key>x</Key> {later.phone.stop}
      </Button>
    </WaysOut>
  );
}
