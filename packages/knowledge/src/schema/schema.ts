import type { HowOften } from '@nodo/core';
import type { MechanismProvenance } from './provenance.ts';

/** How surely a cause, when present, shows a finding by itself. */
export const STRENGTHS = {
  sure: 0.97,
  usual: 0.8,
  often: 0.55,
  some: 0.3,
  few: 0.12,
  rare: 0.04,
} as const;
export type StrengthWord = keyof typeof STRENGTHS;

export type Side = 'set-up' | 'material' | 'technique' | 'wear' | 'fault' | 'damage' | 'adjustment';
export type Hazard = 'needle' | 'unplug' | 'eyes' | 'blade' | 'electric' | 'light';
/** A ladder: what can be done on the phone can be done anywhere. */
export type Where = 'phone' | 'counter' | 'bench';
/** What the machine must be like while looking. */
export type Needs = 'looks' | 'threaded' | 'turns' | 'sews';
export type PlanPolicy = 'per-minute' | 'one-at-a-time' | 'full-sweep';

/** Where the hand goes; the drawings light up this place. */
export type Place =
  | 'talk'
  | 'spool'
  | 'thread-pair'
  | 'path'
  | 'check-spring'
  | 'discs'
  | 'dial'
  | 'needle-clamp'
  | 'needle'
  | 'bobbin'
  | 'case'
  | 'hook'
  | 'foot'
  | 'plate'
  | 'feed'
  | 'fabric'
  | 'winder'
  | 'hand-wheel'
  | 'selector'
  | 'power';

/** What the ids of a set of tables are; an id of the shipped tables is narrower, see `ids.ts`. */
export interface Ids {
  readonly cause: string;
  readonly check: string;
  readonly finding: string;
  readonly action: string;
}

export interface CauseSource<I extends Ids = Ids> {
  readonly id: I['cause'];
  readonly name: string;
  readonly remedy: string;
  /** Among a thousand tickets with a stitch complaint, on machines that can have it. */
  readonly perMille: number;
  readonly side: Side;
  readonly fixMinutes: number;
  /** The owner can put it right on the phone. */
  readonly byPhone: boolean;
  /** Trait a family must have; without one every family can have the cause. */
  readonly applies?: string;
  /** It shows little on a scrap (the work decides), or not at all in other hands. */
  readonly shownBy?: 'work' | 'hands';
  /** Finding ids by how surely the cause shows them. */
  readonly shows: Readonly<Partial<Record<StrengthWord, readonly I['finding'][]>>>;
}

/** What the tables say of a symptom; its `leak` is the chance that no cause of the tables shows it. */
export interface Symptom {
  /** Chance of a fault that no table names; the rest of the leak will not return. */
  readonly unknown: number;
  /** How often it shows, unless the customer says otherwise; `seam` when left out. */
  readonly often?: HowOften;
  /** It shows when something is tried (starts, runs, trims), not by the minute. */
  readonly counts?: 'tries';
  /** The machine cannot be sewn with it. */
  readonly stops?: true;
}

export interface FindingSource<I extends Ids = Ids> {
  readonly id: I['finding'];
  readonly answer: string;
  readonly leak: number;
  /** The finding *is* this cause: no other cause may link to it. */
  readonly defines?: I['cause'];
  readonly applies?: string;
  /** It is a symptom: what the machine does when it runs. */
  readonly symptom?: Symptom;
  /** Seen while sewing: this symptom under another name, or any of those that were reported. */
  readonly observes?: I['finding'] | 'reported';
}

/** Done before, or done and shown nothing, or done and shown something. */
type Condition<I extends Ids> = I['check'] | `${I['check']}=${'normal' | 'found'}`;

export interface CheckSource<I extends Ids = Ids> {
  readonly id: I['check'];
  readonly title: string;
  readonly minutes: number;
  readonly access: string;
  readonly accessFrontLoading?: string;
  /** States in which a part that it asks about is off; `open` when all must be on. */
  readonly notWhile?: readonly string[] | 'open';
  readonly notWhileFrontLoading?: readonly string[];
  readonly where: Where;
  readonly place: Place;
  readonly applies?: string;
  readonly tools?: readonly string[];
  readonly hazard?: Hazard;
  readonly how: string;
  /** The answer "none of its findings". */
  readonly normal: string;
  readonly needs: Needs;
  /** Checks to be done before: `check-id`, `check-id=normal`, or `check-id=found`. */
  readonly requires?: readonly Condition<I>[];
  /**
   * A trial: sewn again after changing one thing, which takes these causes away. Its one
   * finding is "the fault is gone"; no cause links to it, the chance is worked out from what
   * the customer reported.
   */
  readonly trialTreats?: readonly I['cause'][];
  /** Sewn as if these had been done: what they treat is not in play. */
  readonly sewnAsAfter?: readonly I['action'][];
  /** Place in the full sweep. */
  readonly sweep?: number;
  /** Its findings exclude each other: one answer settles the check. */
  readonly oneOf?: boolean;
  readonly findings: readonly FindingSource<I>[];
}

