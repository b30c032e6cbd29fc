import { BodyDrawn } from '../body/BodyDrawn.tsx';
import type { Body } from '../body/body.ts';
import { PathNumbers } from '../body/PathNumbers.tsx';
import { boxOf } from '../MachineDrawing.tsx';

/** Where the number of a point stands that lies apart. */
const OVER = 16;
const RADIUS = 13;

export interface DrawnPoint {
  readonly x: number;
  readonly y: number;
}

/** A machine with the way of its top thread from point to point, each with its number. */
export function PathDrawing({
  body,
  path,
  lit,
  account,
}: {
  readonly body: Body;
  readonly path: readonly DrawnPoint[];
  /** Places in the way that are shown apart. */
  readonly lit: ReadonlySet<number>;
  readonly account: string;
}) {
  const points = path.map(({ x, y }, place) => ({
    id: String(place),
    at: [x, y] as const,
    over: OVER,
  }));
  return (
    <svg
      viewBox={boxOf(body).join(' ')}
      role="img"
      aria-label={account}
      className="w-full max-w-xl"
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <BodyDrawn body={body} presserDown={false} />
      <path
        d={`M${path.map(({ x, y }) => `${x} ${y}`).join('L')}`}
        stroke="var(--above)"
        strokeWidth="2.4"
        data-path
      />
      <PathNumbers points={points} lit={new Set([...lit].map(String))} radius={RADIUS} />
    </svg>
  );
}
