import { seeded } from '@nodo/core';

/**
 * Machines for the tension bench, each drawn from its seed. Frozen: the adviser is judged by them, so they do not change
 * with it, and share no formula with it. Upper pull is a power of the dial, balance an algebraic curve of the difference
 * of pulls; the dial has play. All values are ours.
 */
export interface BenchMachine {
  readonly kind: MachineKind;
  /** Where the dial was found. */
  readonly found: number;
  /** Sets dial and screw; from below where the hand comes up to the number. */
  set(dial: number, screw: number, fromBelow: boolean): void;
  /** Where the knot truly lies as it is set. */
  truth(): number;
  /** As somebody reads it off a sample. */
  read(): number;
}

/** What the first machines come to: a change of them is a change of the judge. */
const FROZEN = '5200.231993';
const PINNED = 200;

/** @throws Error where the machines are no longer those that were frozen */
export function assertFrozen(): void {
  let sum = 0;
  for (let seed = 1; seed <= PINNED; seed += 1) {
    const machine = benchMachine(seed);
    sum += machine.found;
    for (const dial of [1, 4, 7]) {
      machine.set(dial, 0, true);
      sum += machine.truth() * seed;
    }
  }
  if (sum.toFixed(6) !== FROZEN)
    throw new Error(`The machines of the bench changed: ${sum.toFixed(6)}`);
}

export type MachineKind = 'dial' | 'screw' | NotTension;
export type NotTension = 'discs-open' | 'discs-lint' | 'case-lint' | 'snags';

const NOT_TENSION: readonly NotTension[] = ['discs-open', 'discs-lint', 'case-lint', 'snags'];
const NOISE = 0.1;

export function benchMachine(seed: number): BenchMachine {
  const draw = seeded(seed * 7919 + 13);
  const between = (least: number, most: number) => least + draw() * (most - least);
  const normal = () => Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());
  const fate = draw();
  const kind: MachineKind =
    fate < 0.2
      ? (NOT_TENSION[Math.floor(draw() * NOT_TENSION.length)] as NotTension)
      : fate < 0.28
        ? 'screw'
        : 'dial';

  const [low, high, power] = [between(8, 16), between(120, 260), between(1, 1.8)];
  const pull = (dial: number) => low + (high - low) * (Math.max(0, dial + 0.5) / 9.5) ** power;
  const middle = Math.min(7.2, Math.max(1.8, 4.2 + 1.2 * normal()));
  const off = kind === 'screw' ? (draw() < 0.5 ? 0.5 : 1.9) : 1;
  const perMinute = between(0.02, 0.035);
  const sharp = between(0.8, 1.8);
  const play = between(0.1, 0.5);
  const stays = between(0.6, 0.98);
  const answers = between(0.05, 0.15);
  const wandersRound = kind === 'case-lint' ? between(-0.7, -0.1) : between(-0.3, 0.5);

  let [inner, turned] = [4.5, 0];
  const clip = (value: number) => Math.max(-1, Math.min(1, value));
  const curve = () => {
    const wanted = pull(middle) * off * Math.max(0.1, 1 + perMinute * turned);
    const excess = (sharp * (pull(inner) - wanted)) / wanted;
    return -excess / Math.sqrt(1 + excess * excess);
  };
  const truth = () => {
    if (kind === 'discs-open') return stays;
    if (kind === 'discs-lint') return clip(stays - answers * (inner / 9));
    if (kind === 'case-lint' || kind === 'snags') return clip(wandersRound + 0.2 * curve());
    return curve();
  };
  const set = (dial: number, screw: number, fromBelow: boolean) => {
    if (fromBelow) inner = Math.min(inner, dial - play / 2);
    inner = Math.min(dial + play / 2, Math.max(dial - play / 2, inner));
    turned = screw;
  };
  const wander = () => (kind === 'case-lint' || kind === 'snags' ? 0.4 * normal() : 0);

  // Somebody brought it because it does not balance.
  let found = 0;
  for (let tries = 0; tries < 200; tries += 1) {
    found = Math.round(2 * Math.min(9, Math.max(0, middle + 2.2 * normal()))) / 2;
    inner = found + (draw() - 0.5) * play;
    if (Math.abs(truth()) > 0.15) break;
  }
  return { kind, found, set, truth, read: () => clip(truth() + wander() + NOISE * normal()) };
}
