import { type CheckProposal, openingChain } from '@nodo/core';
import { checkMinutes, type FamilyCheck, isPartOff, isWorthIt } from '@nodo/knowledge';
import { gatesUnmet, POWER_OFF, POWER_ON } from '@nodo/ticket';
import { Ruler, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { CheckDrawing } from '../../drawing/CheckDrawing.tsx';
import { m, write } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { TextLink } from '../../ui/TextLink.tsx';
import { useStepKeys } from '../../ui/useKeys.ts';
import { answersTo } from '../answersTo.ts';
import { instrumentFor } from '../instrumentAddresses.ts';
import { ProvenanceMark } from '../ProvenanceMark.tsx';
import { useTicket } from '../TicketContext.tsx';
import { gateWords, hazardWords, lowerFirst } from '../words.ts';
import { AnswerButton } from './AnswerButton.tsx';
import { NotedHere } from './NotedHere.tsx';
import { Schools } from './Schools.tsx';

interface CheckStepProps {
  readonly check: FamilyCheck;
  readonly heading: string;
  /** What the planner says of it; undefined for a check that a person chose. */
  readonly proposal: CheckProposal | undefined;
  readonly onChooseCheck: (check: string) => void;
}

/** One check: what to do, what must be opened for it, and its answers as big buttons. */
export function CheckStep(props: CheckStepProps) {
  const { ticket, model } = useTicket();
  const { check, heading, proposal } = props;
  const minutes = checkMinutes(model, ticket.open, check);
  const toOpen = openingChain(model.access, ticket.open, check.access);
  return (
    <div className="flex flex-col gap-x-8 gap-y-4 xl:flex-row">
      <div className="min-w-0 flex-1">
        <p className="text-sm font-semibold text-quiet">{heading}</p>
        <h1 className="mt-0.5 text-3xl leading-tight font-bold text-balance" id="step-title">
          {check.title}
        </h1>
        <p className="mt-1 flex flex-wrap items-center gap-x-4 text-quiet">
          <span>
            <strong className="font-mono text-ink">{write.minutes(minutes)}</strong>{' '}
            {m.bench.step.minutes} <ProvenanceMark standing="common-practice" />
          </span>
          {proposal && isWorthIt(proposal) && (
            <span>{m.bench.step.saves(write.minutes(proposal.gain))}</span>
          )}
          {toOpen.length > 0 && (
            <span>
              {m.bench.step.opens(toOpen.map(({ title }) => lowerFirst(title)).join(', '))}
            </span>
          )}
        </p>
        {check.hazard && <Caution text={hazardWords(check.hazard, check.needs)} />}
        <div className="mt-3">
          <Preparation {...props} />
        </div>
        <InstrumentLink to={instrumentFor(ticket.id, check.id)} />
        <NotedHere check={check.id} />
        <WhyThis check={check} />
        <Schools check={check.id} />
      </div>
      <div className="flex gap-x-6 gap-y-3 max-xl:items-start max-sm:flex-col xl:w-60 xl:shrink-0 xl:flex-col">
        <div className="min-w-0 leading-snug max-xl:flex-1">
          <p>{check.how}</p>
          {check.tools && (
            <p className="mt-1 text-quiet">{m.bench.step.tools(check.tools.join(', '))}</p>
          )}
        </div>
        <CheckDrawing check={check} family={model.family} />
      </div>
    </div>
  );
}

/** The instrument that measures what the check asks. */
export function InstrumentLink({ to }: { readonly to: string | undefined }) {
  if (to === undefined) return null;
  return (
    <TextLink to={to} className="mt-2 gap-2 font-semibold">
      <Ruler aria-hidden size={20} />
      {m.instrument.open}
    </TextLink>
  );
}

const SHOWN_CAUSES = 5;

/** Which of the likely causes the check can show or clear, with their chances now. */
function WhyThis({ check }: Pick<CheckStepProps, 'check'>) {
  const { model, assessment } = useTicket();
  const findings = new Set(check.findings.map(({ id }) => id));
  const touched = assessment.beliefs
    .filter(({ cause }) => {
      if (check.trialTreats?.includes(cause)) return true;
      const { sure = [], usual = [], often = [] } = model.causes.get(cause)?.shows ?? {};
      return [...sure, ...usual, ...often].some((finding) => findings.has(finding));
    })
    .slice(0, SHOWN_CAUSES);
  if (touched.length === 0) return null;
  return (
    <details className="mt-2 max-w-xl">
      <summary className="flex min-h-11 cursor-pointer items-center text-quiet underline underline-offset-4">
        {m.bench.step.whyThis}
      </summary>
      <p className="text-quiet">{m.bench.step.standsToFind}</p>
      <ul>
        {touched.map(({ cause, blame }) => (
          <li key={cause} className="flex gap-3">
            <span className="w-14 shrink-0 text-right font-mono">{write.percent(blame)}</span>
            {model.causes.get(cause)?.name}
          </li>
        ))}
      </ul>
    </details>
  );
}

export function Caution({ text }: { readonly text: string }) {
  return (
    <p className="mt-3 flex max-w-prose gap-2 rounded-md bg-hazard-wash px-3 py-2 font-semibold text-hazard">
      <TriangleAlert aria-hidden size={20} className="mt-0.5 shrink-0" />
      {text}
    </p>
  );
}

/** What stands before the answers: a gate, unplugging, opening, closing; then the answers. */
function Preparation({ check, onChooseCheck }: CheckStepProps) {
  const { ticket, model, record, mayFind, mayWork } = useTicket();
  const words = m.bench.step;
  const gates = gatesUnmet(ticket, model, `check:${check.id}`);
  const toOpen = openingChain(model.access, ticket.open, check.access);

  const needsHands = gates.length > 0 || toOpen.length > 0;
  if (!mayFind || (needsHands && !mayWork)) return <p>{words.noRights}</p>;
  if (gates.length > 0) return <Gates gates={gates} onChooseCheck={onChooseCheck} />;
  if (isPartOff(check, ticket.open)) return <CloseFirst heading={words.partOff} />;
  if (toOpen.length > 0) {
    const target = toOpen.at(-1);
    if (ticket.power === 'on') {
      return (
        <StepList heading={words.unplugFirst} caution={toOpen[0]?.safety}>
          <AnswerButton
            digit={1}
            text={words.unplugged}
            onPress={() => record('action-done', { action: POWER_OFF })}
          />
        </StepList>
      );
    }
    return (
      <StepList heading={words.openFirst}>
        <ol className="mb-2 list-decimal pl-6">
          {toOpen.map(({ id, title, means }) => (
            <li key={id}>
              <strong>{title}.</strong> <span className="text-quiet">{means}.</span>
            </li>
          ))}
        </ol>
        <AnswerButton
          digit={1}
          text={words.opened(target?.title ?? '')}
          onPress={() => target && record('machine-opened', { state: target.id })}
        />
      </StepList>
    );
  }
  if (check.needs === 'sews' && (ticket.open.size > 0 || ticket.power === 'off')) {
    return <CloseFirst />;
  }
  return <Answers key={check.id} check={check} />;
}

/** What must hold before a step, each with what brings it about. */
export function Gates({
  gates,
  onChooseCheck,
}: {
  readonly gates: readonly string[];
  readonly onChooseCheck: (check: string) => void;
}) {
  const { model, record } = useTicket();
  const words = m.bench.step;
  return (
    <StepList heading={words.gate}>
      {gates.map((gate, index) => {
        const [, kind, id = ''] = /^(check|action):([a-z0-9-]+)/.exec(gate) ?? [];
        return (
          <AnswerButton
            key={gate}
            digit={index + 1}
            text={
              kind === 'check' ? words.gateCheck(gateWords(model, gate)) : gateWords(model, gate)
            }
            onPress={() =>
              kind === 'check' ? onChooseCheck(id) : record('action-done', { action: id })
            }
          />
        );
      })}
    </StepList>
  );
}

/**
 * The machine must be together and plugged in before it can sew.
 * @param heading what it must be together for, where that is another thing than sewing
 */
export function CloseFirst({ heading }: { readonly heading?: string }) {
  const { ticket, record, mayWork } = useTicket();
  const words = m.bench.step;
  if (!mayWork) return <p>{words.noRights}</p>;
  return (
    <StepList heading={heading ?? words.closeFirst}>
      {ticket.open.size > 0 ? (
        <AnswerButton digit={1} text={words.closed} onPress={() => record('machine-closed', {})} />
      ) : (
        <AnswerButton
          digit={1}
          text={words.pluggedIn}
          onPress={() => record('action-done', { action: POWER_ON })}
        />
      )}
    </StepList>
  );
}

export function StepList({
  heading,
  caution,
  children,
}: {
  readonly heading: string;
  readonly caution?: string | undefined;
  readonly children: React.ReactNode;
}) {
  return (
    <div>
      <p className="mb-2 font-semibold">{heading}</p>
      {caution && <Caution text={`${caution}.`} />}
      <div className="mt-2 flex max-w-xl flex-col gap-2.5">{children}</div>
    </div>
  );
}

/** From so many findings on the answers are lower, so that all can be seen at once. */
const MANY_FINDINGS = 4;

/** Digit 1 is "nothing wrong"; then one digit a finding. */
export function Answers({
  check,
  onLogged,
}: Pick<CheckStepProps, 'check'> & {
  /** After the answers were accepted. */
  readonly onLogged?: () => void;
}) {
  const { record } = useTicket();
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const words = m.bench.step;
  const low = check.findings.length >= MANY_FINDINGS;
  const oneTap = check.oneOf === true || check.findings.length === 1;

  const log = (yes: ReadonlySet<string>) => {
    const answers = answersTo(check, yes);
    if (record('findings-recorded', { check: check.id, answers })) onLogged?.();
  };
  const toggle = (id: string) => {
    const next = new Set(seen);
    if (!next.delete(id)) next.add(id);
    setSeen(next);
  };
  useStepKeys({ ['Enter']: () => seen.size > 0 && log(seen) });

  return (
    <div className="flex max-w-xl flex-col gap-2">
      {!oneTap && <p className="text-sm text-quiet">{words.severalSeen}</p>}
      <AnswerButton digit={1} text={check.normal} onPress={() => log(new Set())} sound low={low} />
      {check.findings.map(({ id, answer }, index) => (
        <AnswerButton
          key={id}
          digit={index + 2}
          text={answer}
          low={low}
          pressed={oneTap ? undefined : seen.has(id)}
          onPress={() => (oneTap ? log(new Set([id])) : toggle(id))}
        />
      ))}
      {seen.size > 0 && (
        <Button look="main" className="min-h-12 text-lg" onClick={() => log(seen)}>
          {words.logSeen(seen.size)}
        </Button>
      )}
    </div>
  );
}
