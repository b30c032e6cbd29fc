import { pathTo } from '@nodo/api';
import { SAMPLE_SIDES, type SampleSide } from '@nodo/core';
import { type KeptSample, threadAcross } from '@nodo/ticket';
import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { PaperLink } from '../../../ui/PaperLink.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { type Sample, useSample } from '../reader/useSample.ts';
import { FaceCard } from './FaceCard.tsx';
import { FigureTable, type TypedSides } from './FigureTable.tsx';
import { KeepSample } from './KeepSample.tsx';
import { PatternPart } from './PatternPart.tsx';
import { balanceOf, faceOf, type Reads, skipsBySwing } from './reading.ts';
import { SampleVerdict } from './SampleVerdict.tsx';
import { StandIn } from './StandIn.tsx';
import { StitchList } from './StitchList.tsx';

const NOTHING_TYPED: TypedSides = { top: {}, bottom: {} };

/** A sewn sample, measured from a picture of each side. */
export function ReadPart() {
  const bench = useInstrumentBench();
  const work = bench.onTicket?.ticket.life.work;
  const sample = useSample(work && threadAcross(work));
  const [typed, setTyped] = useState(NOTHING_TYPED);
  const [typedBalance, setTypedBalance] = useState<string>();
  const words = instruments.sample;
  const { faces } = sample;

  const reads = readsOf(faces);
  const balance = balanceOf(
    sample.balance.kind === 'read' ? sample.balance.read : undefined,
    typedBalance,
  );
  const kept = keptOf(reads, typed, balance, sample.loose);
  const swings = reads.map(([, read]) => skipsBySwing(read));
  const most = (swing: 'left' | 'right') => Math.max(0, ...swings.map((one) => one[swing]));
  const forget = (side: SampleSide) => {
    setTyped((before) => ({ ...before, [side]: {} }));
    setTypedBalance(undefined);
  };
  const fresh = {
    ...sample,
    take: (...[side, picture, pointed]: Parameters<typeof sample.take>) => {
      forget(side);
      sample.take(side, picture, pointed);
    },
    leaveOut: (side: SampleSide) => {
      forget(side);
      sample.leaveOut(side);
    },
  };
  return (
    <Frame
      photos
      answerFirst
      title={words.heading}
      drawing={
        <div className="flex flex-col gap-6">
          {SAMPLE_SIDES.map((side) => (
            <FaceCard key={side} side={side} face={faces[side]} sample={fresh} />
          ))}
          {reads.length > 0 && <p className="text-sm text-quiet">{words.picture.legend}</p>}
        </div>
      }
      verdict={
        <SampleVerdict
          sample={kept === 'no-figure' ? undefined : kept}
          swings={{ left: most('left'), right: most('right') }}
          balance={sample.balance}
          atOdds={sample.atOdds}
        />
      }
      end={<KeepSample kept={kept} faces={faces} />}
    >
      <p className="max-w-prose leading-snug">{words.how}</p>
      <PaperLink href={pathTo('readSampleCard', {})} className="self-start">
        {words.card}
      </PaperLink>
      {reads.length > 0 && (
        <>
          <FigureTable
            reads={reads}
            loose={sample.loose}
            typed={typed}
            onTyped={(side, figures) => setTyped({ ...typed, [side]: figures })}
          />
          <NumberField
            label={words.figures.balance}
            value={typedBalance ?? (balance ? String(balance.value) : '')}
            className="w-40"
            hint={
              typedBalance !== undefined
                ? words.figures.byHand
                : balance && balance.error !== undefined
                  ? words.figures.balanceError(balance.error.toFixed(2))
                  : words.figures.needsBoth
            }
            error={balance === false ? words.figures.notABalance : undefined}
            onText={(text) => setTypedBalance(text === '' ? undefined : text)}
          />
          <PatternPart reads={reads} loose={sample.loose} />
          {reads.map(([side, read]) => (
            <StitchList key={side} side={side} read={read} through={sample.loose?.[side].through} />
          ))}
        </>
      )}
      <StandIn
        onTake={(made) => {
          setTyped(NOTHING_TYPED);
          setTypedBalance(undefined);
          sample.takeStandIn(made);
        }}
      />
    </Frame>
  );
}

function readsOf(faces: ReturnType<typeof useSample>['faces']): Reads {
  return SAMPLE_SIDES.flatMap((side) => {
    const face = faces[side];
    return face.kind === 'read' ? [[side, face.read] as const] : [];
  });
}

/** The sample as it would be kept; undefined before anything is measured. */
function keptOf(
  reads: Reads,
  typed: TypedSides,
  balance: ReturnType<typeof balanceOf>,
  loose: Sample['loose'],
): KeptSample | 'no-figure' | undefined {
  const [first] = reads;
  if (!first) return undefined;
  const faces = reads.map(
    ([side, read]) => [side, faceOf(read, typed[side], loose?.[side])] as const,
  );
  if (balance === false || faces.some(([, face]) => face === undefined)) return 'no-figure';
  return {
    seam: first[1].seam.kind,
    faces: Object.fromEntries(faces),
    ...(balance && { balance }),
  };
}
