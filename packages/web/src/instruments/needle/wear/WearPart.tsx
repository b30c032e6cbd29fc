import {
  bobbinMetres,
  eyePasses,
  mm,
  SEWN_AS,
  type SewingHabit,
  type SewnAs,
  type Stitches,
  sewnAs,
  stitches,
  stitchesSewn,
} from '@nodo/core';
import { dayAfter } from '@nodo/kernel';
import { type NeedleSchool, schoolsDue } from '@nodo/knowledge';
import { useState } from 'react';
import { WearThread } from '../../../drawing/needle/WearThread.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { shopClock } from '../../../time/shopTime.ts';
import { Button } from '../../../ui/Button.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Choices, Reading } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayKeep, threadOn } from '../../frame/instrumentBench.ts';
import { useRegister } from '../../frame/useRegister.ts';
import { habitOf, hasStruck, roundly, SETTINGS, sewnOf, type TypedHabit } from './wearReading.ts';

/** A class 15 bobbin, wound; typical. */
const USUAL_BOBBIN = { full: mm(19.5), core: mm(8), width: mm(8.8) };
/** Stitches from whatever is known, in every other measure, and when each school calls it due. */
export function WearPart() {
  const bench = useInstrumentBench();
  const now = useRegister(bench).at.get(1);
  const thread = threadOn(bench);
  const [as, setAs] = useState<SewnAs>('stitches');
  const [amount, setAmount] = useState(now?.sewn ? String(now.sewn) : '');
  const [typed, setTyped] = useState<TypedHabit>({
    rate: '800',
    duty: '40',
    length: '2.5',
    width: '0',
    under: '0.6',
    bobbin: bobbinMetres(USUAL_BOBBIN, thread).toFixed(0),
    week: '3',
  });
  const [projects, setProjects] = useState('0');
  const [struck, setStruck] = useState<'yes' | 'no'>(
    hasStruck(bench.onTicket?.ticket) ? 'yes' : 'no',
  );
  const [school, setSchool] = useState<NeedleSchool['id']>('bobbins');
  const words = instruments.needle.wear;
  const habit = habitOf(typed);
  const count = habit && sewnOf(readNumber(amount), as, habit);
  const schools = habit
    ? schoolsDue(count ?? stitches(0), readNumber(projects) ?? 0, habit, struck === 'yes')
    : [];
  // Projects count no stitches: their school stands below the thread, without a flag.
  const flags = schools.flatMap(({ title, by }) => (by ? [{ name: title, limit: by.limit }] : []));
  const judged = schools.find(({ id }) => id === school);
  const keep = () => {
    const { onTicket } = bench;
    if (!onTicket || count === undefined || !judged) return;
    const limit = judged.by
      ? { limit: { least: 0, most: judged.by.limit, standing: judged.standing } }
      : {};
    onTicket.record('measured', {
      quantity: 'needle-stitches',
      value: Math.round(count),
      when: 'found',
      at: 1,
      ...limit,
    });
    onTicket.record('findings-recorded', {
      check: 'needle-age',
      answers: { 'needle-overdue': judged.due ? 'yes' : 'no' },
    });
  };
  return (
    <Frame
      title={words.heading}
      drawing={
        habit && (
          <WearThread
            sewn={count}
            flags={flags}
            rulers={SEWN_AS.map((id) => ({
              id,
              name: words.as[id],
              stitches: stitchesSewn(1, id, habit),
            }))}
            account={words.thread(
              count === undefined ? undefined : write.figure(roundly(count)),
              flags
                .map(({ name, limit }) => words.flag(name, write.figure(roundly(limit))))
                .join('; '),
            )}
            label={words.tap}
            onTap={(tapped, by) => {
              setAs(by);
              setAmount(String(tapped));
            }}
          />
        )
      }
      verdict={
        habit && count !== undefined ? (
          <>
            <section aria-label={words.schools}>
              <h2 className="text-lg font-semibold">{words.schools}</h2>
              <ul className="mt-1 flex flex-col gap-2">
                {schools.map((one) => (
                  <SchoolLine
                    key={one.id}
                    school={one}
                    habit={habit}
                    week={readNumber(typed.week) ?? 0}
                  />
                ))}
              </ul>
            </section>
            <p className="text-quiet">
              {words.passes(write.figure(Math.round(eyePasses(mm(habit.threadPerStitch)))))}{' '}
              <ProvenanceMark standing="derived" />
            </p>
          </>
        ) : (
          <p className="text-lg">{words.sayAmount}</p>
        )
      }
      end={
        habit &&
        count !== undefined &&
        mayKeep(bench) && (
          <>
            <Choices
              legend={words.by}
              value={school}
              options={schools.map(({ id, title }) => [id, title] as const)}
              onChoose={setSchool}
            />
            <Button look="main" className="self-start" onClick={keep}>
              {`${words.keep}: ${judged?.due ? words.overdue : words.within}`}
            </Button>
          </>
        )
      }
    >
      <Choices
        legend={words.known}
        value={as}
        options={SEWN_AS.map((one) => [one, words.as[one]] as const)}
        onChoose={setAs}
      />
      <NumberField label={words.amount} value={amount} className="w-48" onText={setAmount} />
      {habit && count !== undefined && <Same count={count} habit={habit} />}
      <div className="grid grid-cols-2 gap-3">
        {SETTINGS.map((setting) => (
          <NumberField
            key={setting}
            label={words[setting]}
            value={typed[setting]}
            onChange={({ target }) => setTyped({ ...typed, [setting]: target.value })}
          />
        ))}
        <NumberField whole label={words.projects} value={projects} onText={setProjects} />
      </div>
      <Choices
        legend={instruments.needle.condition.struck}
        value={struck}
        options={[
          ['no', instruments.needle.condition.no],
          ['yes', instruments.needle.condition.yes],
        ]}
        onChoose={setStruck}
      />
      {struck === 'yes' && <p className="font-semibold text-hazard">{words.struck}</p>}
    </Frame>
  );
}

