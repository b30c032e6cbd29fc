import { openingChain } from '@nodo/core';
import { type FamilyModel, type FreeingStep, freeingSteps } from '@nodo/knowledge';
import type { Ticket } from '@nodo/ticket';
import { useState } from 'react';
import { PlaceBeside, PlaceDrawing } from '../../drawing/PlaceDrawing.tsx';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { useTicket } from '../TicketContext.tsx';
import type { RecordEntry } from '../useRecord.ts';
import { AnswerButton } from './AnswerButton.tsx';
import { Answers } from './Answers.tsx';
import { Caution } from './Caution.tsx';
import { StepHead } from './StepHead.tsx';

/** Step by step out of a nest or a jam, the caution at its step, each entry made on the way. */
export function FreeingWalk({
  place,
  onLeave,
  onStuck,
}: {
  readonly place: 'bench' | 'phone';
  readonly onLeave: () => void;
  /** Over the telephone: it stays as it is and comes in. */
  readonly onStuck?: () => void;
}) {
  const { ticket, model, record } = useTicket();
  const steps = freeingSteps(model, place);
  const [at, setAt] = useState(0);
  const step = steps[at];
  const words = later.freeing;
  if (!step) return null;

  /** What the step settles is asked as its own check asks it. */
  const asked = step.settles === undefined ? undefined : model.checks.get(step.settles);
  const go = (to: number) => (to < steps.length ? setAt(to) : onLeave());
  const done = () => enter(step, ticket, model, place, record) && go(at + 1);
  /** Past everything that opens the machine. */
  const free = () => {
    const after = steps.findIndex(({ id }) => id === 'unthread');
    go(after < 0 ? at + 1 : after);
  };
  const stuck = () => (onStuck ? onStuck() : go(at + 1));

  const drawn = { family: model.family, place: step.place, presserDown: false };
  return (
    <div>
      <StepHead
        key={step.id}
        heading={words.heading(at + 1, steps.length)}
        title={step.title}
        how={place === 'phone' ? undefined : step.how}
        picture={<PlaceDrawing {...drawn} />}
        beside={<PlaceBeside {...drawn} />}
      />
      {place === 'phone' && <p className="mt-2 border-l-4 border-own pl-4 text-2xl">{step.say}</p>}
      {step.hazard && <Caution text={later.bench.hazards[step.hazard]} />}
      <div className="mt-3 flex flex-col gap-2">
        {step.asksWhetherFree ? (
          <>
            <AnswerButton digit={1} text={words.free} onPress={free} sound />
            <AnswerButton
              digit={2}
              text={onStuck ? words.stuckOnPhone : words.stuck}
              onPress={stuck}
            />
          </>
        ) : asked ? (
          <Answers key={asked.id} check={asked} onLogged={() => go(at + 1)} />
        ) : (
          <AnswerButton digit={1} text={words.done} onPress={done} />
        )}
      </div>
      <p className="mt-3 text-sm text-quiet">{words.manual}</p>
      {place === 'phone' && (
        <Button look="quiet" className="mt-1" onClick={onLeave}>
          {words.leave}
        </Button>
      )}
    </div>
  );
}

/** Makes the entry that a step is in the record, if it is one and not made yet. */
function enter(
  { does, opensFor }: FreeingStep,
  ticket: Ticket,
  model: FamilyModel,
  place: 'bench' | 'phone',
  record: RecordEntry,
): boolean {
  if (does !== undefined && place === 'bench' && ticket.power === 'on') {
    return record('action-done', { action: does });
  }
  const access = opensFor === undefined ? undefined : model.checks.get(opensFor)?.access;
  if (access !== undefined && openingChain(model.access, ticket.open, access).length > 0) {
    return record('machine-opened', { state: access });
  }
  return true;
}
