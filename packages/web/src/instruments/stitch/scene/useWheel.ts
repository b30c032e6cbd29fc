import { useEffect, useRef, useState } from 'react';

/** So fast the wheel turns by itself: a stitch in six seconds. */
const STEPS_A_SECOND = 120;

export interface Wheel {
  readonly step: number;
  readonly isTurning: boolean;
  /** Turns to a step, wherever it is beyond a whole turn. */
  readonly turnTo: (step: number) => void;
  /** Goes round until it is stopped, or once. */
  readonly play: (once: boolean) => void;
  readonly stop: () => void;
}

/** A hand wheel on the screen. @param steps of a turn @param begin where it stands at first */
export function useWheel(steps: number, begin: number): Wheel {
  const [step, setStep] = useState(begin);
  const [turning, setTurning] = useState<'on' | 'once'>();
  const at = useRef(begin);
  const turnTo = (to: number) => {
    at.current = ((to % steps) + steps) % steps;
    setStep(Math.round(at.current) % steps);
  };
  useEffect(() => {
    if (!turning) return undefined;
    let frame = 0;
    let before: number | undefined;
    let gone = 0;
    const move = (now: number) => {
      // A tab that was away does not jump.
      const on = Math.min(0.1, (now - (before ?? now)) / 1000) * STEPS_A_SECOND;
      before = now;
      gone += on;
      const isDone = turning === 'once' && gone >= steps;
      at.current = (at.current + (isDone ? on - (gone - steps) : on)) % steps;
      setStep(Math.round(at.current) % steps);
      if (isDone) setTurning(undefined);
      else frame = requestAnimationFrame(move);
    };
    frame = requestAnimationFrame(move);
    return () => cancelAnimationFrame(frame);
  }, [turning, steps]);
  return {
    step,
    isTurning: turning !== undefined,
    turnTo: (to) => {
      setTurning(undefined);
      turnTo(to);
    },
    play: (once) => setTurning(once ? 'once' : 'on'),
    stop: () => setTurning(undefined),
  };
}
