import { sizeName } from '@nodo/core';
import { needleLine } from '@nodo/shop';
import { mayRecord, type RegisterEntry } from '@nodo/ticket';
import { useState } from 'react';
import { NeedleComesAndGoes } from '../../../drawing/needle/NeedleComesAndGoes.tsx';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { usePeopleById } from '../../../session/usePeopleById.ts';
import { Choices } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo } from '../../frame/instrumentBench.ts';
import { useRegister } from '../../frame/useRegister.ts';
import { endsAfter, FROM, NeedleForm, typedNow } from './NeedleForm.tsx';

const MOST_SHOWN = 12;

/** Which needle is in the machine, by whom, since when; where the last one went; what lies opened. */
export function RegisterPart() {
  const register = useRegister(useInstrumentBench());
  const [at, setAt] = useState(1);
  // Another needle is in, or another one is looked at: what was typed belongs to the one before.
  return (
    <RegisterAt
      key={`${at} ${register.at.get(at)?.id ?? ''}`}
      at={at}
      register={register}
      onAt={setAt}
    />
  );
}

function RegisterAt({
  at,
  register,
  onAt,
}: {
  readonly at: number;
  readonly register: ReturnType<typeof useRegister>;
  readonly onAt: (at: number) => void;
}) {
  const bench = useInstrumentBench();
  const { at: positions, entries, opened, usedUp, fault } = register;
  const earlier = entries.filter(({ id }) => id !== positions.get(at)?.id);
  const people = usePeopleById();
  const count = bench.card?.needles ?? 1;
  const now = positions.get(at);
  const words = instruments.needle.register;
  const by = (entry: RegisterEntry) =>
    instruments.needle.nowLine(
      needleLine(entry.needle),
      people.get(entry.by)?.name ?? '',
      write.moment(entry.when),
    );
  const system = bench.card?.facts.needleSystem ?? bench.model.family.needleSystem;
  const [typed, setTyped] = useState(() => typedNow(now, system));
  const { role } = useSession().person;
  const isKnown = bench.machine !== undefined || bench.onTicket !== undefined;
  const mayWrite =
    mayDo(bench) ||
    (bench.onTicket === undefined &&
      bench.machine !== undefined &&
      mayRecord(role, 'needle-fitted'));
  return (
    <Frame
      title={words.heading}
      drawing={
        mayWrite && (
          <NeedleComesAndGoes
            from={typed.from}
            before={typed.from === 'found' ? undefined : typed.before}
            size={typed.needle.size}
            name={typed.from === 'opened' ? '' : sizeName(typed.needle.size)}
            origins={FROM}
            ends={endsAfter(now)}
            onFrom={(from) => setTyped({ ...typed, from })}
            onBefore={(before) => setTyped({ ...typed, before })}
          />
        )
      }
      verdict={
        isKnown && (
          <p className="text-lg leading-snug">
            {now ? (
              <>
                <strong>{instruments.needle.nowIn}:</strong> {by(now)}.{' '}
                {now.sewn === null ? words.sewnNone : words.sewnLine(write.figure(now.sewn))}
              </>
            ) : (
              instruments.needle.unknown
            )}
          </p>
        )
      }
      end={
        <>
          {fault && <p role="alert">{words.failed}</p>}
          {isKnown && entries.length === 0 && <p className="text-quiet">{words.nothing}</p>}
          {earlier.length + usedUp > 0 && (
            <section aria-label={words.history}>
              <h2 className="font-semibold">{words.history}</h2>
              <ul>
                {earlier.slice(0, MOST_SHOWN).map((entry) => (
                  <li key={entry.id} className="border-b border-rule py-2 leading-snug">
                    {count > 1 && `${instruments.needle.seat.needle(entry.at)}: `}
                    {by(entry)}
                    <span className="block text-sm text-quiet">
                      {words.froms[entry.from]}
                      {entry.before !== 'none' &&
                        `; ${words.before}: ${words.befores[entry.before]}`}
                    </span>
                  </li>
                ))}
              </ul>
              <p className="mt-1 text-sm text-quiet">{words.used(usedUp)}</p>
            </section>
          )}
          {opened.length > 0 && (
            <section aria-label={words.openedTitle}>
              <h2 className="font-semibold">{words.openedTitle}</h2>
              <ul>
                {opened.map((one) => (
                  <li key={one.id} className="border-b border-rule py-2 leading-snug">
                    {needleLine(one.needle)}
                    <span className="block text-sm text-quiet">
                      {one.sewn === null ? words.sewnNone : words.sewnLine(write.figure(one.sewn))},{' '}
                      {people.get(one.by)?.name}, {write.moment(one.when)}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </>
      }
    >
      {!isKnown && <p>{words.noMachine}</p>}
      {isKnown && count > 1 && (
        <Choices
          legend={words.heads}
          value={at}
          options={Array.from({ length: count }, (_, index) => [index + 1, String(index + 1)])}
          onChoose={onAt}
        />
      )}
      {mayWrite && <NeedleForm at={at} now={now} opened={opened} typed={typed} onType={setTyped} />}
    </Frame>
  );
}
