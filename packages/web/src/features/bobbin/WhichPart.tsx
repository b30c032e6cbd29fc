import { BOBBIN_CLASSES, type BobbinClassId, bobbinClassOf, matchBobbin } from '@nodo/knowledge';
import { useState } from 'react';
import { BobbinsOver } from '../../drawing/BobbinsOver.tsx';
import { readNumber, write } from '../../messages/index.ts';
import { instruments } from '../../messages/instruments.ts';
import { Button } from '../../ui/Button.tsx';
import { answersTo } from '../bench/answersTo.ts';
import { StandingMark } from '../bench/StandingMark.tsx';
import { Choices } from '../instrument/bits.tsx';
import { type InstrumentBench, mayDo, mayKeep } from '../instrument/instrumentBench.ts';
import { NumberField } from './NumberField.tsx';

const CHECK = 'bobbin-class';

/** Class and material of a bobbin by its measures, against what this machine takes. */
export function WhichPart({ bench }: { readonly bench: InstrumentBench }) {
  const { model, card, onTicket } = bench;
  const [across, setAcross] = useState('');
  const [width, setWidth] = useState('');
  const [sides, setSides] = useState<'flat' | 'curved'>('flat');
  const [material, setMaterial] = useState<'plastic' | 'metal'>('plastic');
  const [chosen, setChosen] = useState<BobbinClassId>();
  const words = instruments.bobbin.which;
  if (!model.family.traits.includes('bobbin'))
    return <p className="text-lg">{instruments.bobbin.none}</p>;

  const [D, w] = [readNumber(across), readNumber(width)];
  const isMeasured = D !== undefined && w !== undefined && D > 0 && w > 0 && D < 100 && w < 100;
  const measured = isMeasured ? { across: D, width: w, sides } : undefined;
  const matches = measured ? matchBobbin(measured) : [];
  const is = matches.find(({ fits }) => fits);
  const takesId = chosen ?? card?.bobbin ?? undefined;
  const takes = takesId && bobbinClassOf(takesId);
  const against = matches.find(({ bobbin }) => bobbin.id === takes?.id);
  const isMagnet = model.family.traits.includes('magnet-case');
  const alike = matches.filter(({ looksAlike }) => looksAlike);
  const over = takes ?? is?.bobbin ?? matches[0]?.bobbin;

  const keep = () => {
    const check = model.checks.get(CHECK);
    if (!onTicket || !check || !measured || !against) return;
    const answers = answersTo(
      check,
      new Set([
        against.fits ? undefined : 'bobbin-other-class',
        isMagnet && material === 'metal' ? 'bobbin-metal' : undefined,
      ]),
    );
    if (mayDo(bench)) {
      const common = { when: 'found' } as const;
      onTicket.record('measured', { quantity: 'bobbin-across', value: measured.across, ...common });
      onTicket.record('measured', { quantity: 'bobbin-width', value: measured.width, ...common });
    }
    onTicket.record('findings-recorded', { check: CHECK, answers });
  };

  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(20rem,1fr)_minmax(24rem,34rem)]">
      <div className="flex flex-col gap-4">
        <h1 className="text-2xl font-bold">{words.heading}</h1>
        <p className="max-w-prose leading-snug">{words.how}</p>
        <div className="flex flex-wrap gap-3">
          <NumberField label={words.across} value={across} onType={setAcross} />
          <NumberField label={words.width} value={width} onType={setWidth} />
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
        {mayKeep(bench) && (
          <Button look="main" className="self-start" disabled={!against} onClick={keep}>
            {words.keep}
          </Button>
        )}
      </div>
      <div aria-live="polite" className="flex flex-col gap-3">
        {!measured && <p className="text-lg">{words.measureFirst}</p>}
        {measured && (
          <p className="text-2xl font-bold">
            {is ? words.is(is.bobbin.title) : words.isNone} <StandingMark standing="typical" />
          </p>
        )}
        {measured && takes && against && (
          <p className={`text-lg font-semibold ${against.fits ? 'text-below' : 'text-hazard'}`}>
            {against.fits
              ? words.right
              : against.looksAlike
                ? words.wrong(takes.title)
                : words.notAlike(takes.title)}
          </p>
        )}
        {measured && !takes && <p>{words.takesUnknown}</p>}
        {isMagnet && material === 'metal' && (
          <p className="font-semibold text-hazard">{words.metal}</p>
        )}
        {measured && over && <BobbinsOver measured={measured} other={over} />}
        {alike.length > 0 && (
          <section aria-label={words.alike}>
            <h2 className="font-bold">{words.alike}</h2>
            <ul>
              {alike.map(({ bobbin, acrossOff, widthOff }) => (
                <li key={bobbin.id} className="border-b border-rule py-1">
                  {bobbin.title}, {words.side[bobbin.sides]}
                  <span className="ml-3 font-mono text-quiet">
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
