import { DIAL, dialPullsVerdict, type PulledBy, pullAt } from '@nodo/core';
import { UNKNOWN_TENSION } from '@nodo/shop';
import { useState } from 'react';
import { PullCurve } from '../../../drawing/tension/PullCurve.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { NumberField } from '../../../ui/Field.tsx';
import { Choices } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepLook, mayDo } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { useOwnCard } from '../../frame/useOwnCard.ts';
import { Baseline } from './Baseline.tsx';
import { DrawnByGauge } from './DrawnByGauge.tsx';
import { PullsVerdict } from './PullsVerdict.tsx';
import {
  looksOfPulls,
  measuresOfPulls,
  pullsTyped,
  pullTyped,
  ROWS,
  type Row,
  type RowId,
  type TypedPulls,
} from './pullReading.ts';

/** The top thread pulled by gauge or by feel, presser up and down, through the dial; held against the machine's baseline. */
export function PullPart() {
  const bench = useInstrumentBench();
  const { onTicket, card } = bench;
  const own = useOwnCard();
  const tension = own?.card?.tension ?? card?.tension ?? UNKNOWN_TENSION;
  const [by, setBy] = useState<PulledBy>('gauge');
  const [typed, setTyped] = useState<TypedPulls>({});
  const [active, setActive] = useState<RowId>('free');
  const words = instruments.tensionPull;
  const pulls = pullsTyped(typed);
  const verdict = dialPullsVerdict(pulls, by);
  const bobbin = onTicket?.ticket.life.measures.findLast(
    ({ quantity }) => quantity === 'bobbin-tension',
  )?.value;
  const middle = by === 'gauge' ? pullAt(pulls, DIAL.middle) : undefined;
  const isEmpty = pulls.free === undefined && pulls.pulls.length === 0;
  const write1 = (id: RowId, text: string) => setTyped({ ...typed, [id]: text });
  const keep = () => {
    if (!onTicket) return;
    const isSet = onTicket.ticket.performedActions.some(({ action }) => CHANGED.has(action));
    if (mayDo(bench) && by === 'gauge') {
      for (const measure of measuresOfPulls(pulls, isSet ? 'set' : 'found')) {
        onTicket.record('measured', measure);
      }
    }
    for (const { check, seen } of looksOfPulls(verdict)) keepLook(bench, check, [seen]);
  };
  const nameOf = (row: Row) =>
    row.presser === 'up' ? words.free : words.row(String(row.dial), row.going);
  return (
    <Frame
      title={words.heading}
      drawing={
        <PullCurve
          pulls={pulls.pulls}
          baseline={tension.baseline?.by === by ? tension.baseline.pulls : []}
          steps={by === 'feel' ? words.felt : undefined}
        />
      }
      verdict={<PullsVerdict verdict={verdict} ratio={ratioOf(middle, bobbin)} />}
      end={
        <>
          <KeepButton label={words.keep} lacks={isEmpty && words.lacks} onKeep={keep} />
          <Baseline
            own={own}
            tension={tension}
            by={by}
            pulls={pulls}
            bobbin={bobbin}
            isEmpty={isEmpty}
          />
        </>
      }
    >
      <p className="max-w-prose leading-snug">{words.how}</p>
      <Choices
        legend={words.by}
        value={by}
        options={[
          ['gauge', words.byIs.gauge],
          ['feel', words.byIs.feel],
        ]}
        onChoose={(next) => {
          // A step by feel is no gram-force.
          setBy(next);
          setTyped({});
        }}
      />
      {by === 'gauge' && (
        <DrawnByGauge
          forWhat={nameOf(ROWS.find(({ id }) => id === active) ?? ROWS[0])}
          onTake={(pull) => write1(active, String(Math.round(pull * 10) / 10))}
        />
      )}
      <div className="flex flex-col gap-2">
        {ROWS.map((row) =>
          by === 'gauge' ? (
            <NumberField
              key={row.id}
              label={`${nameOf(row)}, gf`}
              value={typed[row.id] ?? ''}
              error={pullTyped(typed[row.id]) === 'wrong' ? words.notAPull : undefined}
              className="max-w-80"
              onFocus={() => setActive(row.id)}
              onText={(text) => write1(row.id, text)}
            />
          ) : (
            <Choices
              key={row.id}
              legend={nameOf(row)}
              value={typed[row.id]}
              options={words.felt.map((step, place) => [String(place), step] as const)}
              onChoose={(step) => write1(row.id, step)}
            />
          ),
        )}
      </div>
      <p className="text-sm text-quiet">{words.freeWhy}</p>
      {bobbin === undefined && <p className="text-sm text-quiet">{words.verdict.noBobbin}</p>}
    </Frame>
  );
}

/** After these the pulls are no longer as they were found. */
const CHANGED: ReadonlySet<string> = new Set([
  'rethreaded',
  'discs-cleaned',
  'tension-unit-repaired',
  'dial-set',
]);

function ratioOf(middle: number | undefined, bobbin: number | undefined): string | undefined {
  if (middle === undefined || bobbin === undefined || bobbin === 0) return undefined;
  return write.tenths(middle / bobbin);
}
