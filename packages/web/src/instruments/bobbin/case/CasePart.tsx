import { instruments } from '../../../messages/instruments.ts';
import { TextLink } from '../../../ui/TextLink.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { instrumentRoot } from '../../frame/instrumentBench.ts';
import { OpenFirst } from '../../frame/OpenFirst.tsx';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import { GapSection } from './GapSection.tsx';
import { HangUpSection } from './HangUpSection.tsx';
import { SeatSection } from './SeatSection.tsx';
import { SpringSection } from './SpringSection.tsx';

/** Seat, spring and stop gap of the case, and where a thread hangs on its way round. */
export function CasePart() {
  const bench = useInstrumentBench();
  const words = instruments.bobbinCase;
  if (!bench.model.family.traits.includes('bobbin'))
    return <p className="text-lg">{instruments.bobbin.none}</p>;
  return (
    <div className="flex flex-col gap-4">
      <h1 className="text-2xl font-bold">{words.heading}</h1>
      <UnpluggedCaution text={words.caution} />
      <OpenFirst check="case-seat" />
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <div className="flex flex-col gap-6">
          <SeatSection />
          <SpringSection />
          <section aria-label={words.rim.title}>
            <h2 className="text-lg font-semibold">{words.rim.title}</h2>
            <p className="leading-snug">{words.rim.how}</p>
            <TextLink to={`${instrumentRoot(bench, 'bobbin')}/marks?on=case-outside`}>
              {words.rim.toMap}
            </TextLink>
          </section>
        </div>
        <div className="flex flex-col gap-6">
          <GapSection />
          <HangUpSection />
        </div>
      </div>
    </div>
  );
}
