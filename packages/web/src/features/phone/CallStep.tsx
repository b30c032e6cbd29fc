import { lowerFirst } from '@nodo/kernel';
import {
  COMPLAINT,
  type FamilyCheck,
  type FamilyModel,
  isUnpluggedFirst,
  PHONE_WORDS,
} from '@nodo/knowledge';
import type { PhoneStep } from '@nodo/ticket';
import { later } from '../../messages/later.ts';
import { AnswerButton } from '../../ticket/check/AnswerButton.tsx';
import { Answers } from '../../ticket/check/Answers.tsx';
import { Caution } from '../../ticket/check/Caution.tsx';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { hazardWords } from '../../ticket/words.ts';

interface CallStepProps {
  readonly step: Exclude<PhoneStep, { kind: 'end' }>;
  readonly mayTalk: boolean;
}

/** One thing to say, what to listen for, and the customer's answer as big buttons. */
export function CallStep({ step, mayTalk }: CallStepProps) {
  const { model, record } = useTicket();
  if (step.kind === 'advise') {
    const cause = model.causes.get(step.cause);
    if (!cause) return null;
    const look = model.decisive.get(step.cause);
    return (
      <Spoken
        heading={later.phone.advise}
        title={cause.name}
        say={later.phone.putRight(lowerFirst(cause.remedy))}
        listen={later.phone.putRightListen}
        hazard={look && isUnpluggedFirst(look) ? later.phone.plugOut : undefined}
      >
        {mayTalk && (
          <div className="flex flex-col gap-2">
            <AnswerButton
              digit={1}
              text={later.phone.did}
              onPress={() => record('customer-did', { cause: step.cause })}
            />
          </div>
        )}
      </Spoken>
    );
  }
  const check =
    step.kind === 'ask' ? model.checks.get(step.check) : askedAgain(model, step.complaints);
  if (!check) return null;
  const words = PHONE_WORDS[check.id];
  return (
    <Spoken
      heading={step.kind === 'ask' ? later.phone.ask : later.phone.askAgain}
      title={check.title}
      say={words?.say ?? check.how}
      listen={words?.listen}
      hazard={
        isUnpluggedFirst(check)
          ? later.phone.plugOut
          : check.hazard && hazardWords(check.hazard, check.needs)
      }
    >
      {mayTalk ? <Answers key={check.id} check={check} /> : <p>{later.bench.step.noRights}</p>}
    </Spoken>
  );
}

/** The customer's own complaint, asked once more after a change. */
function askedAgain(model: FamilyModel, complaints: readonly string[]): FamilyCheck | undefined {
  const complaint = model.checks.get(COMPLAINT);
  return (
    complaint && {
      ...complaint,
      title: later.phone.againTitle,
      how: later.phone.againSay,
      normal: later.phone.gone,
      findings: complaint.findings.filter(({ id }) => complaints.includes(id)),
    }
  );
}

function Spoken({
  heading,
  title,
  say,
  listen,
  hazard,
  children,
}: {
  readonly heading: string;
  readonly title: string;
  readonly say: string;
  readonly listen: string | undefined;
  readonly hazard?: string | undefined;
  readonly children: React.ReactNode;
}) {
  return (
    <div className="flex max-w-4xl flex-col gap-4 xl:flex-row xl:gap-6">
      <div className="min-w-0 flex-1">
        <p className="text-sm font-semibold text-quiet">{heading}</p>
        <h1 id="step-title" className="mt-0.5 text-lg font-semibold">
          {title}
        </h1>
        <blockquote className="mt-2 max-w-2xl border-l-4 border-own pl-4 text-2xl leading-snug text-pretty">
          {say}
        </blockquote>
        {hazard && <Caution text={hazard} />}
        <div className="mt-4">{children}</div>
      </div>
      {listen && (
        <aside className="xl:w-56 xl:shrink-0">
          <h2 className="text-sm font-semibold text-quiet">{later.phone.listen}</h2>
          <p className="mt-1 leading-snug">{listen}</p>
        </aside>
      )}
    </div>
  );
}
