import { CoreError } from '../errors/coreError.ts';
import { type Evidence, type Observation, TREATMENT_SUCCESS } from './evidence.ts';
import { isSymptom, type Network, type Shows } from './network.ts';
import { observationOfReport, reportedSymptoms } from './symptoms.ts';

/** A thing to be explained, and the chance that an active trigger explains it. */
export interface BitChance {
  /** Its place among the things to explain; renumbered once, before anything is summed. */
  bit: number;
  readonly chance: number;
}

/**
 * What one cause may show: drawn once, it stays quiet with mass `quiet`, or is active with mass
 * `active` (what was not seen while it was active is in there), and then explains what was seen, each
 * bit with its chance.
 */
export interface Trigger {
  readonly quiet: number;
  readonly active: number;
  readonly bits: readonly BitChance[];
}

/** A trigger for a reported symptom: what is active of it is to blame. */
export interface BlamedTrigger extends Trigger {
  /** Place of the symptom among the reported ones. */
  readonly reported: number;
}

/** One way the story of a cause can have gone, with everything that this way explains. */
export interface Branch {
  readonly weight: number;
  /** The cause was there in the epochs before this one: 0 never, infinity to this day. */
  readonly presentBefore: number;
  /** Triggers that explain at least one thing. */
  readonly triggers: readonly Trigger[];
  /** Of a cause that is there to this day, its triggers for what was reported; they may explain nothing. */
  readonly blamed: readonly BlamedTrigger[];
}

/** A branch whose weight is still to be scaled. */
type OpenBranch = { -readonly [Part in keyof Branch]: Branch[Part] };

/** Evidence indexed for the passes of `posteriorEngine.ts`. */
export interface Prepared {
  /** Per bit, the chance that it is explained by nothing that is modelled. */
  readonly bitLeaks: readonly number[];
  /** Per cause, its branches. Weights of one cause are scaled to a greatest of 1. */
  readonly branches: readonly (readonly Branch[])[];
  /** The reported symptoms, by the place that {@link BlamedTrigger.reported} names. */
  readonly reported: readonly string[];
  /** Natural logarithm of what scaling and constant factors took out. */
  readonly logScale: number;
}

/** An ordinary finding as it was read. */
interface Look {
  readonly epoch: number;
  readonly present: boolean;
  readonly leak: number;
  /** Place among the shared positives; undefined for a negative or a single-parent positive. */
  readonly bit: number | undefined;
}

/** An observation of one symptom. */
interface Sight {
  readonly epoch: number;
  /** By cause index, the chance that its active trigger shows. */
  readonly chanceOf: (cause: number) => number;
  /** Place among the things to explain; undefined when nothing was seen. */
  readonly bit: number | undefined;
}

/** What the branches of every cause are made from. */
interface Seen {
  readonly looks: ReadonlyMap<number, readonly Look[]>;
  readonly sights: ReadonlyMap<number, readonly Sight[]>;
  readonly reportedAt: ReadonlyMap<number, number>;
}

/**
 * Splits the evidence into what needs the pass over sets (what was seen and several causes can
 * explain, one bit each) and what is a plain factor of one cause (what was not seen, and ordinary
 * findings with a single parent, which no other cause can explain away).
 * @throws CoreError `unknown-id` for a finding, symptom or cause that the network does not have.
 */
export function prepare(network: Network, evidence: Evidence): Prepared {
  const bitLeaks: number[] = [];
  let logScale = 0;
  const looks = new Map<number, Look[]>();
  const sights = new Map<number, Sight[]>();
  const reported = reportedSymptoms(network, evidence);

  const addSights = ({ symptoms, epoch, seen, leak, factors = {} }: Observation): void => {
    const factorOf = new Map(
      Object.entries(factors).map(([id, factor]) => [indexOfId(network.causeIndex, id), factor]),
    );
    if (!seen) logScale += Math.log1p(-leak);
    const bit = seen ? bitLeaks.push(leak) - 1 : undefined;
    for (const { symptom, visibility } of symptoms) {
      addTo(sights, indexOfId(network.findingIndex, symptom), {
        epoch,
        bit,
        chanceOf:
          factorOf.size === 0
            ? () => visibility
            : (cause) => visibility * (factorOf.get(cause) ?? 1),
      });
    }
  };

  for (const reading of evidence.readings) {
    const finding = indexOfId(network.findingIndex, reading.finding);
    const report = observationOfReport(network, reading, evidence.often?.[reading.finding]);
    if (report) {
      addSights(report);
      continue;
    }
    const leak = network.findings[finding]?.leak ?? 0;
    const parentCount = network.parents[finding]?.length ?? 0;
    let bit: number | undefined;
    if (!reading.present) logScale += Math.log1p(-leak);
    else if (parentCount === 0) logScale += Math.log(leak);
    else if (parentCount > 1) bit = bitLeaks.push(leak) - 1;
    addTo(looks, finding, { epoch: reading.epoch, present: reading.present, leak, bit });
  }
  for (const observation of evidence.observations ?? []) addSights(observation);

  const seen: Seen = {
    looks,
    sights,
    reportedAt: new Map(reported.map((id, at) => [indexOfId(network.findingIndex, id), at])),
  };
  const treatedIn = treatmentEpochs(network, evidence);
  const branches = network.causes.map((cause, index) => {
    const ways = causeBranches(network, index, cause.prior, treatedIn[index] ?? [], seen);
    const greatest = ways.reduce((most, { weight }) => Math.max(most, weight), 0);
    if (greatest <= 0) return ways;
    logScale += Math.log(greatest);
    for (const way of ways) way.weight /= greatest;
    return ways;
  });
  return { bitLeaks, branches, reported, logScale };
}

