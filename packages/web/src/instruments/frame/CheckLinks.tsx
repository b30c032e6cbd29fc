import { instrumentFor } from '../../ticket/instrumentAddresses.ts';
import { TextLink } from '../../ui/TextLink.tsx';
import { useInstrumentBench } from './InstrumentContext.tsx';

/** Checks to look at next, each with the instrument that measures for it, where there is one. */
export function CheckLinks({ checks }: { readonly checks: readonly string[] }) {
  const { model, onTicket } = useInstrumentBench();
  const known = checks.flatMap((check) => model.checks.get(check) ?? []);
  return (
    <ul className="list-disc pl-6">
      {known.map(({ id, title }) => {
        const to = onTicket && instrumentFor(onTicket.ticket.id, id);
        return <li key={id}>{to ? <TextLink to={to}>{title}</TextLink> : title}</li>;
      })}
    </ul>
  );
}
