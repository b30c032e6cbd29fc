import { CoreError } from '../errors/coreError.ts';
import { type Minutes, minutes } from '../units/minutes.ts';

/** A part taken off or a door opened, and what had to be opened before it. */
export interface AccessState {
  readonly id: string;
  /** The state it is reached from; undefined for the closed machine itself. */
  readonly from: string | undefined;
  readonly openMinutes: number;
  readonly closeMinutes: number;
}

/** What a step asks of the machine: where the hand must get to, and whether it must sew. */
export interface StepDemand {
  readonly minutes: number;
  readonly access: string;
  /** The machine must be closed: everything open is put back first. */
  readonly sews: boolean;
}

/**
 * The states still to be opened to get at `target`, outermost first.
 * @throws CoreFault `unknown-access` for a state this machine does not have.
 */
export function openingChain<State extends AccessState>(
  states: readonly State[],
  open: ReadonlySet<string>,
  target: string,
): readonly State[] {
  const chain: State[] = [];
  let at: string | undefined = target;
  while (at !== undefined) {
    const id: string = at;
    const state = states.find((candidate) => candidate.id === id);
    if (!state) throw new CoreError('unknown-access', { id });
    if (state.from !== undefined && !open.has(id)) chain.unshift(state);
    at = state.from;
  }
  return chain;
}

/**
 * Minutes that a step really costs on this machine: its own, the opening that is still to
 * do, and the closing that this newly makes necessary. A step that sews pays the closing of
 * whatever stands open.
 */
export function machineMinutes(
  states: readonly AccessState[],
  open: ReadonlySet<string>,
  step: StepDemand,
): Minutes {
  const opening = openingChain(states, open, step.access).reduce(
    (sum, state) => sum + state.openMinutes + state.closeMinutes,
    0,
  );
  const closing = step.sews
    ? states.reduce((sum, state) => (open.has(state.id) ? sum + state.closeMinutes : sum), 0)
    : 0;
  return minutes(step.minutes + opening + closing);
}
