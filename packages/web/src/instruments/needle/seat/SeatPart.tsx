import { mm } from '@nodo/core';
import { SCARF_SIDES, type ScarfSide, scarfFaces, systemFor } from '@nodo/knowledge';
import { useState } from 'react';
import { LoopView } from '../../../drawing/needle/LoopView.tsx';
import { BELOW_BOX, NeedleFromBelow, NeedleViews } from '../../../drawing/needle/NeedleViews.tsx';
import { TapPlace } from '../../../drawing/Taps.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choices } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayKeep, threadOn } from '../../frame/instrumentBench.ts';
import { UnpluggedCaution } from '../../frame/UnpluggedCaution.tsx';
import { useRegister } from '../../frame/useRegister.ts';
import { HeadRow } from './HeadRow.tsx';
import { SeatEffectView } from './SeatEffectView.tsx';
import { SeatQuestions } from './SeatQuestions.tsx';
import { SeatToDo } from './SeatToDo.tsx';
import {
  angleLimitOf,
  azimuthOf,
  effectOf,
  isAnswered,
  meetingOf,
  rightReading,
  type SeatReading,
  type SeatTarget,
  seatEntries,
  sideTapped,
  targetAngle,
  UNLOOKED,
} from './seatReading.ts';
import { seatStanding } from './seatStanding.ts';

/** How the needle sits: height, facing, squareness, clamp, socket; what that does to the loop. */
export function SeatPart() {
  const bench = useInstrumentBench();
  const { card, model, onTicket } = bench;
  const known = card?.scarf ?? scarfFaces(model.family.id);
  const [byGuide, setByGuide] = useState<ScarfSide>();
  const [readings, setReadings] = useState<ReadonlyMap<number, SeatReading>>(new Map());
  const [isKept, setKept] = useState(false);
  // Counts the restarts, so that nothing typed stays from the time before.
  const [round, setRound] = useState(0);
  const [at, setAt] = useState(1);
  const count = card?.needles ?? 1;
  const system = systemFor(model.family.traits);
  const shouldFace = known ?? byGuide;
  const target: SeatTarget = {
    faces: shouldFace ?? 'back',
    angle: targetAngle(card),
    round: !system.flat,
  };
  const now = useRegister(bench).at.get(at);
  const thread = threadOn(bench);
  const words = instruments.needle.seat;
  const standing = onTicket && seatStanding(onTicket.ticket, model);
  const reading = readings.get(at) ?? UNLOOKED;
  const blade = (now?.needle.size ?? 80) / 100;
  const hook = meetingOf(card);
  const effect = effectOf(reading, target, thread, hook);
  const right = effectOf(rightReading(target), target, thread, hook);
  const low = typeof reading.low === 'number' ? reading.low : 0;
  const faces = reading.faces ?? target.faces;
  const scarf = azimuthOf(faces, reading.angle);
  const others = count - readings.size - (readings.has(at) ? 0 : 1);
  const isWhole = readings.size > 0 && [...readings.values()].every(isAnswered);
  const isDone = shouldFace !== undefined && isWhole && readings.size === count;

  const forget = () => {
    setRound(round + 1);
    setReadings(new Map());
    setKept(false);
  };
  const change = (next: SeatReading) => {
    setReadings(new Map(readings).set(at, next));
    setKept(false);
  };
  const restRight = () => change({ ...rightReading(target), angle: reading.angle });
  const othersRight = () =>
    setReadings(
      new Map(
        Array.from({ length: count }, (_, index) => index + 1).map((position) => [
          position,
          readings.get(position) ?? rightReading(target),
        ]),
      ),
    );
  const keep = () => {
    if (!onTicket || !isDone) return;
    const when = standing?.isSet ? 'set' : 'found';
    const entries = seatEntries(readings, target, model, when, angleLimitOf(card));
    setKept(entries.every(([type, command]) => onTicket.record(type, command)));
  };

  return (
    <Frame
      title={standing?.isSet ? words.again : words.heading}
      top={<UnpluggedCaution text={words.caution} />}
      drawing={
        <div className="flex flex-wrap items-start gap-4">
          <NeedleViews
            shape={{ system, blade: mm(blade) }}
            low={low}
            scarf={scarf}
            account={instruments.needle.drawing.account(
              low,
              instruments.needle.drawing.sides[faces],
            )}
          />
          <div className="flex flex-col gap-4">
            <TapPlace
              box={BELOW_BOX}
              label={words.tapSide}
              onTap={(x, y) => change({ ...reading, faces: sideTapped(x, y) })}
            >
              <NeedleFromBelow
                system={system}
                blade={blade}
                scarf={scarf}
                target={azimuthOf(target.faces, target.angle)}
                account={instruments.needle.drawing.below(
                  instruments.needle.drawing.sides[faces],
                  instruments.needle.drawing.sides[target.faces],
                )}
              />
            </TapPlace>
            {shouldFace !== undefined && (
              <LoopView
                effect={effect}
                right={right}
                blade={blade}
                system={system}
                account={instruments.needle.drawing.loop(
                  write.figure(Math.round(effect.towards * 100) / 100),
                  write.figure(effect.meetsAt),
                )}
              />
            )}
          </div>
        </div>
      }
      verdict={shouldFace !== undefined && <SeatEffectView {...{ effect, right, thread }} />}
      end={
        <>
          <div className="flex flex-wrap items-center gap-3">
            {count > 1 && !isAnswered(reading) && (
              <Button onClick={restRight}>{words.restRight}</Button>
            )}
            {others > 0 && isAnswered(reading) && (
              <Button onClick={othersRight}>{words.othersRight(others)}</Button>
            )}
            {mayKeep(bench) ? (
              <Button
                look="main"
                disabled={isKept}
                lacks={!isDone && words.notAll}
                onClick={keep}
                className="min-h-12 text-lg"
              >
                {standing?.isSet ? words.keepSet : words.keep}
              </Button>
            ) : (
              <Button onClick={forget}>{words.keepAlone}</Button>
            )}
          </div>
          {shouldFace !== undefined && (
            <SeatToDo
              target={target}
              targetWords={write.figure(target.angle)}
              readings={readings}
              standing={standing}
              isKept={isKept}
              onDone={forget}
            />
          )}
        </>
      }
    >
      {known === undefined && (
        <Choices
          legend={words.readGuide}
          value={byGuide}
          options={SCARF_SIDES.map(
            (side) => [side, instruments.needle.drawing.sides[side]] as const,
          )}
          onChoose={setByGuide}
        />
      )}
      {count > 1 && (
        <HeadRow count={count} readings={readings} target={target} chosen={at} onChoose={setAt} />
      )}
      <SeatQuestions
        key={`${round} ${at}`}
        reading={reading}
        target={target}
        knowsSide={shouldFace !== undefined}
        onChange={change}
      />
    </Frame>
  );
}
