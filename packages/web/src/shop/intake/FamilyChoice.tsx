import { KNOWLEDGE } from '@nodo/knowledge';
import { Silhouette } from '../../drawing/Silhouette.tsx';
import { later } from '../../messages/later.ts';

/** Which kind of machine it is, by its outline. */
export function FamilyChoice({
  value,
  onChoose,
}: {
  readonly value: string;
  readonly onChoose: (family: string) => void;
}) {
  return (
    <fieldset className="my-4">
      <legend className="mb-1 font-semibold">{later.counter.family}</legend>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(10.5rem,1fr))] md:grid-cols-[repeat(auto-fill,minmax(12.5rem,1fr))] gap-2">
        {[...KNOWLEDGE.families.values()].map(({ id, title }) => (
          <label
            key={id}
            className="choice flex min-h-11 items-center gap-2 rounded-md px-2 py-2 text-sm leading-tight has-focus-visible:outline-3 has-focus-visible:outline-own"
          >
            <input
              type="radio"
              name="family"
              value={id}
              checked={value === id}
              onChange={() => onChoose(id)}
              className="sr-only"
            />
            <span className="w-16 shrink-0">
              <Silhouette family={id} />
            </span>
            {title}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
