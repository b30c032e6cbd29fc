import { Check } from 'lucide-react';
import { Caution } from '../../ticket/check/Caution.tsx';
import { useInstrumentBench } from './InstrumentContext.tsx';

/** What can hurt unless the machine is unplugged; once the ticket says that it is, it stands as a quiet tick. */
export function UnpluggedCaution({ text }: { readonly text: string }) {
  const { onTicket } = useInstrumentBench();
  if (onTicket?.ticket.power !== 'off') return <Caution text={text} />;
  return (
    <p data-caution="met" className="mt-2 flex gap-2 py-1 leading-snug text-quiet">
      <Check aria-hidden size={20} className="mt-0.5 shrink-0 text-below" />
      {text}
    </p>
  );
}
