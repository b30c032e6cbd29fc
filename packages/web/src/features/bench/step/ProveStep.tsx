import type { HowOften } from '@nodo/core';
import { lowerFirst } from '@nodo/kernel';
import { SEWN_AS_FOUND } from '@nodo/knowledge';
import { HOW_OFTEN } from '@nodo/ticket';
import { Timer } from 'lucide-react';
import { useEffect, useState } from 'react';
import { ThingGlyph } from '../../../drawing/ToolGlyph.tsx';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { readNumber } from '../../../messages/typed.ts';
import { AnswerButton } from '../../../ticket/check/AnswerButton.tsx';
import { Caution } from '../../../ticket/check/Caution.tsx';
import { CloseFirst } from '../../../ticket/check/CheckStep.tsx';
import { StepHead } from '../../../ticket/check/StepHead.tsx';
import { instrumentFor } from '../../../ticket/instrumentAddresses.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { symptomName } from '../../../ticket/words.ts';
import { Button } from '../../../ui/Button.tsx';
import { CheckBox } from '../../../ui/CheckBox.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Select } from '../../../ui/Select.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import type { TicketPlan } from '../../../workers/planner.worker.ts';

interface ProveStepProps {
  readonly symptoms: readonly string[];
  readonly minutes: number;
  readonly plan: TicketPlan | undefined;
  readonly onSettle: (symptom: string) => void;
}

/** Sew it as it failed, long enough, and say what showed. */
export function ProveStep({ symptoms, minutes, plan, onSettle }: ProveStepProps) {
  const { ticket, model, mayFind } = useTicket();
  const words = later.bench.step.prove;
  const length = write.minutes(minutes);
  const risk = plan?.proof?.risk;
  const list = symptoms.map((symptom) => lowerFirst(symptomName(model, symptom))).join('; ');
  const isTogether = ticket.open.size === 0 && ticket.power === 'on';
  return (
    <div>
      <StepHead
        heading={words.heading}
        title={words.title(length)}
        how={words.watch(list)}
        more={
          risk !== undefined && (
            <p className="mt-1 leading-snug text-quiet">
              {risk <= model.riskLimit
                ? words.enough(length, write.percent(risk))
                : words.notEnough(length, write.percent(risk))}
            </p>
          )
        }
      />
      <Caution text={later.bench.sewingHazard} />
      <div className="mt-3">
        {!mayFind && <p>{later.bench.step.noRights}</p>}
        {mayFind && !isTogether && <CloseFirst />}
        {mayFind && isTogether && <Sewn symptoms={symptoms} minutes={minutes} />}
      </div>
      {symptoms.map((symptom) => (
        <Button key={symptom} look="quiet" className="mt-2" onClick={() => onSettle(symptom)}>
          {words.settle}
          {symptoms.length > 1 && `: ${lowerFirst(symptomName(model, symptom))}`}
        </Button>
      ))}
    </div>
  );
}

/** The timer, how it was sewn, and what showed. */
function Sewn({ symptoms, minutes }: Pick<ProveStepProps, 'symptoms' | 'minutes'>) {
  const { ticket, model, record } = useTicket();
  const words = later.bench.step.prove;
  const timer = useSewingTimer();
  const [typed, setTyped] = useState<string>();
  const [onTheWork, setOnTheWork] = useState(true);
  // What was timed stands above what is proposed, what was typed above both.
  const counted = timer.seconds > 0 ? Math.round(timer.seconds / 6) / 10 : minutes;
  const sewnMinutes = typed === undefined ? counted : readNumber(typed);
  const isSewn = sewnMinutes !== undefined && sewnMinutes > 0;

  const log = (answers: Readonly<Record<string, 'yes' | 'no'>>) => {
    if (!isSewn) return;
    record('findings-recorded', { check: SEWN_AS_FOUND, answers, sewnMinutes, onTheWork });
  };
  const nothing = Object.fromEntries(
    (model.checks.get(SEWN_AS_FOUND)?.findings ?? []).map(({ id }) => [id, 'no'] as const),
  );
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <Button onClick={timer.isRunning ? timer.stop : timer.start}>
          <Timer aria-hidden size={20} /> {timer.isRunning ? words.stop : words.start}
        </Button>
        <output className="pb-2 text-2xl tabular-nums" aria-live="off">
          {clockOf(timer.seconds)}
        </output>
        <NumberField
          className="w-36"
          label={words.sewn}
          value={typed ?? write.minutes(counted)}
          onText={setTyped}
        />
      </div>
      <TextLink to={instrumentFor(ticket.id, SEWN_AS_FOUND) ?? ''} className="mt-2 gap-2">
        <ThingGlyph thing="caliper" />
        {words.byPicture}
      </TextLink>
      <CheckBox className="mt-2" checked={onTheWork} onCheck={setOnTheWork}>
        {words.onTheWork}
      </CheckBox>
      {!onTheWork && <p className="text-sm text-quiet">{words.onAScrap}</p>}
      <div className="mt-2 flex flex-col gap-2">
        <AnswerButton
          digit={1}
          sound
          text={words.silent(isSewn ? write.minutes(sewnMinutes) : '?')}
          onPress={() => log(nothing)}
        />
        {symptoms.map((symptom, index) => (
          <AnswerButton
            key={symptom}
            digit={index + 2}
            text={words.shown(lowerFirst(symptomName(model, symptom)))}
            onPress={() => log({ [symptom]: 'yes' })}
          />
        ))}
      </div>
      <div className="mt-3 grid max-w-xl gap-3 sm:grid-cols-2">
        {symptoms.map((symptom) => (
          <Select<HowOften | ''>
            key={symptom}
            label={words.howOften(lowerFirst(symptomName(model, symptom)))}
            value={ticket.often[symptom] ?? ''}
            options={[
              ['', words.notSaid],
              ...HOW_OFTEN.map((often) => [often, later.bench.often[often]] as const),
            ]}
            onChoose={(often) => often !== '' && record('how-often-told', { symptom, often })}
          />
        ))}
      </div>
    </>
  );
}

/** Counts the seconds that the machine sews, over any number of starts. */
function useSewingTimer() {
  const [seconds, setSeconds] = useState(0);
  const [isRunning, setIsRunning] = useState(false);
  useEffect(() => {
    if (!isRunning) return;
    let before = performance.now();
    const tick = setInterval(() => {
      const now = performance.now();
      const passed = (now - before) / 1000;
      before = now;
      setSeconds((sum) => sum + passed);
    }, 250);
    return () => clearInterval(tick);
  }, [isRunning]);
  return { seconds, isRunning, start: () => setIsRunning(true), stop: () => setIsRunning(false) };
}

function clockOf(seconds: number): string {
  const whole = Math.floor(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
