import { CoreError } from '../errors/coreError.ts';
import { EVEN_RATIO, type Knot, knotOf } from '../forming/balance.ts';
import type { Point } from '../linkage/aroundDisc.ts';
import { capstan } from '../thread/capstan.ts';
import { positive } from '../units/quantities.ts';

/** What the top thread is drawn past, in its order from the spool on. */
export type PathStage =
  /** Bent through an angle, in radians. */
  | { readonly kind: 'guide'; readonly wrap: number }
  /** Pressed between two discs, in gram-force. */
  | { readonly kind: 'discs'; readonly press: number }
  /** Held by a spring that gives until the thread pulls more than this, in gram-force, and bent round it. */
  | { readonly kind: 'check-spring'; readonly force: number; readonly wrap: number };

/** What decides the pull of the top thread. */
export interface UpperPull {
  /** With which it comes off its spool, in gram-force. */
  readonly drag: number;
  readonly stages: readonly PathStage[];
  /** Between thread and what it is drawn past, by hand. */
  readonly friction: number;
  /** Stitches a minute; by hand nothing. */
  readonly speed: number;
}

/** Pull of a disc's spring by the number: as an exponential of the dial, from memory, typical. */
const PRESS = { atNothing: 20, perNumber: 1.33 } as const;
/** Friction of a thread on metal: from memory, typical. */
export const THREAD_FRICTION = 0.2;
/** With its speed friction grows, by the logarithm: from memory, typical of textile yarns. */
const SPEED = { share: 0.08, of: 100 } as const;
/** Spool drag and check spring, in gram-force: from memory, typical. */
export const USUAL_DRAG = 4;
export const USUAL_CHECK_SPRING = { force: 8, wrap: 2.4 } as const;

export function discPress(dial: number): number {
  return PRESS.atNothing * PRESS.perNumber ** dial;
}

/** Friction at a speed, from that by hand. */
export function frictionAt(friction: number, speed: number): number {
  return friction * (1 + SPEED.share * Math.log1p(speed / SPEED.of));
}

/**
 * The pull after each stage, in gram-force: bends multiply it (capstan), discs add what they hold on both faces
 * (2 mu N), and the check spring lets it be no less than its own.
 * Source: Euler and Eytelwein; Coulomb. Derived.
 * @throws CoreFault `not-above-nothing` for a drag; `not-a-path` for a stage that cannot be
 */
export function pullAlong({ drag, stages, friction, speed }: UpperPull): readonly number[] {
  positive('drag', drag);
  if (!(friction >= 0 && speed >= 0)) throw new CoreError('not-a-path', { friction, speed });
  const mu = frictionAt(friction, speed);
  let pull = drag;
  return stages.map((stage) => {
    pull = after(pull, stage, mu);
    return pull;
  });
}

function after(pull: number, stage: PathStage, mu: number): number {
  const least = stage.kind === 'discs' ? stage.press : stage.wrap;
  if (!(least >= 0)) throw new CoreError('not-a-path', { ...stage });
  switch (stage.kind) {
    case 'guide':
      return pull * capstan(mu, stage.wrap);
    case 'discs':
      return pull + 2 * mu * stage.press;
    case 'check-spring':
      return Math.max(pull, stage.force) * capstan(mu, stage.wrap);
  }
}

/** Through which angle a thread is bent at each point of its way, in radians; none at its ends. */
export function bendsOf(way: readonly Point[]): readonly number[] {
  return way.map((at, place) => {
    const [before, next] = [way[place - 1], way[place + 1]];
    if (!before || !next) return 0;
    const came = Math.atan2(at.y - before.y, at.x - before.x);
    const goes = Math.atan2(next.y - at.y, next.x - at.x);
    const turned = Math.abs(goes - came) % (2 * Math.PI);
    return Math.min(turned, 2 * Math.PI - turned);
  });
}

/** Both threads where the stitch is drawn tight. */
export interface BalanceSet {
  readonly top: UpperPull;
  /** Pull of the bobbin thread by hand, in gram-force. */
  readonly bobbin: number;
  /** With which the fabric holds either thread, in gram-force. */
  readonly fabric: number;
  /** At which ratio of the two pulls this machine's knot lies in the middle. */
  readonly even?: number;
}

/** Where the knot lies, from the path of the thread on. Derived. */
export function balanceAt({ top, bobbin, fabric, even = EVEN_RATIO }: BalanceSet): Knot & {
  readonly top: number;
  readonly bobbin: number;
} {
  positive('bobbin', bobbin);
  const atNeedle = pullAlong(top).at(-1) ?? top.drag;
  // The case's spring is a pair of discs: its pull grows with the friction.
  const below = frictionAt(bobbin, top.speed);
  return {
    ...knotOf(atNeedle / positive('even', even) + fabric, below + fabric),
    top: atNeedle,
    bobbin: below,
  };
}
