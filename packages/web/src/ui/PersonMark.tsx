import type { Person } from '@nodo/api';

/**
 * A person's spool end: initials on the thread colour.
 * @param silent the name stands beside it.
 */
export function PersonMark({
  person,
  title = person.name,
  silent = false,
  small = false,
}: {
  readonly person: Pick<Person, 'name' | 'initials' | 'thread'>;
  readonly title?: string;
  readonly silent?: boolean;
  /** In a line of text. */
  readonly small?: boolean;
}) {
  return (
    <span
      data-thread={person.thread}
      title={title}
      className={`inline-grid shrink-0 place-items-center rounded-full bg-own text-sm font-semibold text-paper ${small ? 'size-6 leading-none' : 'size-8'}`}
    >
      <span aria-hidden="true">{person.initials}</span>
      {!silent && <span className="sr-only">{title}</span>}
    </span>
  );
}
