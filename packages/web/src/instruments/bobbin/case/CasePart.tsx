import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { TextLink } from '../../../ui/TextLink.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { instrumentRoot } from '../../frame/instrumentBench.ts';
import { OpenFirst } from '../../frame/OpenFirst.tsx';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import { CaseDrawing, type CaseSeen } from './CaseDrawing.tsx';
import { type Feelers, GapAnswer, GapSection } from './GapSection.tsx';
import { HangUpAnswer, HangUpSection, type Hung } from './HangUpSection.tsx';
import { SeatAnswer, SeatSection } from './SeatSection.tsx';
import { SpringSection } from './SpringSection.tsx';

/** Seat, spring and stop gap of the case, and where a thread hangs on its way round. */
export function CasePart() {
  const bench = useInstrumentBench();
  const [seat, setSeat] = useState<CaseSeen['seat']>();
  const [spring, setSpring] = useState<CaseSeen['spring']>();
  const [feelers, setFeelers] = useState<Feelers>({ passes: '', stops: '' });
  const [hung, setHung] = useState<Hung>({ shown: {}, hour: null });
  const words = instruments.bobbinCase;
  const { family } = bench.model;
  if (!family.traits.includes('bobbin'))
    return <p className="text-lg">{instruments.bobbin.none}</p>;
  return (
    <Frame
      title={words.heading}
      top={
        <>
          <UnpluggedCaution text={words.caution} />
          <OpenFirst check="case-seat" />
        </>
      }
      drawing={
        <CaseDrawing
          family={family}
          seen={{ seat, spring, hour: hung.hour }}
          asksHour={hung.shown.all === 'hangs'}
          onSeat={() => setSeat(seat === 'off' ? 'seated' : 'off')}
          onSpring={() => setSpring(spring === 'lint' ? 'clean' : 'lint')}
          onHour={(hour) => setHung({ ...hung, hour })}
        />
      }
      verdict={
        <>
          <SeatAnswer />
          <GapAnswer feelers={feelers} />
          <HangUpAnswer shown={hung.shown} />
        </>
      }
    >
      <SeatSection said={seat} onSay={setSeat} />
      <GapSection feelers={feelers} onFeelers={setFeelers} />
      <SpringSection said={spring} onSay={setSpring} />
      <HangUpSection hung={hung} onHung={setHung} />
      <section aria-label={words.rim.title}>
        <h2 className="text-lg font-semibold">{words.rim.title}</h2>
        <p className="leading-snug">{words.rim.how}</p>
        <TextLink to={`${instrumentRoot(bench, 'bobbin')}/marks?on=case-outside`}>
          {words.rim.toMap}
        </TextLink>
      </section>
    </Frame>
  );
}
