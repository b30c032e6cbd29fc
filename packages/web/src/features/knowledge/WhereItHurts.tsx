import { type FamilyModel, INTERVIEWS, type Place } from '@nodo/knowledge';
import { useSearchParams } from 'react-router';
import { bodyOf } from '../../drawing/body/bodies.ts';
import { drawnPlace } from '../../drawing/body/body.ts';
import { MachineMap } from '../../drawing/MachineMap.tsx';
import { later } from '../../messages/later.ts';
import { TableLink } from './TableLink.tsx';

/** The tables opened by the machine itself: tap a place, and what can be wrong and be checked there stands beside it. */
export function WhereItHurts({ model }: { readonly model: FamilyModel }) {
  const [search, setSearch] = useSearchParams();
  const place = drawnPlace(bodyOf(model.family.id), search.get('place'));
  const words = later.knowledge;
  return (
    <div className="flex max-w-5xl flex-col gap-6">
      <h2 className="text-2xl font-bold">{words.whereTitle}</h2>
      <MachineMap
        family={model.family}
        place={place}
        onPlace={(chosen) => {
          search.set('place', chosen);
          setSearch(search, { replace: true });
        }}
      />
      {place ? <At model={model} place={place} /> : <p className="text-quiet">{words.whereHint}</p>}
    </div>
  );
}

function At({ model, place }: { readonly model: FamilyModel; readonly place: Place }) {
  const checks = [...model.checks.values()].filter(
    (check) => check.place === place && !INTERVIEWS.has(check.id),
  );
  const findings = new Set(checks.flatMap((check) => check.findings.map(({ id }) => id)));
  // What is surely or usually seen there sits there.
  const causes = [...model.causes.values()].filter(({ shows: { sure = [], usual = [] } }) =>
    [...sure, ...usual].some((finding) => findings.has(finding)),
  );
  const words = later.knowledge;
  return (
    <div className="grid gap-6 md:grid-cols-2" aria-live="polite">
      <Links
        kind="cause"
        title={words.causesAt(later.places[place])}
        items={causes.map(({ id, name }) => [id, name])}
      />
      <Links
        kind="check"
        title={words.checksAt(later.places[place])}
        items={checks.map(({ id, title }) => [id, title])}
      />
    </div>
  );
}

function Links({
  kind,
  title,
  items,
}: {
  readonly kind: 'cause' | 'check';
  readonly title: string;
  readonly items: readonly (readonly [id: string, text: string])[];
}) {
  return (
    <section aria-label={title}>
      <h3 className="font-semibold">{title}</h3>
      {items.length === 0 && <p className="text-quiet">{later.knowledge.nothingAt}</p>}
      <ul>
        {items.map(([id, text]) => (
          <li key={id}>
            <TableLink kind={kind} id={id}>
              {text}
            </TableLink>
          </li>
        ))}
      </ul>
    </section>
  );
}
