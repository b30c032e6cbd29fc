import {
  bendsOf,
  discPress,
  type PathStage,
  pullAlong,
  THREAD_FRICTION,
  USUAL_CHECK_SPRING,
  USUAL_DRAG,
} from '@nodo/core';
import { humanText } from '@nodo/kernel';
import { z } from 'zod';

/** What a thread is drawn past on its way to the needle. */
export const PATH_KINDS = ['spool', 'guide', 'discs', 'check-spring', 'take-up', 'needle'] as const;
export type PathKind = (typeof PATH_KINDS)[number];

/** Of the drawing of a machine of its family, in its units. */
const placed = z.number().min(-100).max(500);

/** Points of a path, and letters of a point's name. */
export const MOST_PATH_POINTS = 24;
export const MOST_POINT_NAME = 40;

const pathPoint = z.object({
  kind: z.enum(PATH_KINDS),
  name: humanText(MOST_POINT_NAME),
  x: placed,
  y: placed,
});
export type PathPoint = z.infer<typeof pathPoint>;

/** The way of one machine's top thread, from the spool on. */
export const threadPath = z.array(pathPoint).min(2).max(MOST_PATH_POINTS);
export type ThreadPath = readonly PathPoint[];

/**
 * The pull behind each point, in gram-force, by the bends as they are drawn from the front and typical values for all
 * else. Derived.
 */
export function pullsAlong(path: ThreadPath, dial: number): readonly number[] {
  const bends = bendsOf(path);
  const stages = path.map(({ kind }, place) => stagesAt(kind, bends[place] ?? 0, dial));
  const pulls = pullAlong({
    drag: USUAL_DRAG,
    stages: stages.flat(),
    friction: THREAD_FRICTION,
    speed: 0,
  });
  let passed = 0;
  return stages.map(({ length }) => {
    passed += length;
    return pulls[passed - 1] ?? USUAL_DRAG;
  });
}

function stagesAt(kind: PathKind, wrap: number, dial: number): readonly PathStage[] {
  const bent = { kind: 'guide', wrap } as const;
  switch (kind) {
    case 'spool':
      return [{ kind: 'guide', wrap: 0 }];
    case 'discs':
      return [bent, { kind: 'discs', press: discPress(dial) }];
    case 'check-spring':
      return [{ kind: 'check-spring', force: USUAL_CHECK_SPRING.force, wrap }];
    case 'guide':
    case 'take-up':
    case 'needle':
      return [bent];
  }
}

/** With a point somewhere else. */
export function withMoved(
  path: ThreadPath,
  place: number,
  to: { readonly x: number; readonly y: number },
): ThreadPath {
  return path.map((point, index) => (index === place ? { ...point, ...to } : point));
}

/** With one more guide half way to the next point. */
export function withGuideAfter(path: ThreadPath, place: number, name: string): ThreadPath {
  const [before, next] = [path[place], path[place + 1]];
  if (!before || !next) return path;
  const between = { x: (before.x + next.x) / 2, y: (before.y + next.y) / 2 };
  return path.toSpliced(place + 1, 0, { kind: 'guide', name, ...between });
}

/** The point nearest to a place, if one is within reach of a finger. */
export function pointNearest(
  path: ThreadPath,
  at: { readonly x: number; readonly y: number },
  reach: number,
): number | undefined {
  let best: readonly [place: number, away: number] | undefined;
  for (const [place, { x, y }] of path.entries()) {
    const away = Math.hypot(x - at.x, y - at.y);
    if (away <= reach && away < (best?.[1] ?? Number.POSITIVE_INFINITY)) best = [place, away];
  }
  return best?.[0];
}
