import { lowerFirst } from '@nodo/kernel';
import type { FamilyCheck } from '@nodo/knowledge';
import { stateEpoch } from '@nodo/ticket';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { Button } from '../../ui/Button.tsx';
import { useTicket } from '../TicketContext.tsx';

/**
 * What this check was answered already on the machine as it is now, and by whom: a colleague's answer
 * comes up here while one looks, and of two that differ both stand.
 */
export function AnsweredHere({
  check,
  onGoOn,
}: {
  readonly check: FamilyCheck;
  /** Takes the answer as it is and goes on. */
  readonly onGoOn: (() => void) | undefined;
}) {
  const { ticket, assessment } = useTicket();
  const people = usePeopleById();
  const now = stateEpoch(ticket, ticket.epoch);
  const own = new Set(check.findings.map(({ id }) => id));
  const looks = ticket.looks.filter(
    ({ check: id, epoch }) => id === check.id && stateEpoch(ticket, epoch) === now,
  );
  if (looks.length === 0) return null;
  const isContested = assessment.contested.some(({ finding }) => own.has(finding));
  return (
    <section
      aria-label={later.bench.step.answered}
      role="status"
      className="mt-2 border-l-3 border-dashed border-ink pl-3 leading-snug"
    >
      {isContested && <p className="font-semibold">{later.bench.step.contested}</p>}
      <ul>
        {looks.map(({ seq }) => {
          const entry = ticket.entries[seq - 1];
          const seen = ticket.answers
            .filter((answer) => answer.seq === seq && answer.present)
            .map(({ finding }) => check.findings.find(({ id }) => id === finding)?.answer ?? '');
          return (
            <li key={seq}>
              <bdi>{people.get(entry?.actor.person ?? '')?.name}</bdi>,{' '}
              {entry && write.clock(entry.observedAt)}:{' '}
              <strong>{lowerFirst(seen.join(', ') || check.normal)}</strong>
            </li>
          );
        })}
      </ul>
      {onGoOn && !isContested && (
        <Button className="mt-1" onClick={onGoOn}>
          {later.bench.step.goOn}
        </Button>
      )}
    </section>
  );
}
