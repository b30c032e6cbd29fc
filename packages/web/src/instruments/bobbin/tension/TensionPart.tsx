import { BOBBIN_TENSION, type BobbinUse } from '@nodo/knowledge';
import type { MeasureLimit } from '@nodo/ticket';
import { useState } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Choices } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { Looks } from '../../frame/Looks.tsx';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import { Gauge } from './Gauge.tsx';
import { Hanging } from './Hanging.tsx';
import { owesTension } from './measuredSince.ts';
import { ScrewClock } from './ScrewClock.tsx';

const METHODS = ['hang', 'gauge', 'stand', 'pull'] as const;
type Method = (typeof METHODS)[number];

/** How firmly the case holds its thread, by any of four ways, and how far its screw was turned. */
export function TensionPart() {
  const bench = useInstrumentBench();
  const { model, card } = bench;
  const { traits } = model.family;
  const [use, setUse] = useState<BobbinUse>(
    traits.includes('embroidery') ? 'embroidery' : 'household',
  );
  const [method, setMethod] = useState<Method>('hang');
  const words = instruments.bobbin.tension;
  if (!traits.includes('bobbin')) return <p className="text-lg">{instruments.bobbin.none}</p>;
  const own = card?.service['bobbin-tension'];
  const [least, most] = own ? [own.least, own.most] : BOBBIN_TENSION[use];
  const limit: MeasureLimit = { least, most, standing: own ? 'shop' : 'typical' };
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(22rem,1fr)_minmax(20rem,28rem)]">
      <div className="flex flex-col gap-4">
        <h1 className="text-2xl font-bold">{words.heading}</h1>
        <UnpluggedCaution text={words.caution} />
        {bench.onTicket && owesTension(bench.onTicket.ticket) && (
          <p role="status" className="border-l-3 border-dashed border-ink pl-3 font-semibold">
            {words.again}
          </p>
        )}
        <p className="max-w-prose leading-snug text-quiet">{words.first}</p>
        <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
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
          <p className="text-lg">
            {words.limit(write.figure(least), write.figure(most))}{' '}
            <ProvenanceMark standing={limit.standing} />
          </p>
        </div>
        <Choices
          legend={words.method}
          value={method}
          options={METHODS.map((one) => [one, words.methods[one]] as const)}
          onChoose={setMethod}
        />
        {method === 'hang' && <Hanging limit={limit} />}
        {method === 'gauge' && <Gauge limit={limit} />}
        {method === 'stand' && (
          <Looks
            key="stand"
            words={words.stand}
            check="case-stand"
            findings={{ up: undefined, lifts: 'stand-lifts', lies: 'stand-lies' }}
          />
        )}
        {method === 'pull' && (
          <Looks
            key="pull"
            words={words.pull}
            check="case-pull"
            findings={{ even: undefined, none: 'case-no-drag', stutters: 'case-stutters' }}
          />
        )}
      </div>
      <ScrewClock />
    </div>
  );
}
