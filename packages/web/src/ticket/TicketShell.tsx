import type { ReactNode } from 'react';
import { Seam } from './seam/Seam.tsx';
import { Tray } from './Tray.tsx';

interface TicketShellProps {
  readonly header: ReactNode;
  /** Between the header and the work: what somebody should know first. */
  readonly notices?: ReactNode;
  /** Beside the step where there is room for two sides, below it on a small screen. */
  readonly left?: ReactNode;
  readonly right: ReactNode;
  /** The one thing to do next. */
  readonly step: ReactNode;
  /** The step was answered: it is out of reach until the next takes its place. */
  readonly held?: boolean;
}

const SIDE = 'contain-layout border-rule p-4 max-lg:border-t lg:overflow-y-auto';

/** A view of one ticket at work: header, refused entries, the step between its sides, the seam. */
export function TicketShell({ header, notices, left, right, step, held }: TicketShellProps) {
  return (
    <div className="flex flex-1 flex-col lg:h-[calc(100dvh-3.4rem)] lg:min-h-[38rem] lg:flex-none">
      {header}
      <Tray />
      {notices}
      <div
        className={`grid min-h-0 flex-1 grid-cols-1 ${
          left
            ? 'lg:grid-cols-[17.5rem_minmax(0,1fr)_17.5rem]'
            : 'lg:grid-cols-[minmax(0,1fr)_20rem]'
        }`}
      >
        {left && <div className={`${SIDE} max-lg:order-2 lg:border-r`}>{left}</div>}
        <section
          aria-labelledby="step-title"
          inert={held}
          className="contain-layout flex flex-col bg-paper px-6 pt-4 max-lg:order-1 lg:min-h-0 lg:overflow-hidden"
        >
          {step}
        </section>
        <div className={`${SIDE} max-lg:order-3 lg:border-l`}>{right}</div>
      </div>
      <Seam />
    </div>
  );
}

/** A step, and below it what is always one tap away. */
export function StepBody({
  children,
  waysOut,
}: {
  readonly children: ReactNode;
  readonly waysOut: ReactNode;
}) {
  return (
    <>
      <div className="flex-1 lg:-mx-6 lg:min-h-0 lg:overflow-y-auto lg:px-6 lg:pb-3">
        {children}
      </div>
      {waysOut}
    </>
  );
}
