import type { Body } from './body.ts';
import { CatcherBelow } from './CatcherBelow.tsx';
import { Head } from './Head.tsx';
import { Spools } from './Spools.tsx';

/** A machine without its threads. */
export function BodyDrawn({
  body,
  presserDown,
}: {
  readonly body: Body;
  readonly presserDown: boolean;
}) {
  return (
    <>
      <g stroke="var(--quiet)" strokeWidth="2">
        {body.castings.map((path) => (
          <path key={path} d={path} fill="var(--paper)" />
        ))}
        {[...body.edges, ...body.fine].map((path) => (
          <path key={path} d={path} strokeWidth="1.5" />
        ))}
        {body.channel && <path d={body.channel} stroke="var(--rule)" strokeWidth="7" />}
        <Spools body={body} />
      </g>
      <CatcherBelow body={body} />
      <Head body={body} presserDown={presserDown} />
      <Discs body={body} />
    </>
  );
}

/** The dial over the discs, and the check spring beside it where there is one. */
function Discs({ body: { path } }: { readonly body: Body }) {
  const { discs, 'check-spring': spring } = path;
  return (
    <g stroke="var(--ink)" strokeWidth="2">
      {discs && (
        <>
          <circle cx={discs[0]} cy={discs[1]} r="11" fill="var(--paper)" />
          <path d={`M${discs[0]} ${discs[1]}V${discs[1] - 8}`} />
        </>
      )}
      {spring && <path d={`M${spring[0] - 6} ${spring[1] - 6}q5 10 12 2`} strokeWidth="2.4" />}
    </g>
  );
}
