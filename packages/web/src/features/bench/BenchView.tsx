import { barredBy, type FamilyModel, SEWN_AS_FOUND, WANTS_FREEING } from '@nodo/knowledge';
import {
  type Assessment,
  changesPlan,
  nextStep,
  type Ticket,
  type TicketEvent,
} from '@nodo/ticket';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Navigate, useParams, useSearchParams } from 'react-router';
import { later } from '../../messages/later.ts';
import { Causes, UNKNOWN } from '../../ticket/Causes.tsx';
import { LatestLocalAct } from '../../ticket/seam/Undo.tsx';
import type { Pane } from '../../ticket/ThumbBar.tsx';
import { TicketBar, ToolLinks } from '../../ticket/TicketBar.tsx';
import { FrozenTicket, useShown, useTicket } from '../../ticket/TicketContext.tsx';
import { TicketGate } from '../../ticket/TicketGate.tsx';
import { TicketShell } from '../../ticket/TicketShell.tsx';
import { usePlan } from '../../ticket/usePlan.ts';
import { usePresence } from '../../ticket/usePresence.ts';
import { Button } from '../../ui/Button.tsx';
import { useLasts } from '../../ui/useLasts.ts';
import { Duties } from './Duties.tsx';
import { JobBar } from './job/JobBar.tsx';
import { PriceNow } from './job/PriceAnswered.tsx';
import { MachineNow } from './MachineNow.tsx';
import { PlanSwitch } from './PlanSwitch.tsx';
import { PutOffList } from './PutOffList.tsx';
import { SoFar } from './SoFar.tsx';
import { SomethingElse } from './SomethingElse.tsx';
import type { Choice } from './step/choice.ts';
import { StepPane } from './step/StepPane.tsx';
import { AlsoHere, LeftHere } from './together/Together.tsx';
import { useDeferred } from './useDeferred.ts';
import { isCovering, isOwn, usePinnedStep } from './usePinnedStep.ts';

/** One ticket at work. */
export default function BenchView() {
  const { ticket: id = '' } = useParams();
  return (
    <TicketGate id={id}>
      <InTheShop />
    </TicketGate>
  );
}

/** A machine that is not in the shop is only spoken of on the telephone. */
function InTheShop() {
  const { id, intake } = useTicket().ticket;
  return intake?.tag === undefined ? <Navigate to={`/phone/${id}`} replace /> : <Bench />;
}

