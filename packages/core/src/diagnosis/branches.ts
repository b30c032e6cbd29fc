import { CoreError } from '../errors/coreError.ts';
import { type Evidence, type Observation, TREATMENT_SUCCESS } from './evidence.ts';
import type { Network, Parent } from './network.ts';
import { rareBitsLast } from './order.ts';
import { observationOfReport, reportedSymptoms } from './symptoms.ts';

/** A thing to be explained, and the chance that an active trigger explains it. */
export interface BitChance {
  /** Its place among the things to explain. */
  readonly bit: number;
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

/** A branch that evidence is still to be written into. */
interface OpenBranch {
  weight: number;
  readonly presentBefore: number;
  readonly triggers: Trigger[];
  readonly blamed: BlamedTrigger[];
}

/** Evidence indexed for the passes of `posteriorEngine.ts`. */
export interface Prepared {
  /** Per bit, the chance that it is explained by nothing that is modelled. */
  readonly bitLeaks: readonly number[];
  /** Per cause, its branches. Weights of one cause are scaled to a greatest of 1. */
  readonly branches: readonly (readonly Branch[])[];
  /** Per cause, how many bits must exist before it can be taken: 0 when it explains nothing shared. */
  readonly bitsNeeded: readonly number[];
  /** The reported symptoms, by the place that {@link BlamedTrigger.reported} names. */
  readonly reported: readonly string[];
  /** Natural logarithm of what scaling and constant factors took out. */
  readonly logScale: number;
}

/** An ordinary finding as it was read. */
interface Look {
  readonly finding: number;
  readonly epoch: number;
  readonly present: boolean;
  readonly leak: number;
  /** Place among the shared positives; undefined for a negative or a single-parent positive. */
  readonly bit: number | undefined;
}

/** An observation of one symptom. */
interface Sight {
  readonly epoch: number;
  /** Chance that an active trigger shows, where no factor of the cause says otherwise. */
  readonly visibility: number;
  /** By cause index, what that is multiplied with. */
  readonly factors: ReadonlyMap<number, number>;
  /** Place among the things to explain; undefined when nothing was seen. */
  readonly bit: number | undefined;
}

/** The evidence, bits numbered as they came. */
interface Read {
  readonly bitLeaks: readonly number[];
  readonly looks: readonly Look[];
  /** By the index of a symptom. */
  readonly sights: ReadonlyMap<number, readonly Sight[]>;
  readonly logScale: number;
}

/**
 * Splits the evidence into what needs the pass over sets (what was seen and several causes can
 * explain, one bit each) and what is a plain factor of one cause (what was not seen, and ordinary
 * findings with a single parent, which no other cause can explain away).
 * @throws CoreError `unknown-id` for a finding, symptom or cause that the network does not have.
 */
export function prepare(network: Network, evidence: Evidence): Prepared {
  const read = readEvidence(network, evidence);
  const reported = reportedSymptoms(network, evidence);
  const { position, needed } = rareBitsLast(read.bitLeaks.length, causesOfBits(network, read));
  const bitLeaks: number[] = [];
  read.bitLeaks.forEach((leak, bit) => {
    bitLeaks[position[bit] as number] = leak;
  });
  const treatedIn = treatmentEpochs(network, evidence);
  const branches = network.causes.map(({ prior }, cause) => waysOf(prior, treatedIn.get(cause)));
  for (const look of read.looks) writeLook(network, look, position, branches);
  const reportedAt = new Map(reported.map((id, at) => [network.findingIndex.get(id), at]));
  for (const [symptom, sights] of read.sights) {
    const parents = network.parents[symptom] ?? [];
    writeSights(parents, sights, reportedAt.get(symptom), position, branches);
  }
  return {
    bitLeaks,
    branches,
    bitsNeeded: network.causes.map((_, cause) => needed[cause] ?? 0),
    reported,
    logScale: read.logScale + scaleWays(branches),
  };
}

function readEvidence(network: Network, evidence: Evidence): Read {
  const bitLeaks: number[] = [];
  let logScale = 0;
  const looks: Look[] = [];
  const sights = new Map<number, Sight[]>();

  const addSights = (observation: Observation): void => {
    const { symptoms, epoch, seen, leak, factors = {} } = observation;
    const byCause = new Map(
      Object.entries(factors).map(([id, factor]) => [indexOfId(network.causeIndex, id), factor]),
    );
    if (!seen) logScale += Math.log1p(-leak);
    const bit = seen ? bitLeaks.push(leak) - 1 : undefined;
    for (const { symptom, visibility } of symptoms) {
      const index = indexOfId(network.findingIndex, symptom);
      const sight: Sight = { epoch, visibility, factors: byCause, bit };
      const known = sights.get(index);
      if (known) known.push(sight);
      else sights.set(index, [sight]);
    }
  };

  for (const reading of evidence.readings) {
    const { epoch, present } = reading;
    const finding = indexOfId(network.findingIndex, reading.finding);
    const report = observationOfReport(network, reading, evidence.often?.[reading.finding]);
    if (report) {
      addSights(report);
      continue;
    }
    const leak = network.findings[finding]?.leak ?? 0;
    const parentCount = network.parents[finding]?.length ?? 0;
    let bit: number | undefined;
    if (!present) logScale += Math.log1p(-leak);
    else if (parentCount === 0) logScale += Math.log(leak);
    else if (parentCount > 1) bit = bitLeaks.push(leak) - 1;
    looks.push({ finding, epoch, present, leak, bit });
  }
  for (const observation of evidence.observations ?? []) addSights(observation);
  return { bitLeaks, looks, sights, logScale };
}

function indexOfId(index: ReadonlyMap<string, number>, id: string): number {
  const found = index.get(id);
  if (found === undefined) throw new CoreError('unknown-id', { id });
  return found;
}

/** Per bit, the indexes of the causes that can explain it. */
function causesOfBits(network: Network, { looks, sights }: Read): readonly (readonly number[])[] {
  const causes: number[][] = [];
  for (const { finding, bit } of looks) {
    if (bit !== undefined) causes[bit] = (network.parents[finding] ?? []).map(({ cause }) => cause);
  }
  for (const [symptom, own] of sights) {
    for (const sight of own) {
      if (sight.bit === undefined) continue;
      const known = causes[sight.bit] ?? [];
      causes[sight.bit] = known;
      for (const { cause } of network.parents[symptom] ?? []) {
        if (shownBy(sight, cause) > 0) known.push(cause);
      }
    }
  }
  return causes;
}

/** Chance that an active trigger of this cause shows. */
function shownBy({ visibility, factors }: Sight, cause: number): number {
  return factors.size === 0 ? visibility : visibility * (factors.get(cause) ?? 1);
}

/** By the index of a cause, the epochs that its treatments start, ascending. */
function treatmentEpochs(
  network: Network,
  { treatments }: Evidence,
): ReadonlyMap<number, readonly number[]> {
  const treatedIn = new Map<number, number[]>();
  for (const { causes, startsEpoch } of treatments) {
    for (const id of causes) {
      const cause = indexOfId(network.causeIndex, id);
      treatedIn.set(
        cause,
        [...(treatedIn.get(cause) ?? []), startsEpoch].sort((a, b) => a - b),
      );
    }
  }
  return treatedIn;
}

/**
 * Absent; present until one of its treatments took; present to this day. A treatment that
 * fails leaves the cause and its triggers as they were, so the ways are nested in time.
 */
function waysOf(prior: number, treatedIn: readonly number[] = []): OpenBranch[] {
  const way = (weight: number, presentBefore: number): OpenBranch => ({
    weight,
    presentBefore,
    triggers: [],
    blamed: [],
  });
  const ways = [way(1 - prior, 0)];
  let stillThere = prior;
  for (const epoch of treatedIn) {
    ways.push(way(stillThere * TREATMENT_SUCCESS, epoch));
    stillThere *= 1 - TREATMENT_SUCCESS;
  }
  ways.push(way(stillThere, Number.POSITIVE_INFINITY));
  return ways;
}

/** Writes an ordinary finding into the branches of its parents. */
function writeLook(
  network: Network,
  { finding, epoch, present, leak, bit }: Look,
  position: readonly number[],
  branches: readonly (readonly OpenBranch[])[],
): void {
  const bits = bit === undefined ? undefined : [{ bit: position[bit] as number, chance: 1 }];
  for (const { cause, strength } of network.parents[finding] ?? []) {
    const trigger = bits && { quiet: 1 - strength, active: strength, bits };
    for (const way of branches[cause] ?? []) {
      const isThere = epoch < way.presentBefore;
      if (!present) way.weight *= isThere ? 1 - strength : 1;
      else if (!trigger) way.weight *= isThere ? 1 - (1 - leak) * (1 - strength) : leak;
      else if (isThere) way.triggers.push(trigger);
    }
  }
}

/**
 * Writes all that was seen and not seen of one symptom into the branches of its parents. A cause that
 * never was there showed nothing.
 */
function writeSights(
  parents: readonly Parent[],
  sights: readonly Sight[],
  reported: number | undefined,
  position: readonly number[],
  branches: readonly (readonly OpenBranch[])[],
): void {
  const areAlike = sights.every(({ factors }) => factors.size === 0);
  const known = new Map<number, Shown>();
  for (const { cause, strength } of parents) {
    for (const way of branches[cause] ?? []) {
      const { presentBefore } = way;
      if (presentBefore === 0) continue;
      let shown = areAlike ? known.get(presentBefore) : undefined;
      if (!shown) {
        shown = shownWhileThere(sights, cause, presentBefore, position);
        known.set(presentBefore, shown);
      }
      const { bits } = shown;
      const quiet = 1 - strength;
      const active = strength * shown.silent;
      if (reported !== undefined && presentBefore === Number.POSITIVE_INFINITY) {
        way.blamed.push({ quiet, active, bits, reported });
      } else if (bits.length > 0) way.triggers.push({ quiet, active, bits });
      else way.weight *= quiet + active;
    }
  }
}

/** What an active trigger did while its cause was there. */
interface Shown {
  /** Chance of all the silence. */
  readonly silent: number;
  readonly bits: readonly BitChance[];
}

function shownWhileThere(
  sights: readonly Sight[],
  cause: number,
  presentBefore: number,
  position: readonly number[],
): Shown {
  let silent = 1;
  const bits: BitChance[] = [];
  for (const sight of sights) {
    if (sight.epoch >= presentBefore) continue;
    const chance = shownBy(sight, cause);
    if (sight.bit === undefined) silent *= 1 - chance;
    else if (chance > 0) bits.push({ bit: position[sight.bit] as number, chance });
  }
  return { silent, bits };
}

/** Scales the weights of each cause to a greatest of 1. @returns the logarithm of what that takes out. */
function scaleWays(branches: readonly (readonly OpenBranch[])[]): number {
  let log = 0;
  for (const ways of branches) {
    let greatest = 0;
    for (const { weight } of ways) if (weight > greatest) greatest = weight;
    if (greatest <= 0 || greatest === 1) continue;
    log += Math.log(greatest);
    for (const way of ways) way.weight /= greatest;
  }
  return log;
}
