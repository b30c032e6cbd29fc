import { type CheckProposal, openingChain } from '@nodo/core';
import { lowerFirst } from '@nodo/kernel';
import { checkMinutes, type FamilyCheck, isPartOff, isWorthIt } from '@nodo/knowledge';
import { gatesUnmet, POWER_OFF, POWER_ON } from '@nodo/ticket';
import { CheckBeside, CheckDrawing } from '../../drawing/CheckDrawing.tsx';
import { ThingGlyph } from '../../drawing/ToolGlyph.tsx';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { TextLink } from '../../ui/TextLink.tsx';
import { instrumentFor } from '../instrumentAddresses.ts';
import { ProvenanceMark } from '../ProvenanceMark.tsx';
import { useTicket } from '../TicketContext.tsx';
import { gateWords, hazardWords } from '../words.ts';
import { AnswerButton } from './AnswerButton.tsx';
import { AnsweredHere } from './AnsweredHere.tsx';
import { Answers } from './Answers.tsx';
import { Caution } from './Caution.tsx';
import { NotedHere } from './NotedHere.tsx';
import { Schools } from './Schools.tsx';
import { StepHead } from './StepHead.tsx';

interface CheckStepProps {
  readonly check: FamilyCheck;
  readonly heading: string;
  /** What the planner says of it; undefined for a check that a person chose. */
  readonly proposal: CheckProposal | undefined;
  readonly onChooseCheck: (check: string) => void;
  /** Where somebody answered it meanwhile: goes on with that answer. */
  readonly onGoOn: () => void;
}

/** One check: what to do, what must be opened for it, and its answers as big buttons. */
export function CheckStep(props: CheckStepProps) {
  const { ticket, model } = useTicket();
  const { check, heading, proposal } = props;
  const minutes = checkMinutes(model, ticket.open, check);
  const toOpen = openingChain(model.access, ticket.open, check.access);
  const instrument = instrumentFor(ticket.id, check.id);
  return (
    <>
      <StepHead
        heading={heading}
        title={check.title}
        facts={
          <>
            <span>
              <strong className="text-ink">{write.duration(minutes)}</strong>{' '}
              <ProvenanceMark standing="common-practice" />
            </span>
            {proposal && isWorthIt(proposal) && (
              <span className="text-sm">
                {later.bench.step.saves(write.duration(proposal.gain))}
              </span>
            )}
            {toOpen.length > 0 && (
              <span>
                {later.bench.step.opens(toOpen.map(({ title }) => lowerFirst(title)).join(', '))}
              </span>
            )}
            {check.tools && <span>{later.bench.step.tools(check.tools.join(', '))}</span>}
            <InstrumentLink to={instrument} />
          </>
        }
        how={check.how}
        picture={<CheckDrawing check={check} family={model.family} />}
        beside={<CheckBeside check={check} family={model.family} />}
      />
      <AnsweredHere check={check} onGoOn={props.onGoOn} />
      <NotedHere check={check.id} />
      {check.hazard && <Caution text={hazardWords(check.hazard, check.needs)} />}
      <div className="mt-3">
        <Preparation {...props} />
      </div>
      <Schools check={check.id} />
    </>
  );
}

/** The instrument that measures what the check asks. */
function InstrumentLink({ to }: { readonly to: string | undefined }) {
  if (to === undefined) return null;
  return (
    <TextLink to={to} className="gap-2 font-semibold text-ink">
      <ThingGlyph thing="caliper" />
      {later.instrument.open}
    </TextLink>
  );
}

/** What stands before the answers: a gate, unplugging, opening, closing; then the answers. */
function Preparation({ check, onChooseCheck }: CheckStepProps) {
  const { ticket, model, record, mayFind, mayWork } = useTicket();
  const words = later.bench.step;
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
  const words = later.bench.step;
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
  const words = later.bench.step;
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
      <div className="mt-2 flex flex-col gap-2">{children}</div>
    </div>
  );
}
