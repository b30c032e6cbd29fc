import { disagreementsAt } from '@nodo/knowledge';
import { later } from '../../messages/later.ts';
import { ProvenanceMark } from '../ProvenanceMark.tsx';

/** Where practitioners hold differently with this step: what each school says, and what the tables go by. */
export function Schools({ check, action }: { readonly check?: string; readonly action?: string }) {
  const differs = disagreementsAt({
    ...(check === undefined ? {} : { check }),
    ...(action === undefined ? {} : { action }),
  });
  if (differs.length === 0) return null;
  return (
    <details className="mt-2 max-w-xl">
      <summary className="flex min-h-11 cursor-pointer items-center text-quiet underline underline-offset-4">
        {later.bench.step.schools}
      </summary>
      {differs.map(({ id, question, schools, here }) => (
        <section key={id} className="mb-3 leading-snug">
          <h2 className="font-semibold">
            {question} <ProvenanceMark standing="common-practice" />
          </h2>
          <ul className="list-disc pl-6">
            {schools.map((school) => (
              <li key={school}>{school}</li>
            ))}
          </ul>
          <p className="mt-1">{later.bench.step.schoolHere(here)}</p>
        </section>
      ))}
    </details>
  );
}
