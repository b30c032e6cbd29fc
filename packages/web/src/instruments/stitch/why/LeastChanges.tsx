import { isWithin, MEETING_READINGS, SETTINGS, type SettingMinutes, whereValid } from '@nodo/core';
import type { ActionId, FamilyModel } from '@nodo/knowledge';
import {
  questionOf,
  readAt,
  type StitchMachine,
  type StitchSettings,
  withAdjustment,
} from '@nodo/shop';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { instrumentRoot } from '../../frame/instrumentBench.ts';
import { swingPlace } from '../scene/account.ts';
import type { Stitch } from '../settings/useStitch.ts';
import { theSolver } from '../solver/solver.ts';
import { useComputed } from '../solver/useComputed.ts';
import { headlineOf } from './verdict.ts';

/** What is done at the bench for each setting. */
const ACTIONS = {
  needle: 'needle-set',
  timing: 'timing-set',
  bar: 'bar-height-set',
  gap: 'hook-gap-set',
} as const satisfies Record<(typeof SETTINGS)[number], ActionId>;

function minutesOf(model: FamilyModel): SettingMinutes {
  return Object.fromEntries(
    SETTINGS.map((setting) => [setting, model.actions.get(ACTIONS[setting])?.minutes ?? 0]),
  ) as unknown as SettingMinutes;
}

/** For each setting the least change that helps, the cheapest first; nothing while the stitch forms. */
export function LeastChanges({
  stitch,
  machine,
  onSet,
}: {
  readonly stitch: Stitch;
  readonly machine: StitchMachine;
  readonly onSet: (settings: StitchSettings) => void;
}) {
  const bench = useInstrumentBench();
  const { model } = bench;
  const { settings, scene, question } = stitch.states.found;
  const asked = stitch.ask(settings);
  const minutes = minutesOf(model);
  const headline = scene && question && headlineOf({ scene, question }, settings);
  const isNeeded = headline !== undefined && headline !== 'forms' && headline !== 'thread';
  const computed = useComputed(isNeeded ? `least ${JSON.stringify(asked)}` : 'nothing', () =>
    isNeeded ? theSolver().least(asked, minutes) : Promise.resolve({ answer: [] }),
  );
  const words = instruments.stitch.least;
  if (!isNeeded || !computed) return null;
  const changes =
    'answer' in computed
      ? computed.answer.filter(({ change, setting }) => change !== 0 || setting === 'needle')
      : [];
  return (
    <section aria-label={words.title} className="print:hidden">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      {changes.length === 0 && <p>{words.none}</p>}
      <ol className="mt-1 flex flex-col gap-2">
        {changes.map(({ setting, change, minutes: takes, unmet, margins }) => (
          <li key={setting} className="border-b border-rule pb-2" data-least={setting}>
            <p className="leading-snug font-semibold">{words.does[setting](change)}</p>
            <p className="text-sm text-quiet">
              {words.takes(write.duration(takes))}{' '}
              {unmet.length === 0
                ? words.leaves(Math.min(...margins.map(({ margin }) => margin)))
                : words.unmet(unmet.map((swing) => m.life.swing(swingPlace(swing))).join(', '))}
            </p>
            <StillOutside
              machine={machine}
              settings={withAdjustment(settings, stitch.right, setting, change)}
            />
            <Button
              className="mt-1"
              onClick={() => onSet(withAdjustment(settings, stitch.right, setting, change))}
            >
              {words.show}
            </Button>
          </li>
        ))}
      </ol>
      <p className="mt-1 text-sm text-quiet">{words.order}</p>
      <TextLink to={`${instrumentRoot(bench, 'stitch')}/timing`}>{words.toTiming}</TextLink>
    </section>
  );
}

/** A change that helps need not be what is off: what would still be read outside its range says so. */
function StillOutside({
  machine,
  settings,
}: {
  readonly machine: StitchMachine;
  readonly settings: StitchSettings;
}) {
  const question = whereValid(() => questionOf(machine, settings));
  if (!question) return null;
  const read = readAt(question);
  const outside = MEETING_READINGS.filter(
    (reading) => !isWithin(read[reading], machine.targets[reading]),
  );
  if (outside.length === 0) return null;
  const words = instruments.stitch;
  return (
    <p className="text-sm">
      {words.least.outside(outside.map((reading) => words.timing.reading[reading]).join(', '))}
    </p>
  );
}
