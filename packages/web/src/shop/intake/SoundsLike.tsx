import { chanceBand, posterior } from '@nodo/core';
import { evidenceOf, type FamilyModel, withinReach } from '@nodo/knowledge';
import { useMemo } from 'react';
import { later } from '../../messages/later.ts';
import { UntilAsked } from '../../session/UntilAsked.tsx';
import { ChanceLine } from '../../ui/ChanceLine.tsx';

const SHOWN = 5;

/** What the owner may put right at home, and the likely causes, while the customer still talks. */
export function SoundsLike({
  model,
  complaint,
  context,
}: {
  readonly model: FamilyModel;
  readonly complaint: readonly string[];
  readonly context: Readonly<Record<string, 'yes' | 'no'>>;
}) {
  const likely = useMemo(() => {
    const reading = (finding: string, present: boolean) => ({ finding, epoch: 0, present });
    const readings = [
      ...complaint.map((finding) => reading(finding, true)),
      ...Object.entries(context).map(([finding, answer]) => reading(finding, answer === 'yes')),
    ].filter(({ finding }) => model.findings.has(finding));
    const { kept } = withinReach(readings, model);
    const { beliefs } = posterior(model.network, evidenceOf(model, kept, []));
    return beliefs
      .filter(({ cause }) => model.causes.has(cause))
      .sort((a, b) => b.blame - a.blame)
      .slice(0, SHOWN);
  }, [model, complaint, context]);

  const atHome = likely.flatMap(({ cause, blame }) => {
    const known = model.causes.get(cause);
    return known?.byPhone && chanceBand(blame) !== 'hardly' ? [known.name] : [];
  });
  return (
    <section aria-live="polite">
      <h2 className="mb-2 text-sm font-semibold text-quiet">{later.counter.atHome.title}</h2>
      {complaint.length === 0 ? (
        <p className="text-quiet">{later.counter.atHome.unticked}</p>
      ) : (
        <>
          {atHome.length === 0 ? (
            <p>{later.counter.atHome.nothing}</p>
          ) : (
            <ul className="flex list-disc flex-col gap-1 pl-6">
              {atHome.map((name) => (
                <li key={name}>{name}</li>
              ))}
            </ul>
          )}
          <div className="mt-4">
            <UntilAsked ask={later.counter.hearsLikeAsk}>
              <h2 className="mb-2 text-sm font-semibold text-quiet">{later.counter.hearsLike}</h2>
              <ol className="flex flex-col gap-3">
                {likely.map(({ cause, blame }) => (
                  <li key={cause}>
                    <ChanceLine name={model.causes.get(cause)?.name} chance={blame} />
                  </li>
                ))}
              </ol>
            </UntilAsked>
          </div>
        </>
      )}
    </section>
  );
}
