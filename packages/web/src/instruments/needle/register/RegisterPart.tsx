import { SOLD_SIZES, sizeName } from '@nodo/core';
import { NEEDLE_COATINGS, NEEDLE_POINTS } from '@nodo/knowledge';
import { needleLine } from '@nodo/shop';
import { mayRecord, NEEDLE_REPLACED, type NeedleIn, type RegisterEntry } from '@nodo/ticket';
import { useState } from 'react';
import { toast } from 'sonner';
import { useRegisterNeedleMutation } from '../../../api/client.ts';
import { faultWords } from '../../../messages/errors.ts';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { usePeopleById } from '../../../session/usePeopleById.ts';
import { Button } from '../../../ui/Button.tsx';
import { NumberField, TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { Select } from '../../../ui/Select.tsx';
import { Choices } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo } from '../../frame/instrumentBench.ts';
import { UnpluggedFirst } from '../../frame/UnpluggedFirst.tsx';
import { isUntold, useRegister } from './useRegister.ts';

const FROM = ['found', 'new', 'opened'] as const;
const BEFORE = ['none', 'used-up', 'put-back', 'broken'] as const;

/** Which needle is in the machine, by whom, since when; where the last one went; what lies opened. */
export function RegisterPart() {
  const bench = useInstrumentBench();
  const { at: positions, entries, opened, usedUp, fault } = useRegister(bench);
  const people = usePeopleById();
  const [at, setAt] = useState(1);
  const count = bench.card?.needles ?? 1;
  const now = positions.get(at);
  const words = instruments.needle.register;
  const by = (entry: RegisterEntry) =>
    instruments.needle.nowLine(
      needleLine(entry.needle),
      people.get(entry.by)?.name ?? '',
      write.moment(entry.when),
    );
  const { role } = useSession().person;
  const isKnown = bench.machine !== undefined || bench.onTicket !== undefined;
  const mayWrite =
    mayDo(bench) ||
    (bench.onTicket === undefined &&
      bench.machine !== undefined &&
      mayRecord(role, 'needle-fitted'));
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(22rem,1fr)_minmax(20rem,28rem)]">
      <div className="flex flex-col gap-4">
        <h1 className="text-2xl font-bold">{words.heading}</h1>
        {!isKnown && <p>{words.noMachine}</p>}
        {isKnown && count > 1 && (
          <Choices
            legend={words.heads}
            value={at}
            options={Array.from({ length: count }, (_, index) => [index + 1, String(index + 1)])}
            onChoose={setAt}
          />
        )}
        {isKnown && (
          <p className="text-lg">
            {now ? (
              <>
                <strong>{instruments.needle.nowIn}:</strong> {by(now)}.{' '}
                {now.sewn === null ? words.sewnNone : words.sewnLine(write.figure(now.sewn))}
              </>
            ) : (
              instruments.needle.unknown
            )}
          </p>
        )}
        {mayWrite && (
          <NeedleForm key={`${at} ${now?.id ?? ''}`} at={at} now={now} opened={opened} />
        )}
      </div>
      <div className="flex flex-col gap-6">
        {fault && <p role="alert">{words.failed}</p>}
        {isKnown && entries.length === 0 && <p className="text-quiet">{words.nothing}</p>}
        {entries.length > 0 && (
          <section aria-label={words.history}>
            <h2 className="font-semibold">{words.history}</h2>
            <ul>
              {entries.slice(0, MOST_SHOWN).map((entry) => (
                <li key={entry.id} className="border-b border-rule py-2 leading-snug">
                  {count > 1 && `${instruments.needle.seat.needle(entry.at)}: `}
                  {by(entry)}
                  <span className="block text-sm text-quiet">
                    {words.froms[entry.from]}
                    {entry.before !== 'none' && `; ${words.before}: ${words.befores[entry.before]}`}
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
      </div>
    </div>
  );
}

const MOST_SHOWN = 12;

function NeedleForm({
  at,
  now,
  opened,
}: {
  readonly at: number;
  readonly now: RegisterEntry | undefined;
  readonly opened: ReturnType<typeof useRegister>['opened'];
}) {
  const bench = useInstrumentBench();
  const { machine, onTicket, model, card } = bench;
  const system = card?.facts.needleSystem ?? model.family.needleSystem;
  const proof: NeedleIn['needle'] = {
    system: now?.needle.system ?? system,
    size: 80,
    point: 'fine-sharp',
    coating: 'chrome',
  };
  const [needle, setNeedle] = useState<NeedleIn['needle']>(now?.needle ?? proof);
  const [from, setFrom] = useState<NeedleIn['from']>(now ? 'new' : 'found');
  const [openedId, setOpenedId] = useState<string>();
  const [sewn, setSewn] = useState('');
  const [before, setBefore] = useState<NeedleIn['before']>(now ? 'used-up' : 'none');
  const [register, { isLoading, error }] = useRegisterNeedleMutation();
  const words = instruments.needle.register;
  const chosen = opened.find(({ id }) => id === openedId) ?? opened[0];

  const writeDown = async (entry: NeedleIn) => {
    if (onTicket) {
      const isNew = entry.from !== 'found';
      // Recording which needle went in also records that one did, unless that is recorded already.
      const isTold = !isNew || isUntold(onTicket.ticket);
      if (!isTold && !onTicket.record('action-done', { action: NEEDLE_REPLACED })) return;
      if (onTicket.record('needle-fitted', entry)) toast.success(words.kept);
    } else if (machine !== undefined) {
      const id = crypto.randomUUID();
      const result = await register({ machine, id, when: new Date().toISOString(), ...entry });
      if (result.data) toast.success(words.kept);
    }
  };
  const sewnBefore = readNumber(sewn) ?? null;
  // What the wear part counted on this ticket is nearer than what was known when it went in.
  const counted = onTicket?.ticket.life.measures.findLast(
    (measure) => measure.quantity === 'needle-stitches' && (measure.at ?? 1) === at,
  )?.value;
  const entry: NeedleIn = {
    at,
    needle: from === 'opened' && chosen ? chosen.needle : needle,
    from,
    opened: from === 'opened' && chosen ? chosen.id : null,
    sewn: from === 'new' ? 0 : from === 'opened' ? (chosen?.sewn ?? null) : sewnBefore,
    before,
    beforeSewn: before === 'put-back' ? (counted ?? now?.sewn ?? null) : null,
  };
  const isReady = from !== 'opened' || chosen !== undefined;
  const keep = (
    <Button type="submit" look="main" className="self-start" disabled={!isReady || isLoading}>
      {words.keep}
    </Button>
  );
  return (
    <Form
      className="flex flex-col gap-4"
      onSubmit={() => {
        if (isReady) void writeDown(entry);
      }}
    >
      {/* One tap says that it is unplugged: where the keeping waits for it, it stands there. */}
      {(from === 'found' || onTicket?.ticket.power !== 'on') && (
        <UnpluggedFirst>
          <Button
            className="self-start"
            onClick={() =>
              void writeDown({ ...entry, needle: proof, from: 'new', opened: null, sewn: 0 })
            }
          >
            {words.proof}
          </Button>
        </UnpluggedFirst>
      )}
      <Choices
        legend={words.from}
        value={from}
        options={FROM.map((one) => [one, words.froms[one]] as const)}
        onChoose={setFrom}
      />
      {from === 'opened' ? (
        <OpenedChoice opened={opened} chosen={chosen?.id} onChoose={setOpenedId} />
      ) : (
        <NeedleFields needle={needle} onChange={setNeedle} />
      )}
      {from === 'found' && (
        <NumberField
          whole
          label={words.sewn}
          hint={words.sewnUnknown}
          value={sewn}
          className="w-60"
          onText={setSewn}
        />
      )}
      {from !== 'found' && (
        <Choices
          legend={words.before}
          value={before}
          options={BEFORE.filter((one) => one !== 'put-back' || now).map(
            (one) => [one, words.befores[one]] as const,
          )}
          onChoose={setBefore}
        >
          {!now && <p className="mt-1 text-sm text-quiet">{words.beforeUnknown}</p>}
        </Choices>
      )}
      {error !== undefined && <p role="alert">{faultWords(error)}</p>}
      {from === 'found' ? keep : <UnpluggedFirst>{keep}</UnpluggedFirst>}
    </Form>
  );
}

function OpenedChoice({
  opened,
  chosen,
  onChoose,
}: {
  readonly opened: ReturnType<typeof useRegister>['opened'];
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}) {
  const words = instruments.needle.register;
  if (opened.length === 0) return <p>{words.noneOpened}</p>;
  return (
    <Select
      label={words.opened}
      value={chosen}
      onChoose={onChoose}
      options={opened.map(
        ({ id, needle, sewn }) =>
          [
            id,
            words.line(
              needleLine(needle),
              sewn === null ? words.sewnNone : words.sewnLine(write.figure(sewn)),
            ),
          ] as const,
      )}
    />
  );
}

/** A needle as its packet names it. */
function NeedleFields({
  needle,
  onChange,
}: {
  readonly needle: NeedleIn['needle'];
  readonly onChange: (needle: NeedleIn['needle']) => void;
}) {
  const words = instruments.needle.register;
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <TextField
        label={words.system}
        value={needle.system}
        maxLength={40}
        required
        onText={(typed) => onChange({ ...needle, system: typed })}
      />
      <Select
        label={words.size}
        value={needle.size}
        onChoose={(size) => onChange({ ...needle, size })}
        options={SOLD_SIZES.map((size): [number, string] => [size, sizeName(size)])}
      />
      <Select
        label={words.point}
        value={needle.point}
        onChoose={(point) => onChange({ ...needle, point })}
        options={NEEDLE_POINTS.map(({ id, title }) => [id, title] as const)}
      />
      <Select
        label={words.coating}
        value={needle.coating}
        onChoose={(coating) => onChange({ ...needle, coating })}
        options={NEEDLE_COATINGS.map(({ id, title }) => [id, title] as const)}
      />
    </div>
  );
}
