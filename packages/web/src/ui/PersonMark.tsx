import type { Person } from '@nodo/api';

/**
 * A person's spool end: initials on the thread colour.
 * @param silent the name stands beside it.
 */
export function PersonMark({
  person,
  title = person.name,
  silent = false,
}: {
  readonly person: Pick<Person, 'name' | 'initials' | 'thread'>;
  readonly title?: string;
  readonly silent?: boolean;
}) {
  return (
    <span
      data-thread={person.thread}
      title={title}
      className="inline-grid size-8 shrink-0 place-items-center rounded-full bg-own text-sm font-semibold text-paper"
    >
      <span aria-hidden="true">{person.initials}</span>
      {!silent && <span className="sr-only">{title}</span>}
    </span>
  );
}
