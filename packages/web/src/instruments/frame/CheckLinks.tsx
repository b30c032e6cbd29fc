import { Link } from 'react-router';
import { instrumentFor } from '../../ticket/instrumentAddresses.ts';
import type { InstrumentBench } from './instrumentBench.ts';

/** Checks to look at next, each with the instrument that measures for it, where there is one. */
export function CheckLinks({
  bench: { model, onTicket },
  checks,
}: {
  readonly bench: InstrumentBench;
  readonly checks: readonly string[];
}) {
  const known = checks.flatMap((check) => model.checks.get(check) ?? []);
  return (
    <ul className="list-disc pl-5">
      {known.map(({ id, title }) => {
        const to = onTicket && instrumentFor(onTicket.ticket.id, id);
        return (
          <li key={id}>
            {to ? (
              <Link
                to={to}
                className="inline-flex min-h-11 items-center underline underline-offset-4"
              >
                {title}
              </Link>
            ) : (
              title
            )}
          </li>
        );
      })}
    </ul>
  );
}
