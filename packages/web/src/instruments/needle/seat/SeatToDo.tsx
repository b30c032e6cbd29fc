import type { ActionId } from '@nodo/knowledge';
import { HAND_TURNED } from '@nodo/ticket';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo } from '../../frame/instrumentBench.ts';
import { UnpluggedFirst } from '../../frame/UnpluggedFirst.tsx';
import { findingsOf, type SeatReading, type SeatTarget } from './seatReading.ts';
import type { SeatStanding } from './seatStanding.ts';

/** What to do about what is wrong, and what to look at again after it. */
export function SeatToDo({
  target,
  targetWords,
  readings,
  standing,
  isKept,
  onDone,
}: {
  readonly target: SeatTarget;
  readonly targetWords: string;
  readonly readings: ReadonlyMap<number, SeatReading>;
  /** How far the check is on the ticket, where there is one. */
  readonly standing: SeatStanding | undefined;
  /** What was answered is written down. */
  readonly isKept: boolean;
  readonly onDone: () => void;
}) {
  const bench = useInstrumentBench();
  const words = instruments.needle.seat;
  const { onTicket } = bench;
  const isInHand = readings.size > 0 && !isKept;
  const inHand = [...readings.values()].flatMap((reading) =>
    Object.entries(findingsOf(reading, target)).flatMap(([finding, seen]) =>
      seen ? [finding] : [],
    ),
  );
  const wrong = new Set([...inHand, ...(standing?.wrong ?? [])]);
  if (wrong.size === 0) {
    if (!standing?.isRight || isInHand) return null;
    return (
      <section className="mt-6 border-l-4 border-below pl-4" aria-live="polite">
        <p className="text-lg font-semibold">{words.proven}</p>
        <p>{words.provenNext}</p>
        {standing.owesTurning && mayDo(bench) && (
          <Button
            look="main"
            className="mt-2"
            onClick={() => onTicket?.record('action-done', { action: HAND_TURNED })}
          >
            {words.turned}
          </Button>
        )}
      </section>
    );
  }
  const does = (action: ActionId) => {
    if (onTicket?.record('action-done', { action })) onDone();
  };
  const isBlocked = wrong.has('stops-early');
  const mayAct = mayDo(bench) && (standing?.wrong.size ?? 0) > 0 && !isInHand;
  return (
    <section className="mt-6 border-l-4 border-own pl-4" aria-label={words.todo}>
      <h2 className="text-lg font-semibold">{words.todo}</h2>
      <ol className="mt-1 list-decimal pl-6 leading-snug">
        <li>{words.do.unplug}</li>
        {isBlocked && <li>{words.do.clear}</li>}
        {!isBlocked && <li>{words.do.set(instruments.needle.drawing.sides[target.faces])}</li>}
        {target.round && wrong.has('needle-off-square') && <li>{words.do.square(targetWords)}</li>}
        <li>{words.thenCheck}</li>
      </ol>
      {mayAct && (
        <UnpluggedFirst>
          <Button
            look="main"
            className="mt-2 min-h-12"
            onClick={() => does(isBlocked ? 'socket-cleared' : 'needle-set')}
          >
            {isBlocked ? words.didClear : words.didSet}
          </Button>
        </UnpluggedFirst>
      )}
    </section>
  );
}
