import type { BodyColour } from '@nodo/ticket';
import { bodyOf } from './body/bodies.ts';
import { Spools } from './body/Spools.tsx';

/** Everything from the floor to the eyes of a cone stand, at one scale for all: small machines look small. */
const BOX = '-40 14 424 330';

/** A machine of a family from a distance, as it is told from others on a shelf. */
export function Silhouette({
  family,
  colour = null,
  accent = false,
}: {
  readonly family: string;
  /** Of its own body, where it was asked: its castings are tinted in it. */
  readonly colour?: BodyColour | null;
  /** In the warning colour, for a machine that owes a look after a strike. */
  readonly accent?: boolean;
}) {
  const body = bodyOf(family);
  const tinted =
    colour === null
      ? 'var(--paper)'
      : `color-mix(in srgb, var(--body-${colour}) 62%, var(--paper))`;
  return (
    <svg
      viewBox={BOX}
      className="w-full [&_*]:[vector-effect:non-scaling-stroke]"
      aria-hidden="true"
      fill="none"
      stroke={accent ? 'var(--hazard)' : 'var(--quiet)'}
      strokeWidth="1.5"
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      {body.castings.map((path) => (
        <path key={path} d={path} fill={tinted} />
      ))}
      {body.edges.map((path) => (
        <path key={path} d={path} />
      ))}
      <Spools body={body} />
      {body.needles.map((x) => (
        <path key={x} d={`M${x} ${body.plate - 78}V${body.plate - 12}`} />
      ))}
    </svg>
  );
}
