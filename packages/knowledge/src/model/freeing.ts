import type { ActionId, CheckId, FindingId } from '../ids.ts';
import type { Hazard, Place } from '../schema/schema.ts';
import type { FamilyModel } from './familyModel.ts';

/** One step of freeing a nest or a jam. Common practice (handbook), no source. */
export interface FreeingStep {
  readonly id: string;
  readonly title: string;
  /** At the bench. */
  readonly how: string;
  /** To a customer; without it the step is not for the telephone. */
  readonly say?: string;
  readonly place: Place;
  readonly hazard?: Hazard;
  /** It decides: free, and what opens the machine is passed over. */
  readonly asksWhetherFree?: boolean;
  /** The parts that must be off for it, by the check that looks there. */
  readonly opensFor?: CheckId;
  /** The action that it is in the record. */
  readonly does?: ActionId;
  /** The check whose answers it ends with. */
  readonly settles?: CheckId;
}

const STEPS: readonly FreeingStep[] = [
  {
    id: 'off',
    title: 'Off and unplugged',
    how: 'Switch off and pull the plug before a hand goes near the needle.',
    say: 'Take the foot off the pedal, switch the machine off and pull the plug.',
    place: 'power',
    hazard: 'electric',
    does: 'power-off-confirmed',
  },
  {
    id: 'up',
    title: 'Take-up up, presser up',
    how: 'Hand wheel towards you, gently, until the take-up stands at its top; presser up. If the wheel will not go, leave it: force bends the needle bar or breaks the needle.',
    say: 'Turn the wheel towards you, gently, until the thread lever is at its top, and lift the presser foot. If the wheel will not go, do not force it.',
    place: 'hand-wheel',
    hazard: 'needle',
  },
  {
    id: 'pull',
    title: 'A gentle pull',
    how: 'Draw the fabric gently to the back, level with the plate. It comes, or it does not: no jerking.',
    say: 'Draw the fabric gently towards the back, level with the plate. No jerking. Does it come?',
    place: 'fabric',
    hazard: 'needle',
    asksWhetherFree: true,
  },
  {
    id: 'needle-out',
    title: 'Needle out, then the foot',
    how: 'Hold the needle, loosen the clamp, draw it out. Then the presser foot off. Small screws into the dish.',
    place: 'needle-clamp',
    hazard: 'needle',
  },
  {
    id: 'open',
    title: 'Get beneath it',
    how: 'Needle plate off, or case and hook out, as the manual of this machine says.',
    place: 'plate',
    opensFor: 'race-scraps',
  },
  {
    id: 'cut',
    title: 'Cut beneath the fabric',
    how: 'Small scissors or a seam ripper between fabric and hook, blade away from fingers and from the hook’s point. Thread by thread until the fabric lifts off.',
    place: 'hook',
    hazard: 'blade',
  },
  {
    id: 'clear',
    title: 'Every end out',
    how: 'Tweezers and a light round the race, under the case, behind the feed. Lay the ends out: they must make up what was cut.',
    place: 'hook',
    hazard: 'blade',
    settles: 'race-scraps',
  },
  {
    id: 'unthread',
    title: 'Unthread forwards',
    how: 'Cut at the spool, draw out at the needle: never backwards through the discs.',
    say: 'Cut the thread at the spool and draw it out at the needle, forwards. Take the bobbin out and pull its loose end away.',
    place: 'path',
  },
  {
    id: 'turn',
    title: 'Turn until it is free',
    how: 'Hand wheel towards you, a full turn and another. Free, without a catch.',
    say: 'Turn the wheel towards you, one full turn, gently. Does it go round freely?',
    place: 'hand-wheel',
    settles: 'wheel-feel',
  },
];

/** What a nest or a jam looks like to the customer. */
export const WANTS_FREEING: ReadonlySet<string> = new Set<FindingId>(['nest', 'jam', 'held']);

/** The walk for one machine, in order; over the telephone only what a customer may do. */
export function freeingSteps(model: FamilyModel, place: 'bench' | 'phone'): readonly FreeingStep[] {
  return STEPS.filter(
    ({ say, opensFor }) =>
      (place === 'bench' || say !== undefined) &&
      (opensFor === undefined || model.checks.has(opensFor)),
  );
}
