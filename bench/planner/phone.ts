import { seeded } from '@nodo/core';
import { modelOf } from '@nodo/knowledge';
import { assess, NOTHING_DEFERRED, nextPhoneStep, planPhoneCall } from '@nodo/ticket';
import { DrawnMachine } from '../../packages/knowledge/test/drawnMachine.ts';
import { Story } from '../../packages/ticket/test/story.ts';
import { spreadOf } from '../../scripts/lib/spread.mjs';
import { type DrawnTicket, drawMachine, type Edition, generatorOf } from './truth.ts';

export interface PhoneJob {
  readonly family: string;
  readonly from: Edition;
  readonly way: 'phone';
  readonly machines: number;
}

export interface PhoneResult extends PhoneJob {
  /** Questions and advice until the call ends. */
  readonly medianQuestions: number;
  readonly p90Questions: number;
  /** Told that it is solved, and it is. */
  readonly cured: number;
  /** Told that it is solved, and it will show again. */
  readonly curedWrongly: number;
  /** Told to bring it in, or to stop. */
  readonly broughtIn: number;
}

const SEED = 20_252;
/** A customer sews so long after doing what was said. Ours, no source. */
const SEWN_AGAIN_MINUTES = 5;

/** Calls about machines of one family, answered by the truth. */
export function callsOf({ family, from, way, machines }: PhoneJob): PhoneResult {
  const generator = generatorOf(family, from);
  const draw = seeded(SEED);
  const calls = Array.from({ length: machines }, (_, at) =>
    call(family, drawMachine(generator, draw), at + 1),
  );
  const share = (isSo: (one: (typeof calls)[number]) => boolean): number =>
    Number((calls.filter(isSo).length / machines).toFixed(3));
  const questions = spreadOf(
    calls.map((one) => one.questions),
    1,
  );
  return {
    family,
    from,
    way,
    machines,
    medianQuestions: questions(0.5),
    p90Questions: questions(0.9),
    cured: share(({ isSolved, isCured }) => isSolved && isCured),
    curedWrongly: share(({ isSolved, isCured }) => isSolved && !isCured),
    broughtIn: share(({ isSolved }) => !isSolved),
  };
}

function call(family: string, { truth, told }: DrawnTicket, seed: number) {
  const model = modelOf(family);
  if (!model) throw new Error(`no such family: ${family}`);
  const machine = new DrawnMachine(model, truth, told, seeded(seed));
  const yes = [...told].flatMap(([id, present]) => (present ? [id] : []));
  const inCheck = (check: string) => yes.filter((id) => model.findings.get(id)?.check === check);
  const story = new Story(family, inCheck('complaint'), 'call').sees('context', inCheck('context'));
  for (let questions = 0; ; questions += 1) {
    const assessment = assess(story.ticket, model);
    const step = nextPhoneStep(
      story.ticket,
      model,
      assessment,
      planPhoneCall(story.ticket, model, assessment),
      NOTHING_DEFERRED,
    );
    switch (step.kind) {
      case 'end':
        return { questions, isSolved: step.outcome === 'solved', isCured: machine.isCured() };
      case 'advise':
        story.must('customer-did', { cause: step.cause });
        machine.treat([step.cause]);
        break;
      case 'ask-again': {
        const shows = (id: string) => machine.showsAfter(id, SEWN_AGAIN_MINUTES) !== undefined;
        const answers = step.complaints.map((id) => [id, shows(id) ? 'yes' : 'no'] as const);
        story.must('findings-recorded', {
          check: 'complaint',
          answers: Object.fromEntries(answers),
        });
        break;
      }
      case 'ask':
        story.sees(
          step.check,
          [...machine.look(step.check)].flatMap(([id, present]) => (present ? [id] : [])),
        );
    }
  }
}
