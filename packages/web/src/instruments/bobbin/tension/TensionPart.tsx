import { BOBBIN_TENSION, type BobbinUse } from '@nodo/knowledge';
import type { MeasureLimit } from '@nodo/ticket';
import { useState } from 'react';
import { HangingCase } from '../../../drawing/HangingCase.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Choices } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useGauge } from '../../frame/gauge/useGauge.ts';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { Looks } from '../../frame/Looks.tsx';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import { Gauge, GaugeAnswer, KeepGauge } from './Gauge.tsx';
import { Hanging, HangingAnswer, KeepHanging, useHangingBoxes } from './Hanging.tsx';
import { HANGING_FIRST } from './hangingReading.ts';
import { owesTension } from './measuredSince.ts';
import { ScrewClock } from './ScrewClock.tsx';

const METHODS = ['hang', 'gauge', 'stand', 'pull'] as const;
type Method = (typeof METHODS)[number];

/** What the stand-in for a gauge makes up. */
const MADE_UP = { tension: 26, noise: 1.1, drift: 0, seed: 7 } as const;

/** How firmly the case holds its thread, by any of four ways, and how far its screw was turned. */
export function TensionPart() {
  const bench = useInstrumentBench();
  const { model, card } = bench;
  const { traits } = model.family;
  const [use, setUse] = useState<BobbinUse>(
    traits.includes('embroidery') ? 'embroidery' : 'household',
  );
  const [method, setMethod] = useState<Method>('hang');
  const [hanging, setHanging] = useState(HANGING_FIRST);
  const [stands, setStands] = useState<'up' | 'lifts' | 'lies'>();
  const [pulls, setPulls] = useState<'even' | 'none' | 'stutters'>();
  const boxes = useHangingBoxes();
  const gauge = useGauge(MADE_UP);
  const words = instruments.bobbin.tension;
  if (!traits.includes('bobbin')) return <p className="text-lg">{instruments.bobbin.none}</p>;
  const own = card?.service['bobbin-tension'];
  const [least, most] = own ? [own.least, own.most] : BOBBIN_TENSION[use];
  const limit: MeasureLimit = { least, most, standing: own ? 'shop' : 'typical' };
  return (
    <Frame
      title={words.heading}
      top={<UnpluggedCaution text={words.caution} />}
      drawing={
        <div className="flex flex-col gap-4">
          {method === 'hang' && (
            <HangingCase onMeasure={(measure) => boxes[measure].current?.focus()} />
          )}
          <ScrewClock />
        </div>
      }
      verdict={
        <>
          <p>
            {words.limit(write.figure(least), write.figure(most))}{' '}
            <ProvenanceMark standing={limit.standing} />
          </p>
          {method === 'hang' && <HangingAnswer typed={hanging} limit={limit} />}
          {method === 'gauge' && <GaugeAnswer gauge={gauge} limit={limit} />}
        </>
      }
      end={
        <>
          {method === 'hang' && <KeepHanging typed={hanging} limit={limit} />}
          {method === 'gauge' && <KeepGauge gauge={gauge} limit={limit} />}
        </>
      }
    >
      {bench.onTicket && owesTension(bench.onTicket.ticket) && (
        <p role="status" className="border-l-3 border-dashed border-ink pl-3 font-semibold">
          {words.again}
        </p>
      )}
      <p className="max-w-prose leading-snug text-quiet">{words.first}</p>
      {!own && (
        <Choices
          legend={words.use}
          value={use}
          options={[
            ['household', words.uses.household],
            ['embroidery', words.uses.embroidery],
          ]}
          onChoose={setUse}
        />
      )}
      <Choices
        legend={words.method}
        value={method}
        options={METHODS.map((one) => [one, words.methods[one]] as const)}
        onChoose={setMethod}
      />
      {method === 'hang' && <Hanging typed={hanging} boxes={boxes} onType={setHanging} />}
      {method === 'gauge' && <Gauge gauge={gauge} limit={limit} />}
      {method === 'stand' && (
        <Looks
          key="stand"
          words={words.stand}
          said={stands}
          onSay={setStands}
          check="case-stand"
          findings={{ up: undefined, lifts: 'stand-lifts', lies: 'stand-lies' }}
        />
      )}
      {method === 'pull' && (
        <Looks
          key="pull"
          words={words.pull}
          said={pulls}
          onSay={setPulls}
          check="case-pull"
          findings={{ even: undefined, none: 'case-no-drag', stutters: 'case-stutters' }}
        />
      )}
    </Frame>
  );
}
