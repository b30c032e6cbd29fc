import { BOBBIN_CLASSES, type BobbinClassId, type CheckId } from '@nodo/knowledge';
import { useRef, useState } from 'react';
import { BobbinsOver } from '../../../drawing/BobbinsOver.tsx';
import { BobbinToMeasure } from '../../../drawing/BobbinToMeasure.tsx';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Choices, Reading } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
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
  const [acrossBox, widthBox, holeBox] = [
    useRef<HTMLInputElement>(null),
    useRef<HTMLInputElement>(null),
    useRef<HTMLInputElement>(null),
  ];
  const fields = { across: acrossBox, width: widthBox, hole: holeBox };
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
    <Frame
      title={words.heading}
      drawing={
        <div className="flex flex-col gap-4">
          <BobbinToMeasure
            sides={sides}
            onMeasure={(measure) => fields[measure].current?.focus()}
            onSides={setSides}
          />
          {measured && over && <BobbinsOver measured={measured} hole={reading.hole} other={over} />}
        </div>
      }
      verdict={
        <>
          {!measured && <p className="text-lg">{words.measureFirst}</p>}
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
        </>
      }
      end={
        <KeepButton
          label={words.keep}
          lacks={!measured ? m.shell.lacks.all : !isKnown && m.shell.lacks.choice}
          onKeep={keep}
        />
      }
    >
      <p className="max-w-prose leading-snug">{words.how}</p>
      <div className="grid grid-cols-2 gap-3">
        <NumberField ref={fields.across} label={words.across} value={across} onText={setAcross} />
        <NumberField ref={fields.width} label={words.width} value={width} onText={setWidth} />
        <NumberField ref={fields.hole} label={words.hole} value={hole} onText={setHole} />
        {!card?.service['bobbin-hole'] && (
          <NumberField label={words.ownHole} value={ownHole} onText={setOwnHole} />
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
    </Frame>
  );
}

function signed(value: number): string {
  const rounded = Math.round(value * 10) / 10;
  return `${rounded > 0 ? '+' : ''}${write.figure(rounded)}`;
}
