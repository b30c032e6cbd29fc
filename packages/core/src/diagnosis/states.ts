/**
 * What may be wrong with the machine now: whole states, each with its chance. A state says what *acts*:
 * which causes show something that was seen. Every other cause is there, quietly, with a chance of its
 * own that does not depend on the state, so that it need not be drawn.
 */
export interface States {
  /** Per state, its chance. They add up to 1. */
  readonly chances: Float64Array;
  /** By the index of a cause, the states in which it acts and is present; see {@link statesHaving}. */
  readonly statesWith: readonly Uint32Array[];
  /** By the index of a cause, the states in which it acted and is gone. */
  readonly statesGone: readonly Uint32Array[];
  /** By the index of a cause, the chance that it is present where it does not act; 0 beyond the end. */
  readonly quietChances: Float64Array;
  /** The reported symptoms. */
  readonly reported: readonly string[];
  /** By place of a reported symptom and by cause, the states in which that trigger is active. */
  readonly statesActive: readonly (readonly Uint32Array[])[];
  /** The different sets of causes that are to blame together, each ascending. */
  readonly blameSets: readonly (readonly number[])[];
  /** Per state, which of {@link blameSets} it has. */
  readonly blameOf: Uint32Array;
  /** The chance that one draw stands for; 0 when the states are all there are. */
  readonly grain: number;
  /**
   * Per state, which share of its draws is in the first half; undefined when the states are all there
   * are. What is chosen by one half is valued by the other: by the draws that chose it, it looks better
   * than it is.
   */
  readonly firstHalf: Float64Array | undefined;
}

/** An active trigger of a state: which cause, for which of the reported symptoms. */
export interface ActiveTrigger {
  readonly cause: number;
  readonly reported: number;
}

/** What acts in one state. */
export interface StateSource {
  readonly chance: number;
  /** Indexes of the causes that are present, of those that act. */
  readonly present: readonly number[];
  /** Those that acted and are gone. */
  readonly gone?: readonly number[];
  /** Active triggers for reported symptoms. */
  readonly active?: readonly ActiveTrigger[];
  /** Share of its draws in the first half. */
  readonly firstHalf?: number;
}

/** What all states have in common. */
export interface StatesFrame {
  /** Without reported symptoms every present cause counts as to blame. */
  readonly reported?: readonly string[];
  readonly quietChances?: readonly number[];
  /** The chance that one draw stands for; left out when the states are all there are. */
  readonly grain?: number;
}

export function statesOf(sources: readonly StateSource[], frame: StatesFrame = {}): States {
  const { reported = [], quietChances = [], grain = 0 } = frame;
  const statesWith: number[][] = [];
  const statesGone: number[][] = [];
  const statesActive: number[][][] = reported.map(() => []);
  const sets = new Map<string, number>();
  const blameSets: (readonly number[])[] = [];
  const blameOf = new Uint32Array(sources.length);
  sources.forEach(({ present, gone = [], active = [] }, state) => {
    for (const cause of present) addState(statesWith, cause, state);
    for (const cause of gone) addState(statesGone, cause, state);
    for (const trigger of active) {
      addState(statesActive[trigger.reported] ?? [], trigger.cause, state);
    }
    const toBlame = reported.length > 0 ? active.map(({ cause }) => cause) : present;
    const blamed = [...new Set(toBlame)].sort((a, b) => a - b);
    const key = blamed.join();
    const known = sets.get(key);
    blameOf[state] = known ?? blameSets.length;
    if (known !== undefined) return;
    sets.set(key, blameSets.length);
    blameSets.push(blamed);
  });
  // Plain arrays of numbers, read whole again and again: the inner loops of the planner.
  const packed = (lists: readonly (readonly number[] | undefined)[]): Uint32Array[] =>
    Array.from(lists, (states) => Uint32Array.from(states ?? []));
  return {
    chances: Float64Array.from(sources, ({ chance }) => chance),
    statesWith: packed(statesWith),
    statesGone: packed(statesGone),
    quietChances: Float64Array.from(quietChances),
    reported,
    statesActive: statesActive.map(packed),
    blameSets,
    blameOf,
    grain,
    firstHalf:
      grain > 0 ? Float64Array.from(sources, ({ firstHalf = 0.5 }) => firstHalf) : undefined,
  };
}

function addState(lists: number[][], cause: number, state: number): void {
  const list = lists[cause];
  if (list) list.push(state);
  else lists[cause] = [state];
}

const NONE = new Uint32Array();

/** The states in which a cause acts and is present. */
export function statesHaving({ statesWith }: States, cause: number): Uint32Array {
  return statesWith[cause] ?? NONE;
}

/** The states in which a cause acted and is gone. */
export function statesWithout({ statesGone }: States, cause: number): Uint32Array {
  return statesGone[cause] ?? NONE;
}

/** The states in which a cause has an active trigger for a reported symptom. */
export function statesActing(
  { statesActive }: States,
  reported: number,
  cause: number,
): Uint32Array {
  return statesActive[reported]?.[cause] ?? NONE;
}

/** Multiplies in place what stands at these states. */
export function multiplyAt(states: Uint32Array, factor: number, products: Float64Array): void {
  if (factor === 1) return;
  for (let at = 0; at < states.length; at += 1) {
    const state = states[at] as number;
    products[state] = (products[state] as number) * factor;
  }
}

/** Per set of {@link States.blameSets}, the mass of the states that have it. */
export function blameMasses(states: States, masses: Float64Array): Float64Array {
  const sums = new Float64Array(states.blameSets.length);
  addByBlame(states, masses, sums);
  return sums;
}

/** Adds the masses of states to their sets. */
export function addByBlame({ blameOf }: States, masses: Float64Array, sums: Float64Array): void {
  for (let state = 0; state < masses.length; state += 1) {
    const set = blameOf[state] as number;
    sums[set] = (sums[set] as number) + (masses[state] as number);
  }
}
