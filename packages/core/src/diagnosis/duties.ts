/**
 * What must be done before a step (a gate) or before closing (a debt), worked out from what
 * happened on the ticket in its order.
 */

/** One thing that happened. `at` orders them; what was logged together shares it. */
export type DutyFact =
  | {
      readonly kind: 'finding';
      readonly id: string;
      /** It was seen while the machine ran: what was looked at before may have changed. */
      readonly runs?: boolean;
      readonly at: number;
      readonly epoch: number;
    }
  | {
      readonly kind: 'check';
      readonly id: string;
      /** Complete, and none of its findings seen. */
      readonly normal: boolean;
      /** It ran the machine: what was seen before may have changed. */
      readonly runs?: boolean;
      readonly at: number;
      readonly epoch: number;
    }
  | {
      readonly kind: 'action';
      readonly id: string;
      readonly repair: boolean;
      readonly at: number;
      readonly epoch: number;
    }
  | {
      /** `closed`: what was off is on again. */
      readonly kind: 'access' | 'closed' | 'plan' | 'cause';
      readonly id: string;
      readonly at: number;
      readonly epoch: number;
    }
  | { readonly kind: 'waived'; readonly id: string; readonly at: number; readonly epoch: number };

export type Requirement =
  | { readonly kind: 'check'; readonly id: string; readonly normal: boolean }
  | { readonly kind: 'action'; readonly id: string }
  | { readonly kind: 'finding'; readonly id: string };

/** A duty as one machine knows it: only what this machine can have is asked. */
export interface DutyRule {
  readonly id: string;
  /** `finding:x`, `check:x`, `action:x`, `access:x`, `closed:x`, `plan:x`, `cause:x`, or `repair:*`. */
  readonly raisedBy: readonly string[];
  readonly clearedAll: readonly Requirement[];
  readonly clearedAny: readonly Requirement[];
  /** Asked only when this very token raised the duty. */
  readonly clearedByRaiser: Readonly<Record<string, readonly Requirement[]>>;
  /** An action that was done before a finding raised it counts too, where the machine did not run since. */
  readonly doneBefore?: boolean | undefined;
}

export interface DutyStatus {
  readonly duty: string;
  /** The token that raised it last. */
  readonly raisedBy: string;
  readonly raisedAt: number;
  readonly state: 'owed' | 'cleared' | 'waived';
  /** What is still missing: each of `all`, and one of `any` where there are some. */
  readonly missing: { readonly all: readonly Requirement[]; readonly any: readonly Requirement[] };
}

function tokensOf(fact: DutyFact): readonly string[] {
  const own = `${fact.kind}:${fact.id}`;
  return fact.kind === 'action' && fact.repair ? [own, 'repair:*'] : [own];
}

function meets(fact: DutyFact, requirement: Requirement): boolean {
  if (fact.kind !== requirement.kind || fact.id !== requirement.id) return false;
  return (
    fact.kind !== 'check' || requirement.kind !== 'check' || !requirement.normal || fact.normal
  );
}

/** From when on what was done before a duty was raised counts for it, by kind. */
type Earlier = Readonly<Partial<Record<DutyFact['kind'], number>>>;

/**
 * Those requirements that nothing from `since` on has met.
 * @param earlier facts of these kinds count too when they came after that.
 */
function unmetRequirements(
  requirements: readonly Requirement[],
  facts: readonly DutyFact[],
  since: number,
  earlier: Earlier = {},
): readonly Requirement[] {
  const counts = (fact: DutyFact): boolean =>
    fact.at >= since || fact.at > (earlier[fact.kind] ?? Number.POSITIVE_INFINITY);
  return requirements.filter(
    (requirement) => !facts.some((fact) => counts(fact) && meets(fact, requirement)),
  );
}

/**
 * After what the machine has stood as it did when a duty was raised: nothing was sewn, put right or put
 * together in between. Only what a finding raises can be cleared by a look made before it.
 */