function indexOfId(index: ReadonlyMap<string, number>, id: string): number {
  const found = index.get(id);
  if (found === undefined) throw new CoreError('unknown-id', { id });
  return found;
}

function addTo<Item>(lists: Map<number, Item[]>, key: number, item: Item): void {
  const list = lists.get(key);
  if (list) list.push(item);
  else lists.set(key, [item]);
}

function treatmentEpochs(network: Network, { treatments }: Evidence): number[][] {
  const treatedIn: number[][] = network.causes.map(() => []);
  for (const treatment of treatments) {
    for (const id of treatment.causes) {
      treatedIn[indexOfId(network.causeIndex, id)]?.push(treatment.startsEpoch);
    }
  }
  for (const epochs of treatedIn) epochs.sort((a, b) => a - b);
  return treatedIn;
}

/**
 * Absent; present until one of its treatments took; present to this day. A treatment that
 * fails leaves the cause and its triggers as they were, so the ways are nested in time.
 */
function causeBranches(
  network: Network,
  cause: number,
  prior: number,
  treatedIn: readonly number[],
  seen: Seen,
): OpenBranch[] {
  const branch = (chance: number, presentBefore: number): OpenBranch =>
    branchOf(network, cause, chance, presentBefore, seen);
  const ways = [branch(1 - prior, 0)];
  let stillThere = prior;
  for (const epoch of treatedIn) {
    ways.push(branch(stillThere * TREATMENT_SUCCESS, epoch));
    stillThere *= 1 - TREATMENT_SUCCESS;
  }
  ways.push(branch(stillThere, Number.POSITIVE_INFINITY));
  return ways;
}

function branchOf(
  network: Network,
  cause: number,
  chance: number,
  presentBefore: number,
  seen: Seen,
): OpenBranch {
  let weight = chance;
  const triggers: Trigger[] = [];
  const blamed: BlamedTrigger[] = [];
  for (const shows of network.shows[cause] ?? []) {
    const { finding, strength } = shows;
    if (isSymptom(network, finding)) {
      const sights = seen.sights.get(finding);
      const reported = seen.reportedAt.get(finding);
      // A cause that never was there showed nothing, and what nobody watched for weighs nothing.
      if (presentBefore === 0 || (!sights && reported === undefined)) continue;
      const trigger = triggerOf(cause, shows, presentBefore, sights ?? []);
      if (reported !== undefined && presentBefore === Number.POSITIVE_INFINITY) {
        blamed.push({ ...trigger, reported });
      } else if (trigger.bits.length > 0) triggers.push(trigger);
      else weight *= trigger.quiet + trigger.active;
      continue;
    }
    const looks = seen.looks.get(finding);
    if (!looks) continue;
    for (const { epoch, present, leak, bit } of looks) {
      const isThere = epoch < presentBefore;
      if (!present) weight *= isThere ? 1 - strength : 1;
      else if (bit === undefined) weight *= isThere ? 1 - (1 - leak) * (1 - strength) : leak;
      else if (isThere) {
        triggers.push({ quiet: 1 - strength, active: strength, bits: [{ bit, chance: 1 }] });
      }
    }
  }
  return { weight, presentBefore, triggers, blamed };
}

/** One trigger with all that was seen and not seen of its symptom while the cause was there. */
function triggerOf(
  cause: number,
  { strength }: Shows,
  presentBefore: number,
  sights: readonly Sight[],
): Trigger {
  let active = strength;
  const bits: BitChance[] = [];
  for (const { epoch, chanceOf, bit } of sights) {
    if (epoch >= presentBefore) continue;
    const chance = chanceOf(cause);
    if (bit === undefined) active *= 1 - chance;
    else if (chance > 0) bits.push({ bit, chance });
  }
  return { quiet: 1 - strength, active, bits };
}
