import { BOBBIN_CLASSES, type BobbinClassId, type CheckId } from '@nodo/knowledge';
import { useState } from 'react';
import { BobbinsOver } from '../../../drawing/BobbinsOver.tsx';
import { BobbinToMeasure } from '../../../drawing/BobbinToMeasure.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Choices, Reading } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook, mayDo } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { bobbinFindings, bobbinMeasures, readBobbin } from './whichReading.ts';

const CHECK: CheckId = 'bobbin-class';
/** Class and material of a bobbin by its measures, against what this machine takes. */
export function WhichPart() {
  const bench = useInstrumentBench();
  const { model, card, onTicket } = bench;
  const [across, setAcross] = useState('');
  const [width, setWidth] = useState('');
  const [hole, setHole] = useState('');
  const [ownHole, setOwnHole] = useState('');
  const [sides, setSides] = useState<'flat' | 'curved'>('flat');
  const [material, setMaterial] = useState<'plastic' | 'metal'>('plastic');
  const [chosen, setChosen] = useState<BobbinClassId>();
  const words = instruments.bobbin.which;
  if (!model.family.traits.includes('bobbin'))
    return <p className="text-lg">{instruments.bobbin.none}</p>;

  const takesId = chosen ?? card?.bobbin ?? undefined;
  const reading = readBobbin(
    { across, width, hole, ownHole, sides, material },
    {
      traits: model.family.traits,
      takes: takesId,
      service: card?.service ?? {},
    },
  );
  const { measured, matches, is, takes, against, own, isLikeOwn, isKnown, isMetal } = reading;
  const alike = matches.filter(({ looksAlike }) => looksAlike);
  const over = takes ?? is?.bobbin ?? matches[0]?.bobbin;
  const keep = () => {
    if (!onTicket || !measured || !isKnown) return;
    if (mayDo(bench)) {
      for (const measure of bobbinMeasures(reading)) onTicket.record('measured', measure);
    }
    keepLook(bench, CHECK, bobbinFindings(reading));
  };

  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(20rem,1fr)_minmax(24rem,34rem)]">
      <div className="flex flex-col gap-4">
        <h1 className="text-2xl font-bold">{words.heading}</h1>
        <p className="max-w-prose leading-snug">{words.how}</p>
        <div className="flex flex-wrap gap-3">
          <NumberField label={words.across} value={across} className="w-52" onText={setAcross} />
          <NumberField label={words.width} value={width} className="w-52" onText={setWidth} />
          <NumberField label={words.hole} value={hole} className="w-52" onText={setHole} />
          {!card?.service['bobbin-hole'] && (
            <NumberField
              label={words.ownHole}
              value={ownHole}
              className="w-52"
              onText={setOwnHole}
            />
          )}
        </div>
        <Choices
          legend={words.sides}
          value={sides}
          options={[
            ['flat', words.side.flat],
            ['curved', words.side.curved],
          ]}
          onChoose={setSides}
        />
        <Choices
          legend={words.material}
          value={material}
          options={[
            ['plastic', words.materials.plastic],
            ['metal', words.materials.metal],
          ]}
          onChoose={setMaterial}
        />
        <Choices
          legend={words.takes}
          value={takesId}
          options={BOBBIN_CLASSES.map(({ id, title }) => [id, title] as const)}
          onChoose={setChosen}
        />
        <KeepButton label={words.keep} disabled={!measured || !isKnown} onKeep={keep} />
      </div>
      <div aria-live="polite" className="flex flex-col gap-3">
        {!measured && (
          <>
            <p className="text-lg">{words.measureFirst}</p>
            <BobbinToMeasure />
          </>
        )}
        {measured && (
          <p className="text-2xl font-bold">
            {is ? words.is(is.bobbin.title) : words.isNone} <ProvenanceMark standing="typical" />
          </p>
        )}
        {measured && takes && against && (
          <p className={`text-lg font-semibold ${against.fits ? 'text-below' : ''}`}>
            {against.fits
              ? words.right
              : against.looksAlike
                ? words.wrong(takes.title)
                : words.notAlike(takes.title)}
          </p>
        )}
        {measured && !takes && <p>{words.takesUnknown}</p>}
        {own.length > 0 && (
          <section aria-label={words.against}>
            <h2 className="font-semibold">{words.against}</h2>
            <dl>
              {own.map(({ measure, value, own: [least, most], fits }) => (
                <Reading
                  key={measure}
                  name={words.measures[measure]}
                  value={words.own(write.figure(value), write.figure(least), write.figure(most))}
                  bad={!fits}
                />
              ))}
            </dl>
            {!isLikeOwn && <p className="mt-1 font-semibold">{words.notOwn}</p>}
          </section>
        )}
        {measured && own.every(({ measure }) => measure !== 'hole') && (
          <p className="text-sm text-quiet">{words.noHole}</p>
        )}
        {isMetal && <p className="font-semibold">{words.metal}</p>}
        {measured && over && <BobbinsOver measured={measured} hole={reading.hole} other={over} />}
        {alike.length > 0 && (
          <section aria-label={words.alike}>
            <h2 className="font-semibold">{words.alike}</h2>
            <ul>
              {alike.map(({ bobbin, acrossOff, widthOff }) => (
                <li key={bobbin.id} className="border-b border-rule py-1">
                  {bobbin.title}, {words.side[bobbin.sides]}
                  <span className="ml-3 text-quiet">
                    {words.off(
                      signed(acrossOff),
                      widthOff === undefined ? undefined : signed(widthOff),
                    )}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  );
}

function signed(value: number): string {
  const rounded = Math.round(value * 10) / 10;
  return `${rounded > 0 ? '+' : ''}${write.figure(rounded)}`;
}
