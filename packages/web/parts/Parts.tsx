import { BOXES } from './boxes.tsx';
import { DRAWINGS } from './drawings.tsx';
import type { PartStates } from './partStates.ts';
import { SIGNS } from './signs.tsx';

const KINDS: readonly (readonly [title: string, parts: PartStates])[] = [
  ['To act and to answer', BOXES],
  ['To tell', SIGNS],
  ['To show', DRAWINGS],
];

/** Every part of the interface in each of its states, for whoever builds with them. */
export function Parts({ theme }: { readonly theme: 'day' | 'night' }) {
  return (
    <main className="mx-auto flex max-w-6xl flex-col gap-8 p-6">
      <header className="flex flex-wrap items-baseline gap-x-6 gap-y-2">
        <h1 className="text-3xl font-bold">Parts of the interface</h1>
        <nav aria-label="Theme" className="flex gap-4">
          {(['day', 'night'] as const).map((one) => (
            <a
              key={one}
              href={`?theme=${one}`}
              aria-current={one === theme ? 'page' : undefined}
              className="inline-flex min-h-11 items-center underline underline-offset-4 aria-[current=page]:font-semibold aria-[current=page]:no-underline"
            >
              {one} bench
            </a>
          ))}
        </nav>
      </header>
      {KINDS.map(([title, parts]) => (
        <section key={title} className="flex flex-col gap-6">
          <h2 className="border-b-2 border-ink text-xl font-bold">{title}</h2>
          {Object.entries(parts).map(([name, samples]) => (
            <div key={name} className="flex flex-col gap-2" data-part={name}>
              <h3 className="font-mono">{name}</h3>
              <div className="flex flex-wrap items-start gap-6">
                {samples.map(({ state, shown }) => (
                  <figure key={state} className="flex max-w-full min-w-0 flex-col gap-1">
                    <figcaption className="text-sm text-quiet">{state}</figcaption>
                    {shown}
                  </figure>
                ))}
              </div>
            </div>
          ))}
        </section>
      ))}
    </main>
  );
}
