import { useState } from 'react';
import { BobbinFill } from '../../../drawing/BobbinFill.tsx';
import { SeamCovered } from '../../../drawing/SeamCovered.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { Reading } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { threadOn } from '../../frame/instrumentBench.ts';
import { LEFT_FIELDS, type TypedBobbin, threadLeft } from './leftReading.ts';

/** How much thread is on the bobbin, full and now, and whether that lasts. */
export function LeftPart() {
  const bench = useInstrumentBench();
  const [typed, setTyped] = useState<TypedBobbin>({
    full: '19.5',
    core: '8',
    width: '8.8',
    winding: '19.5',
    thread: threadOn(bench).toFixed(2),
    length: '2.5',
    zigzag: '0',
    fabric: '0.6',
    seam: '5',
  });
  const words = instruments.bobbin.left;
  const left = threadLeft(typed);
  const say = (metres: number) => words.metres(write.tenths(metres));
  return (
    <Frame
      title={words.heading}
      drawing={
        left && (
          <div className="flex flex-col gap-2">
            <BobbinFill
              room={left.room}
              figure={words.windingNow(write.figure(left.room.winding))}
              onWinding={(across) => setTyped({ ...typed, winding: String(across) })}
            />
            <SeamCovered
              wanted={left.wanted}
              covered={left.seam}
              words={[say(left.wanted), say(left.seam)]}
            />
          </div>
        )
      }
      verdict={
        left === undefined ? (
          <p className="text-lg">{words.wrong}</p>
        ) : (
          <>
            <p className={`text-2xl leading-tight font-bold ${left.lasts ? 'text-below' : ''}`}>
              {left.lasts ? words.lasts : words.short}
            </p>
            <dl>
              <Reading name={words.holds} value={say(left.full)} standing="derived" />
              <Reading name={words.has} value={say(left.left)} standing="derived" />
              <Reading
                name={words.stitches}
                value={words.count(write.figure(left.stitches))}
                standing="derived"
                bad={!left.lasts}
              />
            </dl>
          </>
        )
      }
    >
      <div className="grid grid-cols-2 gap-3">
        {LEFT_FIELDS.map((field) => (
          <NumberField
            key={field}
            label={words[field]}
            value={typed[field]}
            onText={(text) => setTyped({ ...typed, [field]: text })}
          />
        ))}
      </div>
    </Frame>
  );
}
