import { barredBy, type FamilyModel, SEWN_AS_FOUND, WANTS_FREEING } from '@nodo/knowledge';
import {
  type Assessment,
  defer,
  mayRecord,
  NOTHING_DEFERRED,
  nextStep,
  type Ticket,
} from '@nodo/ticket';
import { type ReactNode, useCallback, useEffect, useMemo, useState } from 'react';
import { Navigate, useParams } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { Causes, UNKNOWN } from '../../ticket/Causes.tsx';
import { FrozenTicket, useShown, useTicket } from '../../ticket/TicketContext.tsx';
import { TicketGate } from '../../ticket/TicketGate.tsx';
import { TicketShell } from '../../ticket/TicketShell.tsx';
import { usePlan } from '../../ticket/usePlan.ts';
import { usePresence } from '../../ticket/usePresence.ts';
import type { ShownTicket } from '../../ticket/useShownTicket.ts';
import { Button } from '../../ui/Button.tsx';
import { Duties } from './Duties.tsx';
import { JobBar } from './job/JobBar.tsx';
import { MachineNow } from './MachineNow.tsx';
import { PlanSwitch } from './PlanSwitch.tsx';
import { ResumeStrip } from './ResumeStrip.tsx';
import { SomethingElse } from './SomethingElse.tsx';
import type { Choice } from './step/choice.ts';
import { StepPane } from './step/StepPane.tsx';
import { LeftHere, Together } from './together/Together.tsx';
import { useLasts } from './useLasts.ts';

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
  const { role } = useSession().person;
  const { plan, planFailed } = usePlan();
  const [deferred, setDeferred] = useState(NOTHING_DEFERRED);
  const step = useMemo(
    () => plan && nextStep(ticket, model, assessment, plan, deferred),
    [ticket, model, assessment, plan, deferred],
  );
  const [resumed, setResumed] = useState(false);
  const [choice, setChoice] = useState<Choice>();
  const [elseOpen, setElseOpen] = useState(false);

  // What was chosen has been answered, here or on another screen: back to the proposal.
  const { seq } = ticket;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the next entry is the reason
  useEffect(
    () => setChoice((held) => (keepsChoice(held, events.at(-1), model) ? held : undefined)),
    [seq],
  );

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
    <>
      <TicketShell
        header={
          <BenchHeader>
            <JobBar />
            <Together mayRecord={mayRecord(role, 'handed-over')} />
          </BenchHeader>
        }
        notices={
          <>
            <LeftHere />
            {!resumed && ticket.status === 'open' && (
              <ResumeStrip step={step} onPutAway={() => setResumed(true)} />
            )}
          </>
        }
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
                setDeferred(defer(deferred, what));
                setChoice(undefined);
              }}
              onSomethingElse={() => setElseOpen(true)}
              isHeld={isHeld}
            />
          </FrozenTicket>
        }
        right={
          <>
            <MachineNow plan={plan} onChooseCheck={chooseCheck} />
            {mayWork && wantsFreeing(ticket, assessment) && (
              <Button className="mt-3" onClick={() => setChoice({ kind: 'freeing' })}>
                {m.freeing.offer}
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
    </>
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
function keepsChoice(
  choice: Choice | undefined,
  last: ShownTicket['events'][number] | undefined,
  model: FamilyModel,
): boolean {
  if (!choice || !last) return false;
  if (choice.kind === 'freeing') return true;
  if (last.type === 'machine-opened' || last.type === 'machine-closed') return true;
  if (last.type !== 'action-done') return false;
  const { action, repair } = last.body;
  if (choice.kind === 'action') return choice.action !== action;
  if (choice.kind !== 'cause') return !repair;
  return model.actions.get(action)?.treats.includes(choice.cause) !== true;
}

function BenchHeader({ children }: { readonly children: ReactNode }) {
  const { ticket, events, customer } = useShown();
  const people = usePeopleById();
  const last = events.at(-1);
  const lastBy = last && people.get(last.actor.person);
  const { intake } = ticket;
  if (!intake) return null;
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-5 py-2">
      <span className="flex items-center gap-2 rounded-md bg-ink px-3 py-1 font-mono text-2xl font-bold text-ground">
        <span aria-hidden="true" className="size-2 rounded-full bg-ground" />
        {intake.tag}
      </span>
      <p className="min-w-0 text-lg leading-tight font-bold break-words">
        <bdi>{intake.label}</bdi>
        <span className="block text-sm font-normal text-quiet">
          <bdi>{customer?.name}</bdi>
          {customer?.phone && `, ${customer.phone}`}
        </span>
      </p>
      {intake.words && (
        <blockquote
          className="line-clamp-2 max-w-xl min-w-0 flex-1 border-l-3 border-own pl-3 text-quiet"
          title={intake.words}
        >
          <span className="sr-only">{m.bench.machine.words}: </span>
          <bdi>“{intake.words}”</bdi>
        </blockquote>
      )}
      {last && lastBy && (
        <p className="ml-auto text-sm text-quiet">
          {m.bench.lastEntry(lastBy.name, write.moment(last.observedAt))}
        </p>
      )}
      {children}
    </div>
  );
}
