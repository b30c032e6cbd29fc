import type { ReactNode } from 'react';
import { useState } from 'react';
import { later } from '../../messages/later.ts';
import { inShort } from '../words.ts';

/**
 * The head of a step: what kind of step it is, what to do, and in short how. What does not fit a glance
 * stands behind one tap, so that the answers are on the screen.
 */
export function StepHead({
  heading,
  title,
  facts,
  how,
  more,
  picture,
  beside,
}: {
  readonly heading: string;
  readonly title: string;
  /** Minutes, tools, what must be opened. */
  readonly facts?: ReactNode;
  readonly how?: string | undefined;
  /** Besides the rest of `how`, what is shown only when it is asked for. */
  readonly more?: ReactNode;
  /** The picture in full, behind the same tap. */
  readonly picture?: ReactNode;
  /** What of it stands beside the words where there is room. */
  readonly beside?: ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  const short = how === undefined ? undefined : inShort(how);
  const hasMore = short !== how || more !== undefined || picture !== undefined;
  return (
    <header className="flex gap-x-6">
      <div className="min-w-0 flex-1">
        <div className="flex items-baseline justify-between gap-3">
          <p className="text-sm font-semibold text-quiet">{heading}</p>
          {hasMore && (
            <button
              type="button"
              aria-expanded={isOpen}
              onClick={() => setOpen(!isOpen)}
              className="-my-2 min-h-11 shrink-0 px-1 text-sm text-quiet underline underline-offset-4"
            >
              {isOpen
                ? later.bench.step.howLess
                : picture === undefined
                  ? later.bench.step.how
                  : later.bench.step.howAndPicture}
            </button>
          )}
        </div>
        <h1 className="text-3xl leading-9 font-bold text-balance" id="step-title">
          {title}
        </h1>
        {facts && (
          <div className="mt-0.5 flex flex-wrap items-center gap-x-4 text-quiet">{facts}</div>
        )}
        {how !== undefined && (
          <p className="mt-1 leading-snug" data-how>
            {isOpen ? how : short}
          </p>
        )}
        {isOpen && more}
        {isOpen && picture !== undefined && <div className="mt-2">{picture}</div>}
      </div>
      {beside !== undefined && !isOpen && (
        <div className="hidden shrink-0 @2xl:block">{beside}</div>
      )}
    </header>
  );
}
