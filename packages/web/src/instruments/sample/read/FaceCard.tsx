import type { SampleSide } from '@nodo/core';
import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { Preview } from '../../../ticket/photo/Preview.tsx';
import { Button } from '../../../ui/Button.tsx';
import { PictureChooser } from '../../../ui/PictureChooser.tsx';
import { Sewing } from '../../../ui/Stitches.tsx';
import type { FaceState, Sample } from '../reader/useSample.ts';
import { CardLaid } from './CardLaid.tsx';
import { PointAt } from './PointAt.tsx';
import { POINTED_AT, type PointedWhat } from './points.ts';
import { SamplePicture } from './SamplePicture.tsx';

/** One side of the sample: its picture, what was found in it, or how to take it. */
export function FaceCard({
  side,
  face,
  sample: { take, leaveOut, stop },
}: {
  readonly side: SampleSide;
  readonly face: FaceState;
  readonly sample: Sample;
}) {
  const words = instruments.sample;
  const [begun, setBegun] = useState<{ readonly what: PointedWhat; readonly picture: Blob }>();
  const isTaken = face.kind === 'read' || face.kind === 'refused';
  const picture = isTaken ? face.picture : undefined;
  // Points belong to their picture: with another one nothing is pointed at.
  const pointing = begun?.picture === picture ? begun?.what : undefined;
  const chooser = (label: string) => (
    <PictureChooser label={label} onFile={(file) => take(side, file)} />
  );
  return (
    <section aria-label={words.sides[side]} className="flex flex-col gap-2">
      <h2 className="font-semibold">{words.sides[side]}</h2>
      {face.kind === 'empty' && (
        <div className="flex flex-wrap items-center gap-4">
          <CardLaid side={side} />
          {chooser(words.picture.choose(side))}
        </div>
      )}
      {face.kind === 'reading' && (
        <div className="flex flex-wrap items-center justify-between gap-3">
          <Sewing label={words.stage[face.stage]} />
          <Button onClick={stop}>{words.stop}</Button>
        </div>
      )}
      {face.kind === 'refused' && (
        <>
          {face.picture && !pointing && (
            <Preview blob={face.picture} account={words.picture.whole(side)} />
          )}
          <p role="alert" className="max-w-prose leading-snug font-semibold">
            {words.refused[face.why]}
          </p>
        </>
      )}
      {face.kind === 'read' && (
        <>
          {!pointing && <SamplePicture picture={face.picture} side={side} read={face.read} />}
          {face.isMadeUp && <p className="text-sm text-quiet">{words.standIn.isUsed}</p>}
        </>
      )}
      {pointing && isTaken && picture && (
        <PointAt
          what={pointing}
          picture={picture}
          side={side}
          before={face.pointed}
          onLeave={() => setBegun(undefined)}
          onPointed={(pointed) => {
            setBegun(undefined);
            take(side, picture, { ...face.pointed, ...pointed });
          }}
        />
      )}
      {isTaken && !pointing && (
        <div className="flex flex-wrap items-center gap-2">
          {picture &&
            POINTED_AT.map((what) => (
              <Button
                key={what}
                look={face.kind === 'refused' ? 'plain' : 'quiet'}
                onClick={() => setBegun({ what, picture })}
              >
                {words.pointing[what].begin}
              </Button>
            ))}
          {chooser(words.picture.other)}
          <Button look="quiet" onClick={() => leaveOut(side)}>
            {words.picture.remove}
          </Button>
        </div>
      )}
    </section>
  );
}
