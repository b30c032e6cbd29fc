import { SOLD_SIZES, sizeName } from '@nodo/core';
import { NEEDLE_COATINGS, NEEDLE_POINTS } from '@nodo/knowledge';
import { needleLine } from '@nodo/shop';
import { NEEDLE_REPLACED, type NeedleIn, type RegisterEntry } from '@nodo/ticket';
import { useState } from 'react';
import { toast } from 'sonner';
import { useRegisterNeedleMutation } from '../../../api/client.ts';
import { faultWords } from '../../../messages/errors.ts';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { Button } from '../../../ui/Button.tsx';
import { NumberField, TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { Select } from '../../../ui/Select.tsx';
import { Choices } from '../../frame/bits.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { UnpluggedFirst } from '../../frame/UnpluggedFirst.tsx';
import { isUntold, type useRegister } from '../../frame/useRegister.ts';

export const FROM = ['found', 'new', 'opened'] as const;
const BEFORE = ['none', 'used-up', 'put-back', 'broken'] as const;

/** What the form says of the needle that goes in, and of the one before. */
export interface NeedleTyped {
  readonly needle: NeedleIn['needle'];
  readonly from: NeedleIn['from'];
  readonly before: NeedleIn['before'];
}

/** The needle that shop and machine sew with where nobody says another. */
function proofFor(system: string): NeedleIn['needle'] {
  return { system, size: 80, point: 'fine-sharp', coating: 'chrome' };
}

/** What is in it, to begin with: a new one of the same kind, or the one found in it. */
export function typedNow(now: RegisterEntry | undefined, system: string): NeedleTyped {
  return {
    needle: now?.needle ?? proofFor(system),
    from: now ? 'new' : 'found',
    before: now ? 'used-up' : 'none',
  };
}

/** Where the one before can have gone: nobody puts back what nobody knows. */
export function endsAfter(now: RegisterEntry | undefined): readonly NeedleIn['before'][] {
  return BEFORE.filter((one) => one !== 'put-back' || now);
}

/** Writes down which needle goes in. */
export function NeedleForm({
  at,
  now,
  opened,
  typed,
  onType,
}: {
  readonly at: number;
  readonly now: RegisterEntry | undefined;
  readonly opened: ReturnType<typeof useRegister>['opened'];
  readonly typed: NeedleTyped;
  readonly onType: (typed: NeedleTyped) => void;
}) {
  const bench = useInstrumentBench();
  const { machine, onTicket, model, card } = bench;
  const proof = proofFor(
    now?.needle.system ?? card?.facts.needleSystem ?? model.family.needleSystem,
  );
  const { needle, from, before } = typed;
  const [openedId, setOpenedId] = useState<string>();
  const [sewn, setSewn] = useState('');
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
    <Button
      type="submit"
      look="main"
      className="self-start"
      disabled={isLoading}
      lacks={!isReady && words.noneOpened}
    >
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
        onChoose={(one) => onType({ ...typed, from: one })}
      />
      {from === 'opened' ? (
        <OpenedChoice opened={opened} chosen={chosen?.id} onChoose={setOpenedId} />
      ) : (
        <NeedleFields needle={needle} onChange={(one) => onType({ ...typed, needle: one })} />
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
          options={endsAfter(now).map((one) => [one, words.befores[one]] as const)}
          onChoose={(one) => onType({ ...typed, before: one })}
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
    <div className="grid grid-cols-2 gap-3">
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
