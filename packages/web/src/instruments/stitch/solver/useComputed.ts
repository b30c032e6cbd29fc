import { useEffect, useRef, useState } from 'react';
import type { Computed } from '../../../workers/stitch.worker.ts';

/**
 * What the solver answers, asked anew when the question changes. While it is at work the last answer stands; of the
 * questions that come meanwhile only the last is asked.
 * @param key the same for the same question
 */
export function useComputed<Answer>(
  key: string,
  ask: () => Promise<Computed<Answer>>,
): Computed<Answer> | undefined {
  const [last, setLast] = useState<Computed<Answer>>();
  const line = useRef<{ isBusy: boolean; next: (() => void) | undefined }>({
    isBusy: false,
    next: undefined,
  });
  const latest = useRef(ask);
  useEffect(() => {
    latest.current = ask;
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the question
  useEffect(() => {
    const { current } = line;
    let isGone = false;
    const run = () => {
      if (isGone) return;
      current.isBusy = true;
      void latest
        .current()
        .catch((fault: unknown): Computed<Answer> => {
          console.error('The solver failed', fault);
          return { refused: 'failed' };
        })
        .then((answer) => {
          current.isBusy = false;
          // An answer to a question that moved on is still nearer than the one before.
          setLast(answer);
          const { next } = current;
          current.next = undefined;
          next?.();
        });
    };
    if (current.isBusy) current.next = run;
    else run();
    return () => {
      isGone = true;
    };
  }, [key]);
  return last;
}
