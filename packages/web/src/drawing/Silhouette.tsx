import { bodyOf } from './body/bodies.ts';
import { Spools } from './body/Spools.tsx';

/** Everything from the floor to the eyes of a cone stand, at one scale for all: small machines look small. */
const BOX = '-40 14 424 330';

/** A machine of a family from a distance, as it is told from others on a shelf. */
export function Silhouette({
  family,
  accent = false,
}: {
  readonly family: string;
  /** In the warning colour, for a machine that owes a look after a strike. */
  readonly accent?: boolean;
}) {
  const body = bodyOf(family);
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
        <path key={path} d={path} fill="var(--paper)" />
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