function Bench() {
  const { ticket, model, assessment, mayWork } = useTicket();
  const { events } = useShown();
  const { plan, planFailed } = usePlan();
  const { deferred, latest, count, putOff, takeUp } = useDeferred();
  const proposed = useMemo(
    () => plan && nextStep(ticket, model, assessment, plan, deferred),
    [ticket, model, assessment, plan, deferred],
  );
  const { step, release } = usePinnedStep(proposed, count);
  const [pane, setPane] = useState<Pane>('step');
  const [choice, setChoice] = useState<Choice>();
  const [elseOpen, setElseOpen] = useState(false);

  // What was chosen was answered at this screen, or a strike covers it: back to the proposal.
  const handled = useRef(events.length);
  useEffect(() => {
    const fresh = events.slice(handled.current);
    handled.current = events.length;
    setChoice((held) =>
      fresh.every((event) =>
        isOwn(event) ? keepsChoice(held, event, model) : !isCovering(event, assessment, model),
      )
        ? held
        : undefined,
    );
  }, [events, assessment, model]);

  // An address can ask for a check: it is chosen as if it had been tapped here.
  const [query, setQuery] = useSearchParams();
  const asked = query.get('check');
  useEffect(() => {
    if (asked === null) return;
    if (model.checks.has(asked)) setChoice({ kind: 'check', check: asked });
    setQuery({}, { replace: true });
  }, [asked, model, setQuery]);

  const chooseCause = useCallback(
    (cause: string) =>
      setChoice(cause === UNKNOWN ? { kind: 'search-on' } : { kind: 'cause', cause }),
    [],
  );
  const chooseCheck = useCallback((check: string) => setChoice({ kind: 'check', check }), []);
  const chooseClose = useCallback(() => setChoice({ kind: 'close' }), []);
  const chooseDebt = useCallback(
    (symptom: string) =>
      setChoice(
        canSew(symptom, model, assessment) ? { kind: 'prove' } : { kind: 'settle', symptom },
      ),
    [model, assessment],
  );

  const isWaiting =
    step === undefined && !planFailed && choice === undefined && ticket.status === 'open';
  const isLate = useLasts(isWaiting, HELD_MS);
  const isHeld = isWaiting && !isLate;

  const lookedAt =
    choice?.kind === 'check' ? choice : !choice && step?.kind === 'check' ? step : null;
  usePresence(ticket.id, lookedAt?.check ?? null);

  return (
    <LatestLocalAct value={latest}>
      <TicketShell
        bar={
          <TicketBar
            summary={<SoFar step={step} />}
            narrow={<ToDoCount onShow={() => setPane('to-do')} />}
          >
            <JobBar />
            <AlsoHere />
          </TicketBar>
        }
        chosen={choice}
        pane={pane}
        onPane={setPane}
        tools={
          <div className="flex flex-col gap-4">
            <ToolLinks ticket={ticket.id} large />
            <JobBar />
            <AlsoHere />
          </div>
        }
        notices={<LeftHere />}
        left={
          <Causes
            words={plan?.words}
            closed={ticket.closing !== undefined}
            chosen={choice?.kind === 'cause' ? choice.cause : undefined}
            onChoose={chooseCause}
          />
        }
        held={isHeld}
        step={
          <FrozenTicket frozen={isHeld}>
            <StepPane
              plan={plan}
              step={step}
              planFailed={planFailed}
              choice={choice}
              onChoose={setChoice}
              onDefer={(what) => {
                putOff(what);
                setChoice(undefined);
              }}
              onSomethingElse={() => setElseOpen(true)}
              onRelease={release}
              isHeld={isHeld}
            />
          </FrozenTicket>
        }
        right={
          <>
            <MachineNow plan={plan} onChooseCheck={chooseCheck} />
            <PriceNow />
            {mayWork && wantsFreeing(ticket, assessment) && (
              <Button className="mt-3" onClick={() => setChoice({ kind: 'freeing' })}>
                {later.freeing.offer}
              </Button>
            )}
            <Duties
              mayWork={mayWork && ticket.status === 'open'}
              onChooseCheck={chooseCheck}
              onChooseClose={chooseClose}
              onChooseDebt={chooseDebt}
              lowersRisk={plan?.lowersRisk}
              closed={ticket.status !== 'open'}
            />
            <PutOffList
              deferred={deferred}
              onTakeUp={(what) => {
                takeUp(what);
                setChoice(
                  'check' in what ? { kind: 'check', ...what } : { kind: 'action', ...what },
                );
              }}
            />
            <PlanSwitch />
          </>
        }
      />
      <SomethingElse
        open={elseOpen}
        onOpenChange={setElseOpen}
        onChoose={setChoice}
        check={lookedAt?.check}
      />
    </LatestLocalAct>
  );
}

/** How much is still to do, on a small screen; a tap shows it. */
function ToDoCount({ onShow }: { readonly onShow: () => void }) {
  const { ticket, assessment } = useTicket();
  const owed =
    assessment.duties.filter(({ state }) => state === 'owed').length +
    assessment.debts.filter(({ settled }) => settled === undefined).length;
  if (owed === 0 || ticket.status !== 'open') return null;
  return (
    <Button look="quiet" onClick={onShow}>
      {later.bench.bar.toDo(owed)}
    </Button>
  );
}

/** So long an answered step may stand before the next; then a progress message takes its place. */
const HELD_MS = 400;

/** Something is caught, and nobody has cleared it yet. */
function wantsFreeing({ answers, status }: Ticket, { duties }: Assessment): boolean {
  const caught = answers.some(({ finding, present }) => present && WANTS_FREEING.has(finding));
  const cleared = duties.some(({ duty, state }) => duty === 'nest-cleared' && state !== 'owed');
  return status === 'open' && caught && !cleared;
}

/** A symptom that can be sewn now: nothing is owed before power. */
function canSew(symptom: string, model: FamilyModel, { debts, duties }: Assessment): boolean {
  const isSymptom = debts.some((debt) => debt.kind === 'symptom' && debt.symptom === symptom);
  return isSymptom && !barredBy(model, duties)(`check:${SEWN_AS_FOUND}`);
}

/** Preparing a chosen step (unplugging, opening, a gate) does not take the choice away. */
function keepsChoice(choice: Choice | undefined, last: TicketEvent, model: FamilyModel): boolean {
  if (!choice) return false;
  if (!changesPlan(last)) return true;
  if (choice.kind === 'freeing') return true;
  if (last.type === 'machine-opened' || last.type === 'machine-closed') return true;
  if (last.type !== 'action-done') return false;
  const { action, repair } = last.body;
  if (choice.kind === 'action') return choice.action !== action;
  if (choice.kind !== 'cause') return !repair;
  return model.actions.get(action)?.treats.includes(choice.cause) !== true;
}
