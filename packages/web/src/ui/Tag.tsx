import { m } from '../messages/index.ts';

/** The tag of a machine as it hangs on it: its number on a plate with a hole. */
export function Tag({
  tag,
  small = false,
  struck = false,
}: {
  readonly tag: number;
  /** In a list. */
  readonly small?: boolean;
  /** The needle struck something, and nobody has looked yet. */
  readonly struck?: boolean;
}) {
  return (
    <span
      className={`inline-flex shrink-0 items-center gap-2 rounded px-2 font-mono font-semibold text-ground print:bg-transparent print:px-0 print:text-ink ${small ? 'text-sm' : 'py-0.5 text-lg'} ${struck ? 'bg-hazard' : 'bg-ink'}`}
    >
      <span aria-hidden="true" className="size-1.5 rounded-full bg-ground print:hidden" />
      <span className="sr-only">{m.rack.tag(tag)}</span>
      <span aria-hidden="true">{tag}</span>
    </span>
  );
}