function lastChangeBefore({ token, at, epoch }: Raising, facts: readonly DutyFact[]): number {
  if (!token.startsWith('finding:')) return at;
  const changes = facts.filter(
    (fact) =>
      fact.at <= at &&
      (fact.epoch !== epoch ||
        fact.kind === 'closed' ||
        (fact.kind === 'action' && fact.repair) ||
        hasRun(fact)),
  );
  return latest(changes);
}

/** When the machine last ran before a finding, or with it. */
function lastRunBefore({ token, at }: Raising, facts: readonly DutyFact[]): number {
  if (!token.startsWith('finding:')) return at;
  return latest(facts.filter((fact) => fact.at <= at && hasRun(fact)));
}

function hasRun(fact: DutyFact): boolean {
  return (fact.kind === 'check' || fact.kind === 'finding') && fact.runs === true;
}

function latest(facts: readonly DutyFact[]): number {
  return facts.reduce((last, { at }) => Math.max(last, at), Number.NEGATIVE_INFINITY);
}

/**
 * The state of every duty that was ever raised, in the order of the rules.
 *
 * A duty is raised by the first of its tokens. An action raises it again every time, since
 * only what comes after the last such action can prove it. A finding raises it again only
 * in a later epoch and once it is settled: one strike seen in three places is one strike.
 * What was logged together with the raising token counts for clearing; a look that was made before, in the
 * same state of the machine, counts too where a finding raised it.
 */
export function assessDuties(
  rules: readonly DutyRule[],
  facts: readonly DutyFact[],
): readonly DutyStatus[] {
  const inOrder = [...facts].sort((a, b) => a.at - b.at);
  return rules.flatMap((rule) => {
    const raising = lastRaising(rule, inOrder);
    return raising ? [settle(rule, raising, inOrder)] : [];
  });
}

interface Raising {
  readonly token: string;
  readonly at: number;
  readonly epoch: number;
  /** When each token last raised it: what is asked of one raiser alone counts from there. */
  readonly lastByToken: ReadonlyMap<string, number>;
}

function lastRaising(rule: DutyRule, facts: readonly DutyFact[]): Raising | undefined {
  const raisers = new Set(rule.raisedBy);
  const lastByToken = new Map<string, number>();
  let raising: Raising | undefined;
  for (const fact of facts) {
    const token = tokensOf(fact).find((candidate) => raisers.has(candidate));
    if (token === undefined) continue;
    const settledBefore = (earlier: Raising): boolean =>
      fact.epoch > earlier.epoch &&
      settle(
        rule,
        earlier,
        facts.filter(({ at }) => at < fact.at),
      ).state !== 'owed';
    if (raising === undefined || fact.kind === 'action' || settledBefore(raising)) {
      lastByToken.set(token, fact.at);
      raising = { token, at: fact.at, epoch: fact.epoch, lastByToken };
    }
  }
  return raising;
}

function settle(rule: DutyRule, raising: Raising, facts: readonly DutyFact[]): DutyStatus {
  const ofRaisers = [...raising.lastByToken].flatMap(([token, at]) =>
    unmetRequirements(rule.clearedByRaiser[token] ?? [], facts, at),
  );
  const earlier: Earlier = {
    check: lastChangeBefore(raising, facts),
    ...(rule.doneBefore ? { action: lastRunBefore(raising, facts) } : {}),
  };
  const all = [...unmetRequirements(rule.clearedAll, facts, raising.at, earlier), ...ofRaisers];
  const unmetAny = unmetRequirements(rule.clearedAny, facts, raising.at, earlier);
  const anyMet = rule.clearedAny.length === 0 || unmetAny.length < rule.clearedAny.length;
  const asksSomething =
    rule.clearedAll.length > 0 ||
    rule.clearedAny.length > 0 ||
    Object.keys(rule.clearedByRaiser).length > 0;
  const waived = facts.some(
    (fact) => fact.kind === 'waived' && fact.id === rule.id && fact.at >= raising.at,
  );
  const cleared = asksSomething && all.length === 0 && anyMet;
  return {
    duty: rule.id,
    raisedBy: raising.token,
    raisedAt: raising.at,
    state: cleared ? 'cleared' : waived ? 'waived' : 'owed',
    missing: { all, any: anyMet ? [] : rule.clearedAny },
  };
}
