import { Link } from 'react-router';
import { instrumentFor } from '../../ticket/instrumentAddresses.ts';
import { useInstrumentBench } from './InstrumentContext.tsx';

/** Checks to look at next, each with the instrument that measures for it, where there is one. */
export function CheckLinks({ checks }: { readonly checks: readonly string[] }) {
  const { model, onTicket } = useInstrumentBench();
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
