import type { FamilyModel } from '@nodo/knowledge';
import { type Assessment, changesPlan, type NextStep, type TicketEvent } from '@nodo/ticket';
import { useEffect, useRef, useState } from 'react';
import { deviceId } from '../../store/device.ts';
import { useShown, useTicket } from '../../ticket/TicketContext.tsx';
import { holdStepKeys } from '../../ui/useKeys.ts';

/** A step that stands on the screen, and the acts of this screen after which it came. */
interface Pinned {
  readonly step: NextStep;
  readonly after: string;
  /** How many entries the ticket had. */
  readonly seq: number;
}

/**
 * The step that stays on the screen until it is answered, put off or left here, whatever the planner
 * proposes meanwhile because of what a colleague entered; a stop or a strike covers it.
 * @param proposed undefined while it is computed
 * @param localActs changes with what was put off on this screen
 */
export function usePinnedStep(
  proposed: NextStep | undefined,
  localActs: number,
): { readonly step: NextStep | undefined; readonly release: () => void } {
  const { model, assessment } = useTicket();
  const { events } = useShown();
  const [pinned, setPinned] = useState<Pinned>();
  const [releases, setReleases] = useState(0);
  const after = `${ownActs(events)} ${localActs} ${releases}`;
  const isPinned =
    pinned?.after === after &&
    !events.slice(pinned.seq).some((event) => isCovering(event, assessment, model));
  if (!isPinned && proposed) setPinned({ step: proposed, after, seq: events.length });
  useHoldAfterOthers(events);
  return {
    step: isPinned ? pinned.step : proposed,
    release: () => setReleases(releases + 1),
  };
}

/** Entries of this screen that can change the plan. */
function ownActs(events: readonly TicketEvent[]): number {
  return events.filter((event) => isOwn(event) && changesPlan(event)).length;
}

/** Made at this screen. */
export function isOwn({ device }: TicketEvent): boolean {
  return device === deviceId();
}

/** Whether what somebody found must be dealt with before anything is turned or sewn: a strike, or what stops everything. */
export function isCovering(
  event: TicketEvent,
  { duties }: Assessment,
  model: FamilyModel,
): boolean {
  if (event.type !== 'findings-recorded') return false;
  const found = Object.entries(event.body.answers).flatMap(([finding, answer]) =>
    answer === 'yes' ? [`finding:${finding}`] : [],
  );
  return duties.some(({ duty, state }) => {
    const known = model.duties.get(duty);
    return (
      state === 'owed' &&
      known?.before !== undefined &&
      known.raisedBy.some((raiser) => found.includes(raiser))
    );
  });
}

/** After an entry that was not made here, keys answer nothing for a moment: the eye comes first. */
function useHoldAfterOthers(events: readonly TicketEvent[]): void {
  const last = events.at(-1);
  const seen = useRef(last?.id);
  useEffect(() => {
    if (last === undefined || seen.current === last.id) return;
    seen.current = last.id;
    if (!isOwn(last)) holdStepKeys();
  }, [last]);
}
