import { type ReactNode, useEffect, useRef } from 'react';
import { useKeys } from '../ui/useKeys.ts';
import { HistoryLine, HistoryList } from './seam/HistoryLine.tsx';
import { useUndo } from './seam/Undo.tsx';
import { type Pane, ThumbBar } from './ThumbBar.tsx';
import { Tray } from './Tray.tsx';

interface TicketShellProps {
  /** The bar over it. */
  readonly bar: ReactNode;
  /** Between the bar and the work: what somebody should know first. */
  readonly notices?: ReactNode;
  /** Beside the step where there is room for two sides; on a small screen a pane of its own. */
  readonly left?: ReactNode;
  readonly right: ReactNode;
  /** What a small screen calls what stands at the right. */
  readonly rightPane?: Pane;
  /** On a small screen a pane of its own; on a wide one it stands in the bar. */
  readonly tools?: ReactNode;
  /** The one thing to do next. */
  readonly step: ReactNode;
  /** The step was answered: it is out of reach until the next takes its place. */
  readonly held?: boolean;
  /** What a tap asked to see; when it changes, the step comes into view. */
  readonly chosen: unknown;
  /** The pane that a small screen shows. */
  readonly pane: Pane;
  readonly onPane: (pane: Pane) => void;
}

const SIDE = 'contain-layout overflow-y-auto border-rule p-4 max-lg:bg-ground';

/**
 * A button that was tapped does not keep the keys: Enter then answers the step, not the button again. What is
 * reached by keys keeps them.
 */
function useReleasedButtons() {
  const shell = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const root = shell.current;
    const release = ({ detail, target }: MouseEvent) => {
      if (detail > 0 && target instanceof Element) target.closest('button')?.blur();
    };
    root?.addEventListener('click', release);
    return () => root?.removeEventListener('click', release);
  }, []);
  return shell;
}

/** A view of one ticket at work: the step between its sides, the history in one line below. */
export function TicketShell(props: TicketShellProps) {
  const { bar, notices, left, right, tools, step, held, chosen, pane, onPane } = props;
  const { rightPane = 'to-do' } = props;
  const showStep = useRef(onPane);
  useEffect(() => {
    showStep.current = onPane;
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the choice is the reason
  useEffect(() => showStep.current('step'), [chosen]);

  const panes: Pane[] = ['step'];
  if (left) panes.push('causes');
  panes.push(rightPane);
  if (tools) panes.push('tools');

  const undo = useUndo();
  useKeys(undo ? { u: undo } : {});
  const shell = useReleasedButtons();
  const shownOnly = (name: Pane) => (pane === name ? '' : 'max-lg:hidden');
  return (
    <div ref={shell} className="flex min-h-0 flex-1 flex-col">
      {bar}
      <Tray />
      {notices}
      <div
        className={`flex min-h-0 flex-1 flex-col lg:grid lg:grid-rows-[minmax(0,1fr)] ${
          left
            ? 'lg:grid-cols-[16.5rem_minmax(0,1fr)_16.5rem]'
            : 'lg:grid-cols-[minmax(0,1fr)_20rem]'
        }`}
      >
        {left && (
          <div className={`${SIDE} max-lg:flex-1 lg:border-r ${shownOnly('causes')}`}>{left}</div>
        )}
        <section
          aria-labelledby="step-title"
          inert={held}
          className={`flex min-h-0 flex-1 flex-col bg-paper contain-layout ${shownOnly('step')}`}
        >
          {step}
        </section>
        <div className={`${SIDE} max-lg:flex-1 lg:border-l ${shownOnly(rightPane)}`}>
          {right}
          <p className="mt-4 border-t border-rule pt-2 lg:hidden">
            <HistoryList />
          </p>
        </div>
        {tools && pane === 'tools' && <div className={`${SIDE} flex-1 lg:hidden`}>{tools}</div>}
      </div>
      <HistoryLine />
      <ThumbBar pane={pane} onPane={onPane} panes={panes} />
    </div>
  );
}
