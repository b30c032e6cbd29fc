import type { ActionId, CheckId } from '../ids.ts';

/** A question on which practitioners disagree, at the steps where it comes up. */
export interface Disagreement {
  readonly id: string;
  readonly question: string;
  /** What each of the main schools holds. */
  readonly schools: readonly string[];
  /** What the tables go by, and why. */
  readonly here: string;
  readonly checks: readonly CheckId[];
  readonly actions: readonly ActionId[];
}

/** Common practice on every side: no source decides between them. */
export const DISAGREEMENTS: readonly Disagreement[] = [
  {
    id: 'dial-ends',
    question: 'May the dial stand near its ends?',
    schools: [
      'The outer third of the dial is never right: something else is wrong.',
      'Any number is right if the seam balances; unlike threads can end near 8.',
    ],
    here: 'A dial at 2 and below or at 7 and above is a sign to look elsewhere first, unless the threads differ.',
    checks: ['dial-setting', 'dial-sweep', 'mid-dial-sew'],
    actions: ['dial-set'],
  },
  {
    id: 'thread-breaks-first',
    question: 'The thread breaks: what first?',
    schools: [
      'The needle and the path, not the tension: a new needle costs a minute.',
      'The dial: less tension, and see whether it still breaks.',
    ],
    here: 'Needle and path first: a lowered dial hides a worn needle and leaves loops underneath.',
    checks: ['dial-setting', 'needle-loupe', 'path-look'],
    actions: ['dial-set', 'needle-replaced'],
  },
  {
    id: 'oil-on-plastic',
    question: 'Oil on the race of a plastic case?',
    schools: ['One or two drops, then sew scrap.', 'Never: the manual forbids it.'],
    here: 'The machine’s manual decides; what it says is kept on the machine’s card.',
    checks: ['race-oil'],
    actions: ['oiled'],
  },
  {
    id: 'blowing-lint',
    question: 'May lint be blown out?',
    schools: [
      'Never: breath is moist, and air drives lint deeper.',
      'A dry electric blower, on an opened industrial head.',
    ],
    here: 'Brush, tweezers and vacuum; a blower only on an opened head, with eye protection. No spray can.',
    checks: ['hook-lint', 'feed-lint', 'race-scraps'],
    actions: ['hook-cleaned', 'feed-cleaned'],
  },
  {
    id: 'drop-in-screw',
    question: 'May the screw of a drop-in case be turned at the bench?',
    schools: [
      'No: the case is not set at the bench, it is replaced or sent to service.',
      'Yes: a screw like any other, in small logged steps.',
    ],
    here: 'As the machine’s manual says. Where it allows it: five clock minutes a step, a quarter turn at most, always logged, on a spare case if there is one.',
    checks: ['case-gauge', 'case-pull'],
    actions: ['case-screw-turned'],
  },
];

/** What practitioners hold differently at this step. */
export function disagreementsAt(step: {
  readonly check?: string;
  readonly action?: string;
}): readonly Disagreement[] {
  const has = (ids: readonly string[], id: string | undefined): boolean =>
    id !== undefined && ids.includes(id);
  return DISAGREEMENTS.filter(
    ({ checks, actions }) => has(checks, step.check) || has(actions, step.action),
  );
}
