import { SAMPLE_SIDES, type SampleSide } from '@nodo/core';
import { SEWN_AS_FOUND } from '@nodo/knowledge';
import {
  countOf,
  minutesSewn,
  SAMPLE_CHECKS,
  type SampleCheck,
  sampleAnswers,
  screwNow,
} from '@nodo/shop';
import type { KeptSample } from '@nodo/ticket';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { later } from '../../../messages/later.ts';
import { readNumber } from '../../../messages/typed.ts';
import { Button } from '../../../ui/Button.tsx';
import { CheckBox } from '../../../ui/CheckBox.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Select } from '../../../ui/Select.tsx';
import { Sewing } from '../../../ui/Stitches.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { instrumentRoot, mayKeep } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { readDial } from '../../frame/typedDial.ts';
import type { Sample } from '../reader/useSample.ts';
import { keepPictures } from './keepPictures.ts';
import { RATES, USUAL_RATE } from './reading.ts';

type Photos = Readonly<Partial<Record<SampleSide, string>>>;

/** What the sample was sewn for, and how it goes onto the ticket: its measures, what they answer, its pictures as proof. */
export function KeepSample({
  kept,
  faces,
}: {
  readonly kept: KeptSample | 'no-figure' | undefined;
  readonly faces: Sample['faces'];
}) {
  const bench = useInstrumentBench();
  const { onTicket, model } = bench;
  const [query] = useSearchParams();
  const checks = SAMPLE_CHECKS.filter((check) => model.checks.has(check));
  const [check, setCheck] = useState<SampleCheck | 'nothing'>(
    checks.find((one) => one === query.get('check')) ?? 'nothing',
  );
  const [typedRate, setTypedRate] = useState<string>();
  const [typedMinutes, setTypedMinutes] = useState<string>();
  const [typedDial, setTypedDial] = useState('');
  const [onTheWork, setOnTheWork] = useState(false);
  /** What was saved last, so that it is not saved twice. */
  const [saved, setSaved] = useState<{ readonly faces: Sample['faces']; readonly check: string }>();
  const [sending, setSending] = useState<'no' | 'sending' | 'failed'>('no');
  const words = instruments.sample.keep;
  if (!onTicket || !mayKeep(bench)) return null;

  const sample = typeof kept === 'object' ? kept : undefined;
  const count = sample ? countOf(sample).stitches : 0;
  const rate = typedRate === undefined ? USUAL_RATE : readNumber(typedRate);
  const isRate = rate !== undefined && rate >= RATES.least && rate <= RATES.most;
  const computed = isRate ? Math.round(100 * minutesSewn(count, rate)) / 100 : undefined;
  const minutes = typedMinutes === undefined ? computed : readNumber(typedMinutes);
  const isMinutes = minutes !== undefined && minutes > 0;
  const dial = readDial(typedDial);
  const isDial = typedDial === '' || dial !== undefined;
  const answers = sample && check !== 'nothing' ? sampleAnswers(sample, check, model) : {};
  const isMadeUp = SAMPLE_SIDES.some((side) => {
    const face = faces[side];
    return face.kind === 'read' && face.isMadeUp;
  });

  const record = (photos: Photos) => {
    if (!sample || !isRate) return;
    const about = check === 'nothing' ? {} : { check };
    for (const side of SAMPLE_SIDES) {
      const photo = photos[side];
      if (photo !== undefined)
        onTicket.record('photo-kept', { photo, words: words.photo(side), ...about });
    }
    const isRecorded = onTicket.record('sample-read', {
      ...sample,
      faces: withPhotos(sample.faces, photos),
      // Only what somebody said is kept as said.
      ...(typedRate !== undefined && { rate }),
      ...about,
    });
    if (!isRecorded) return;
    if (check !== 'nothing' && Object.keys(answers).length > 0)
      onTicket.record('findings-recorded', {
        check,
        answers,
        ...(isMinutes && { sewnMinutes: minutes }),
        ...(check === SEWN_AS_FOUND && { onTheWork }),
      });
    if (dial !== undefined && sample.balance)
      onTicket.record('tension-tried', {
        dial,
        screw: screwNow(onTicket.ticket),
        read: [sample.balance.value],
        seam: sample.seam,
        wanted: 0,
      });
    setTypedDial('');
    setSaved({ faces, check });
  };
  const keep = async () => {
    setSending('sending');
    const pictures = Object.fromEntries(
      SAMPLE_SIDES.flatMap((side) => {
        const face = faces[side];
        return face.kind === 'read' ? [[side, face.picture] as const] : [];
      }),
    );
    const photos = await keepPictures(onTicket.ticket.id, pictures);
    setSending(photos ? 'no' : 'failed');
    if (photos) record(photos);
  };
  const lacks =
    (kept === undefined && words.lacks) ||
    (kept === 'no-figure' && words.lacksFigure) ||
    (isMadeUp && words.made) ||
    (saved?.faces === faces && saved.check === check && words.saved) ||
    (!isRate && words.notARate) ||
    (check !== 'nothing' && !isMinutes && words.notMinutes) ||
    (!isDial && words.notADial);
  return (
    <section aria-label={words.title} className="flex flex-col gap-3">
      <Select<SampleCheck | 'nothing'>
        label={words.for}
        value={check}
        options={[...checks, 'nothing' as const].map((one) => [one, words.forIs[one]] as const)}
        onChoose={setCheck}
      />
      {check !== 'nothing' && sample && (
        <p className="text-sm text-quiet">{words.answers(Object.keys(answers).length)}</p>
      )}
      {sample && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label={words.rate}
            value={typedRate ?? String(USUAL_RATE)}
            hint={typedRate === undefined ? words.usualRate : undefined}
            error={isRate ? undefined : words.notARate}
            onText={setTypedRate}
          />
          {check !== 'nothing' && (
            <NumberField
              label={words.minutes}
              value={typedMinutes ?? (computed === undefined ? '' : write.figure(computed))}
              hint={isRate ? words.minutesHint(count, rate) : undefined}
              error={isMinutes ? undefined : words.notMinutes}
              onText={setTypedMinutes}
            />
          )}
        </div>
      )}
      {sample?.balance && (
        <NumberField
          label={words.dial}
          hint={words.dialHint}
          value={typedDial}
          error={isDial ? undefined : words.notADial}
          onText={setTypedDial}
        />
      )}
      {sample && check === SEWN_AS_FOUND && (
        <CheckBox checked={onTheWork} onCheck={setOnTheWork}>
          {later.bench.step.prove.onTheWork}
        </CheckBox>
      )}
      {sending === 'sending' ? (
        <Sewing label={words.sending} />
      ) : (
        <KeepButton
          label={
            sample && check !== 'nothing' && Object.keys(answers).length > 0
              ? words.log(instruments.sample.line(sample))
              : words.onlyMeasures
          }
          lacks={lacks}
          onKeep={() => void keep()}
        />
      )}
      {sending === 'failed' && (
        <>
          <p role="alert" className="font-semibold">
            {words.offLine}
          </p>
          <Button
            className="self-start"
            lacks={lacks}
            onClick={() => {
              setSending('no');
              record({});
            }}
          >
            {words.withoutPictures}
          </Button>
        </>
      )}
      {sample?.balance && (
        <TextLink to={`${instrumentRoot(bench, 'tension')}/balance`}>{words.toTension}</TextLink>
      )}
    </section>
  );
}

function withPhotos(faces: KeptSample['faces'], photos: Photos): KeptSample['faces'] {
  return Object.fromEntries(
    SAMPLE_SIDES.flatMap((side) => {
      const [face, photo] = [faces[side], photos[side]];
      if (!face) return [];
      return [[side, photo === undefined ? face : { ...face, photo }] as const];
    }),
  );
}
