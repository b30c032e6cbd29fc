import { Link } from 'react-router';
import { m } from '../messages/index.ts';
import { later } from '../messages/later.ts';
import { UndoButton } from './seam/Undo.tsx';

/** What a small screen shows of a ticket at a time. */
export type Pane = 'step' | 'causes' | 'to-do' | 'tools';

const ITEM =
  'flex min-h-12 flex-1 items-center justify-center border-t-3 border-transparent px-1 text-quiet aria-pressed:border-ink aria-pressed:font-semibold aria-pressed:text-ink disabled:opacity-55';

/** On a small screen, under the thumb: the Rack, the panes of the ticket, and undo. */
export function ThumbBar({
  pane,
  onPane,
  panes,
}: {
  readonly pane: Pane;
  readonly onPane: (pane: Pane) => void;
  readonly panes: readonly Pane[];
}) {
  return (
    <nav
      aria-label={later.bench.bar.thumb}
      className="sticky bottom-0 z-10 flex border-t border-rule bg-ground lg:hidden"
    >
      <Link to="/" className={ITEM}>
        {m.shell.toRack}
      </Link>
      {panes.map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={pane === one}
          onClick={() => onPane(one)}
          className={ITEM}
        >
          {later.bench.bar.pane[one]}
        </button>
      ))}
      <UndoButton thumb={ITEM} />
    </nav>
  );
}
