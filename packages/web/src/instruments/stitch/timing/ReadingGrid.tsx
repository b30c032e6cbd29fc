import { MEETING_READINGS, type MeetingReading } from '@nodo/core';
import { READING_QUANTITY, type StitchMachine } from '@nodo/shop';
import type { SwingPlace } from '@nodo/ticket';
import { Fragment } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Choices } from '../../frame/bits.tsx';
import { type LiftWay, placesOf, type ReadCell, type TypedReadings } from './timingReading.ts';

/** What is read at each swing, each held against what it should be there. */
export function ReadingGrid({
  machine,
  typed,
  cells,
  liftWay,
  onLiftWay,
  onType,
}: {
  readonly machine: StitchMachine;
  readonly typed: TypedReadings;
  readonly cells: readonly ReadCell[];
  readonly liftWay: LiftWay;
  readonly onLiftWay: (way: LiftWay) => void;
  readonly onType: (typed: TypedReadings) => void;
}) {
  const words = instruments.stitch.timing;
  const places = placesOf(machine);
  const type = (place: SwingPlace, reading: MeetingReading, text: string) =>
    onType({ ...typed, [place]: { ...typed[place], [reading]: text } });
  return (
    <div className="flex flex-col gap-3">
      {places.length > 1 && <p className="leading-snug font-semibold">{words.zigzag}</p>}
      <Choices
        legend={words.liftBy}
        value={liftWay}
        options={(['mm', 'degrees'] as const).map((way) => [way, words.liftWays[way]] as const)}
        onChoose={onLiftWay}
      />
      {MEETING_READINGS.map((reading) => {
        const unit = reading === 'lift' && liftWay === 'degrees' ? '°' : 'mm';
        return (
          <Fragment key={reading}>
            <p className="-mb-2 flex items-baseline gap-2 font-semibold">
              {words.reading[reading]}
              <ProvenanceMark
                standing={machine.own.has(READING_QUANTITY[reading]) ? 'shop' : 'typical'}
              />
            </p>
            <div className="grid grid-cols-3 gap-2">
              {places.map(([place]) => {
                const cell = cells.find((one) => one.place === place && one.reading === reading);
                return (
                  cell && (
                    <NumberField
                      key={place}
                      label={words.cell(words.reading[reading], words.swing[place], unit)}
                      shown={words.swing[place]}
                      unit={unit}
                      value={typed[place][reading]}
                      hint={hintOf(cell)}
                      error={Number.isNaN(cell.value) ? words.notRead : undefined}
                      onText={(text) => type(place, reading, text)}
                    />
                  )
                );
              })}
            </div>
          </Fragment>
        );
      })}
    </div>
  );
}

/** What it should be there, in millimetres, and whether it is. */
function hintOf({ target, isWithin, reading, value }: ReadCell): string {
  const words = instruments.stitch.timing;
  const round = (one: number) => write.figure(Math.round(one * 100) / 100);
  const limit = words.limit(round(target.least), round(target.most));
  if (isWithin === undefined) return limit;
  const as = reading === 'lift' && value !== undefined ? `${round(value)} mm: ` : '';
  return `${as}${isWithin ? words.within : words.outside} ${limit}`;
}
