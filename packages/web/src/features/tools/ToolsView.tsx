import { Link } from 'react-router';
import { type Tool, ToolGlyph } from '../../drawing/ToolGlyph.tsx';
import { BOBBIN_PARTS } from '../../instruments/bobbin/bobbinParts.ts';
import { NEEDLE_PARTS } from '../../instruments/needle/needleParts.ts';
import { SAMPLE_PARTS } from '../../instruments/sample/sampleParts.ts';
import { STITCH_PARTS } from '../../instruments/stitch/stitchParts.ts';
import { TENSION_PARTS } from '../../instruments/tension/tensionParts.ts';
import { later } from '../../messages/later.ts';

/** Every instrument with its parts, opened alone; beside a ticket they stand in its bar. */
const INSTRUMENTS: readonly {
  readonly tool: Exclude<Tool, 'knowledge'>;
  readonly parts: readonly { readonly id: string; readonly title: string }[];
}[] = [
  { tool: 'needle', parts: NEEDLE_PARTS },
  { tool: 'bobbin', parts: BOBBIN_PARTS },
  { tool: 'stitch', parts: STITCH_PARTS },
  { tool: 'tension', parts: TENSION_PARTS },
  { tool: 'sample', parts: SAMPLE_PARTS },
];

/** The instruments of the bench, by what they measure. */
export default function ToolsView() {
  const words = later.instrument.tools;
  return (
    <div className="mx-auto w-full max-w-6xl gutter py-6">
      <h1 className="text-2xl font-bold">{words.title}</h1>
      <p className="mt-1 max-w-prose text-quiet">{words.lead}</p>
      <ul className="mt-6 grid gap-6 md:grid-cols-2">
        {INSTRUMENTS.map(({ tool, parts }) => (
          <li key={tool} className="flex gap-6 border-t-2 border-ink pt-4">
            <span className="[&>svg]:size-20">
              <ToolGlyph tool={tool} />
            </span>
            <section aria-labelledby={`tool-${tool}`} className="min-w-0 flex-1">
              <h2 id={`tool-${tool}`} className="text-lg font-semibold">
                {later.instrument[tool]}
              </h2>
              <ul className="mt-1 flex flex-wrap gap-x-6">
                {parts.map(({ id, title }) => (
                  <li key={id}>
                    <Link
                      to={`/${tool}/${id}`}
                      className="inline-flex min-h-11 items-center underline underline-offset-4"
                    >
                      {title}
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          </li>
        ))}
      </ul>
    </div>
  );
}
