import type { Person } from '@nodo/contract';

/** A person's spool end: initials on the thread colour. */
export function PersonMark({
  person,
  title,
}: {
  readonly person: Person;
  readonly title?: string;
}) {
  return (
    <span
      data-thread={person.thread}
      title={title ?? person.name}
      className="inline-grid size-8 shrink-0 place-items-center rounded-full bg-own text-xs font-bold text-paper"
    >
      <span aria-hidden="true">{person.initials}</span>
      <span className="sr-only">{title ?? person.name}</span>
    </span>
  );
}
