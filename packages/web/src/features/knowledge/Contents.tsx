import type { FamilyModel } from '@nodo/knowledge';
import { INTERVIEWS } from '@nodo/knowledge';
import { useState } from 'react';
import { later } from '../../messages/later.ts';
import { TextField } from '../../ui/Field.tsx';
import { TableLink } from './TableLink.tsx';

/** Everything that can be read, narrowed by a few letters. */
export function Contents({
  model,
  current,
}: {
  readonly model: FamilyModel;
  readonly current: string;
}) {
  const [wanted, setWanted] = useState('');
  const words = later.knowledge;
  const parts = wanted.trim().toLocaleLowerCase().split(/\s+/);
  const fits = (text: string): boolean => {
    const low = text.toLocaleLowerCase();
    return parts.every((part) => low.includes(part));
  };
  const causes = [...model.causes.values()].filter(({ name, remedy }) => fits(`${name} ${remedy}`));
  const checks = [...model.checks.values()].filter(
    ({ id, title, findings }) =>
      !INTERVIEWS.has(id) && fits(`${title} ${findings.map(({ answer }) => answer).join(' ')}`),
  );
  return (
    <>
      <TextField className="mt-3" label={words.find} value={wanted} onText={setWanted} />
      <nav aria-label={words.title} className="mt-3 max-h-96 overflow-y-auto lg:max-h-none">
        {causes.length + checks.length === 0 && <p className="text-quiet">{words.nothing}</p>}
        <List
          title={words.causes}
          kind="cause"
          current={current}
          items={causes.map(({ id, name }) => ({ id, text: name }))}
        />
        <List
          title={words.checks}
          kind="check"
          current={current}
          items={checks.map(({ id, title }) => ({ id, text: title }))}
        />
      </nav>
    </>
  );
}

function List({
  title,
  kind,
  current,
  items,
}: {
  readonly title: string;
  readonly kind: 'cause' | 'check';
  readonly current: string;
  readonly items: readonly { readonly id: string; readonly text: string }[];
}) {
  if (items.length === 0) return null;
  return (
    <>
      <h2 className="mt-2 text-sm font-semibold text-quiet">
        {title} ({items.length})
      </h2>
      <ul>
        {items.map(({ id, text }) => (
          <li key={id}>
            <TableLink
              kind={kind}
              id={id}
              current={current === `${kind} ${id}`}
              className="flex min-h-11 items-center rounded px-2 py-1 leading-tight no-underline hover:bg-sunk aria-[current=page]:bg-sunk aria-[current=page]:font-semibold"
            >
              {text}
            </TableLink>
          </li>
        ))}
      </ul>
    </>
  );
}
