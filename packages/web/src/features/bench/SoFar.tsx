import { lowerFirst } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import { type NextStep, resumeOf } from '@nodo/ticket';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { causeName } from '../../ticket/words.ts';

/** In two sentences: what is known and done; what is owed and comes next. */
export function SoFar({
  step,
}: {
  /** Undefined while it is being computed. */ readonly step: NextStep | undefined;
}) {
  const { ticket, model, assessment } = useTicket();
  const { reported, denied, looks, likeliest, done, byCustomer, owed } = resumeOf(
    ticket,
    assessment,
  );
  const words = later.bench.resume;
  const named = (ids: readonly string[], name: (id: string) => string | undefined): string =>
    ids.map((id) => lowerFirst(name(id) ?? id)).join(', ');
  const answerOf = (id: string) => model.findings.get(id)?.answer;
  return (
    <>
      <p className="leading-snug" data-resume>
        {words.known({
          reported: named(reported, answerOf),
          looks,
          likely:
            likeliest &&
            words.likely(
              lowerFirst(causeName(model, likeliest.cause)),
              write.percent(likeliest.blame),
            ),
          done: named(done, (id) => model.actions.get(id)?.title),
          byCustomer: named(byCustomer, (id) => model.causes.get(id)?.remedy),
        })}{' '}
        {words.ahead(
          named(owed, (id) => model.duties.get(id)?.title),
          step && stepWords(step, model),
        )}
      </p>
      {denied.length > 0 && (
        <p className="leading-snug text-quiet">{words.denied(named(denied, answerOf))}</p>
      )}
    </>
  );
}

function stepWords(step: NextStep, model: FamilyModel): string {
  const words = later.bench.resume.next;
  switch (step.kind) {
    case 'check':
      return lowerFirst(model.checks.get(step.check)?.title ?? step.check);
    case 'repair':
      return words.repair(lowerFirst(model.causes.get(step.cause)?.name ?? step.cause));
    case 'action':
    case 'waive':
      return lowerFirst(model.duties.get(step.duty)?.title ?? step.duty);
    case 'prove':
      return words.prove;
    case 'search-on':
      return words.searchOn;
    case 'ask-symptoms':
      return words.ask;
    case 'settle':
      return words.settle;
    case 'close-machine':
      return words.closeMachine;
    case 'close-ticket':
      return words.closeTicket;
  }
}
