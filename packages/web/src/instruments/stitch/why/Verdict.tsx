import { isWithin, MEETING_READINGS } from '@nodo/core';
import { SEEN_SKIPS } from '@nodo/knowledge';
import { READING_QUANTITY, readAt, type StitchMachine, sameSettings } from '@nodo/shop';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { swingPlace } from '../scene/account.ts';
import type { Stitch, StitchState } from '../settings/useStitch.ts';
import { headlineOf, seenSigns, struckBy, worstPlace, worstSwing } from './verdict.ts';

/** What the hook finds at each swing, as found beside as set, and what somebody would see of it. */
export function Verdict({
  stitch,
  machine,
}: {
  readonly stitch: Stitch;
  readonly machine: StitchMachine;
}) {
  const { model } = useInstrumentBench();
  const words = instruments.stitch.verdict;
  const now: StitchState = stitch.isSet ? 'set' : 'found';
  const { scene, question, settings } = stitch.states[now];
  if (!scene || !question) return null;
  const scened = { scene, question };
  const worst = scene.swings[worstSwing(scene)];
  const headline = headlineOf(scened, settings);
  const isUnmeasured =
    !stitch.isSet &&
    sameSettings(settings, stitch.right) &&
    Object.keys(stitch.said?.found ?? {}).length === 0;
  const signs = seenSigns(scened);
  const struck = struckBy(machine, settings);
  return (
    <section aria-label={words.title} className="flex flex-col gap-3">
      <p className="text-2xl leading-tight font-bold" data-headline={headline}>
        {words.headline(
          isUnmeasured ? 'unmeasured' : headline,
          worstPlace(scene),
          worst?.meeting.skips ?? 0,
        )}
      </p>
      {isUnmeasured && <p className="leading-snug">{words.unmeasured}</p>}
      <Margins stitch={stitch} />
      <ReadAtBench stitch={stitch} machine={machine} />
      {struck.map(([obstacle, by]) => (
        <p key={obstacle} className="font-semibold">
          {words.strikes[obstacle](by)}
        </p>
      ))}
      <p className="leading-snug">{words.inNeedle(question.inNeedle)}</p>
      {signs.length > 0 && (
        <p className="leading-snug">
          <strong>{words.seen}</strong>{' '}
          {signs.map((id) => model.findings.get(id)?.answer ?? id).join(', ')}
        </p>
      )}
      <p className="text-sm text-quiet">{words.model}</p>
    </section>
  );
}

function Margins({ stitch: { states, isSet } }: { readonly stitch: Stitch }) {
  const words = instruments.stitch.verdict;
  const shown: readonly StitchState[] = isSet ? ['found', 'set'] : ['found'];
  const swings = states.found.scene?.swings ?? [];
  return (
    <table className="w-full text-left tabular-nums">
      <StatesHead title={words.left} shown={shown} />
      <tbody>
        {swings.map((one, index) => (
          <tr key={one.meeting.swing} className="border-t border-rule">
            <th scope="row" className="py-1 font-normal">
              {swings.length > 1 ? m.life.swing(swingPlace(one.meeting.swing)) : words.straight}
            </th>
            {shown.map((state) => {
              const meeting = states[state].scene?.swings[index]?.meeting;
              return (
                <td
                  key={state}
                  className={`py-1 pl-3 text-right leading-tight ${meeting && meeting.skips > SEEN_SKIPS ? 'font-semibold' : ''}`}
                  data-margin-of={`${state} ${swingPlace(one.meeting.swing)}`}
                >
                  {meeting ? words.margin(meeting) : ''}
                  <span className="block text-sm font-normal text-quiet">
                    {meeting ? words.skips(meeting) : ''}
                  </span>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What a caliper and a feeler would read of it, held against what they should. */
function ReadAtBench({
  stitch: { states, isSet },
  machine,
}: {
  readonly stitch: Stitch;
  readonly machine: StitchMachine;
}) {
  const words = instruments.stitch.verdict;
  const shown: readonly StitchState[] = isSet ? ['found', 'set'] : ['found'];
  const round = (value: number) => write.figure(Math.round(value * 100) / 100);
  return (
    <table className="w-full text-left tabular-nums">
      <StatesHead title={words.read} shown={shown} />
      <tbody>
        {MEETING_READINGS.map((reading) => {
          const target = machine.targets[reading];
          const isOwn = machine.own.has(READING_QUANTITY[reading]);
          return (
            <tr key={reading} className="border-t border-rule">
              <th scope="row" className="py-1 leading-tight font-normal">
                {instruments.stitch.timing.reading[reading]}
                <span className="block text-sm text-quiet">
                  {words.shouldBe(round(target.least), round(target.most))}{' '}
                  <ProvenanceMark standing={isOwn ? 'shop' : 'typical'} />
                </span>
              </th>
              {shown.map((state) => {
                const { question } = states[state];
                const value = question && readAt(question)[reading];
                const isOff = value !== undefined && !isWithin(value, target);
                return (
                  <td
                    key={state}
                    className={`py-1 pl-3 text-right ${isOff ? 'font-semibold' : ''}`}
                  >
                    {value === undefined ? '' : words.mm(value, reading)}
                  </td>
                );
              })}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function StatesHead({
  title,
  shown,
}: {
  readonly title: string;
  readonly shown: readonly StitchState[];
}) {
  return (
    <thead className="text-sm text-quiet">
      <tr>
        <th scope="col" className="font-normal">
          {title}
        </th>
        {shown.map((state) => (
          <th key={state} scope="col" className="pl-3 text-right font-normal">
            {instruments.stitch.why.states[state]}
          </th>
        ))}
      </tr>
    </thead>
  );
}