export interface ActionSource<I extends Ids = Ids> {
  readonly id: I['action'];
  /** As what was done: of buttons and the history. */
  readonly title: string;
  /** As what to do: over the step that asks for it. */
  readonly todo: string;
  readonly treats: readonly I['cause'][];
  readonly repair: boolean;
  readonly minutes: number;
  /** Never on suspicion: what it puts right must have been found first. */
  readonly afterFinding?: true;
  /** The state that it ends: the part is on again. */
  readonly putsBack?: string;
  /** The part that then is in the machine, as a line of the bill names it. */
  readonly fits?: string;
  /** What must be at hand for it: parts and supplies, in words. */
  readonly parts?: readonly string[];
  readonly hazard?: Hazard;
  /** Counts only with a reason in words. */
  readonly needsReason?: boolean;
}

/** One subject of the trade: its causes, the checks that look for them, what puts it right. */
export interface Mechanism<I extends Ids = Ids> {
  readonly id: string;
  readonly title: string;
  readonly standing: MechanismProvenance;
  readonly causes: readonly CauseSource<I>[];
  readonly checks: readonly CheckSource<I>[];
  readonly actions: readonly ActionSource<I>[];
}

export interface Family {
  readonly id: string;
  readonly title: string;
  readonly traits: readonly string[];
  readonly needleSystem: string;
  readonly flatOrScarfFaces: string;
  readonly threads: string;
  readonly bobbinLoading: string;
  readonly hook: string;
  readonly case: string;
  readonly takeUp: string;
  readonly notes: string;
}

export interface AccessSource {
  readonly id: string;
  readonly title: string;
  readonly applies?: string;
  readonly from?: string;
  readonly openMinutes: number;
  readonly closeMinutes: number;
  readonly means: string;
  readonly safety: string;
  /** Checks that look how the parts sit, before they come out. */
  readonly firstLooks?: readonly string[];
}

/** What raises a duty: a step, what it showed, or what it opened. */
export type Raiser<I extends Ids = Ids> =
  | `finding:${I['finding']}`
  | `check:${I['check']}`
  | `action:${I['action']}`
  | `cause:${I['cause']}`
  | `access:${string}`
  | `closed:${string}`
  | 'repair:*';

/** A step that a duty holds up: checks by what they need of the machine, or by name. */
export type HeldStep<I extends Ids = Ids> = 'sews:*' | 'turns:*' | `check:${I['check']}`;

type Requirement<I extends Ids> =
  | `check:${I['check']}`
  | `check:${I['check']}=normal`
  | `action:${I['action']}`
  | `finding:${I['finding']}`;

/**
 * Tokens are `kind:id`; a requirement may end in `=normal`. `raisedBy` also knows
 * `repair:*`, any repair.
 */
export interface DutySource<I extends Ids = Ids> {
  readonly id: string;
  readonly title: string;
  readonly raisedBy: readonly Raiser<I>[];
  /** Raised only while the ticket follows this plan. */
  readonly underPlan?: PlanPolicy;
  /** Not before it is cleared. */
  readonly before?: readonly HeldStep<I>[];
  /** Must hold before the raising step. */
  readonly gate?: readonly Requirement<I>[];
  readonly clearedAll?: readonly Requirement<I>[];
  /** Asked instead of `clearedAll` on these machines. */
  readonly clearedAllWhere?: readonly (
    | { readonly trait: string; readonly clearedAll: readonly Requirement<I>[] }
    | { readonly family: string; readonly clearedAll: readonly Requirement<I>[] }
  )[];
  readonly clearedAny?: readonly Requirement<I>[];
  readonly clearedByRaiser?: Readonly<Partial<Record<Raiser<I>, readonly Requirement<I>[]>>>;
  /** An action that was done before a finding raised it counts too, where the machine did not run since. */
  readonly doneBefore?: true;
  readonly text: string;
  readonly hazard?: Hazard;
  readonly why: string;
}

/** Everything the trade knows, as it is written down. */
export interface KnowledgeSource<I extends Ids = Ids> {
  readonly families: readonly Family[];
  readonly access: readonly AccessSource[];
  readonly mechanisms: readonly Mechanism<I>[];
  readonly duties: readonly DutySource<I>[];
  /** The comeback risk with which a machine is given back, where the shop says it; 0 to 1. */
  readonly riskLimit?: number;
}