/** The same amount in every count. */
function Same({ count, habit }: { readonly count: Stitches; readonly habit: SewingHabit }) {
  const words = instruments.needle.wear;
  return (
    <section aria-label={words.same}>
      <h2 className="font-semibold">{words.same}</h2>
      <dl>
        {SEWN_AS.map((one) => (
          <Reading
            key={one}
            name={words.as[one]}
            value={write.figure(roundly(sewnAs(count, one, habit)))}
            standing="derived"
          />
        ))}
      </dl>
    </section>
  );
}

function SchoolLine({
  school,
  habit,
  week,
}: {
  readonly school: ReturnType<typeof schoolsDue>[number];
  readonly habit: SewingHabit;
  /** Hours at the machine in a week. */
  readonly week: number;
}) {
  const words = instruments.needle.wear;
  const { title, why, due, by, standing } = school;
  return (
    <li>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-semibold">{title}</span>
        <ProvenanceMark standing={standing} />
        <span className={due ? 'font-semibold' : ''}>
          {due ? words.due : by ? leftWords(by.left, habit, week) : words.noCount}
        </span>
      </p>
      <p className="text-sm leading-snug text-quiet">{why}</p>
    </li>
  );
}

const DAYS_A_WEEK = 7;
/** Further off than this no date is worth naming. */
const FAR_DAYS = 3650;

/** What is left of a needle in stitches and hours, and the day on which that is used up. */
function leftWords(left: Stitches, habit: SewingHabit, week: number): string {
  const hours = sewnAs(left, 'hours', habit);
  const days = week > 0 ? (hours / week) * DAYS_A_WEEK : Number.POSITIVE_INFINITY;
  const day = days > FAR_DAYS ? '–' : write.plainDay(dayAfter(shopClock().day, Math.floor(days)));
  return instruments.needle.wear.left(
    write.figure(roundly(left)),
    write.figure(roundly(hours)),
    day,
  );
}
