import type { ReactNode } from 'react';
import { m } from '../messages/index.ts';

/** The foot of a long sheet: it stays in sight while the sheet is filled in, and says whether anything waits to be saved. */
export function SaveBar({
  isDirty,
  children,
}: {
  readonly isDirty: boolean;
  /** What is wrong, and the button. */
  readonly children: ReactNode;
}) {
  return (
    <div className="sticky bottom-0 z-10 -mx-4 md:-mx-6 flex flex-wrap items-center gap-x-4 gap-y-1 border-t-2 border-rule bg-ground gutter py-3 max-md:bottom-(--phone-bar)">
      {children}
      <span role="status" className="text-sm text-quiet">
        {isDirty ? m.shell.unsaved : m.shell.allSaved}
      </span>
    </div>
  );
}
