import { type ReactNode, useRef } from 'react';
import { KeepPicture } from '../../drawing/KeepPicture.tsx';

/**
 * One part of an instrument: what it asks on top, then the drawing that takes the answer by a tap (two fifths), the
 * questions, and what follows from them. Drawing and verdict stay in sight while the questions go by; on a narrow
 * screen they stand one below the other.
 */
export function Frame({
  title,
  top,
  drawing,
  verdict,
  end,
  wide = false,
  photos = false,
  answerFirst = false,
  children,
}: {
  readonly title: string;
  /** Beside the title: cautions, what must be open. */
  readonly top?: ReactNode;
  readonly drawing: ReactNode;
  /** Told as it changes. */
  readonly verdict?: ReactNode;
  /** Below the verdict, not told as it changes: what keeps it, what else is to do. */
  readonly end?: ReactNode;
  /** What is beside the drawing takes all the room there; nothing follows from it. */
  readonly wide?: boolean;
  /** What is drawn lies over photos, which are kept by themselves. */
  readonly photos?: boolean;
  /** What follows needs no answers: on a narrow screen it stands above the questions. */
  readonly answerFirst?: boolean;
  /** The questions. */
  readonly children: ReactNode;
}) {
  const drawn = useRef<HTMLDivElement>(null);
  const column = wide ? 'lg:col-span-2' : 'lg:col-start-2 lg:row-start-1';
  const questions = <div className={`flex min-w-0 flex-col gap-4 ${column}`}>{children}</div>;
  const follows = (
    <div className="flex min-w-0 flex-col gap-4 self-start lg:sticky lg:top-3 lg:col-start-3 lg:row-start-1">
      <div aria-live="polite" className="flex flex-col gap-4 empty:hidden">
        {verdict}
      </div>
      {end}
    </div>
  );
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <h1 className="text-2xl leading-tight font-bold">{title}</h1>
        {top}
      </div>
      <div className="grid gap-6 lg:grid-cols-[minmax(0,40fr)_minmax(0,33fr)_minmax(0,27fr)] print:block">
        <div className="min-w-0 self-start lg:sticky lg:top-3" data-frame="drawing">
          <div ref={drawn}>{drawing}</div>
          {!photos && <KeepPicture within={drawn} name={title} />}
        </div>
        {answerFirst ? (
          <>
            {follows}
            {questions}
          </>
        ) : (
          <>
            {questions}
            {!wide && follows}
          </>
        )}
      </div>
    </div>
  );
}
