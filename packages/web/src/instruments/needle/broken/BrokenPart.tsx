import { mm, type PiecesAccount } from '@nodo/core';
import { type ActionId, STRUCK_PLACES, type StruckId, systemFor } from '@nodo/knowledge';
import { assess, PIECES_FOUND } from '@nodo/ticket';
import { X } from 'lucide-react';
import { useState } from 'react';
import { PiecesView } from '../../../drawing/needle/PiecesView.tsx';
import { m, write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { readNumber } from '../../../messages/typed.ts';
import { Caution } from '../../../ticket/check/Caution.tsx';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Button } from '../../../ui/Button.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { ReasonForm } from '../../../ui/ReasonForm.tsx';
import { Choices } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo } from '../../frame/instrumentBench.ts';
import { useRegister } from '../../frame/useRegister.ts';
import { accountOf } from './brokenReading.ts';

/** The pieces of a broken needle, added up until the whole is accounted for. */
export function BrokenPart() {
  const bench = useInstrumentBench();
  const { onTicket, model } = bench;
  const before = onTicket?.ticket.life.pieces;
  const system = systemFor(model.family.traits);
  const now = useRegister(bench).at.get(1);
  const [wholeTyped, setWholeTyped] = useState(String(before?.whole ?? system.whole));
  const [pieces, setPieces] = useState<readonly number[]>(before?.pieces ?? []);
  const [typed, setTyped] = useState('');
  const [struck, setStruck] = useState<StruckId | null>(before?.struck ?? null);
  const [isWaiving, setWaiving] = useState(false);
  const words = instruments.needle.broken;
  const whole = readNumber(wholeTyped) ?? system.whole;
  const account = accountOf(whole, pieces);
  const next = readNumber(typed);
  const isPossible = next !== undefined && accountOf(whole, [...pieces, next]) !== undefined;
  const place = STRUCK_PLACES.find(({ id }) => id === struck);
  const duty = onTicket && assess(onTicket.ticket, model).duties.find(isOfPieces);
  const isCleared = duty?.state === 'cleared' || duty?.state === 'waived';
  const addPiece = () => {
    if (next === undefined || !isPossible) return;
    setPieces([...pieces, next]);
    setTyped('');
  };
  const keep = () =>
    onTicket?.record('pieces-laid', { at: 1, whole, pieces: [...pieces], struck }) ?? false;

  return (
    <Frame
      title={words.heading}
      top={<Caution text={words.caution} />}
      drawing={
        <PiecesView
          shape={{ system, blade: mm((now?.needle.size ?? 80) / 100) }}
          whole={whole}
          pieces={pieces}
          account={instruments.needle.drawing.pieces(
            pieces.length,
            write.figure(account?.found ?? 0),
            write.figure(whole),
          )}
          label={words.tap}
          onTap={(at) => {
            const end = Math.max(0, Math.min(whole, at));
            const length = Math.round(2 * (end - (account?.found ?? 0))) / 2;
            if (length > 0) setTyped(String(length));
          }}
        />
      }
      verdict={
        <>
          <p className="text-lg leading-snug">
            {words.laid(write.figure(account?.found ?? 0), write.figure(whole))}:{' '}
            <strong
              className={`block text-2xl ${account?.state === 'whole' ? 'text-below' : 'text-hazard'}`}
            >
              {account && standWords(account)}
            </strong>
          </p>
          {place && account?.state === 'missing' && (
            <section aria-label={words.lookIn}>
              <h2 className="font-semibold">
                {words.lookIn} <ProvenanceMark standing="common-practice" />
              </h2>
              <ol className="list-decimal pl-6">
                {place.lookIn.map((where) => (
                  <li key={where}>{where}</li>
                ))}
              </ol>
            </section>
          )}
        </>
      }
      end={
        isCleared ? (
          <p className="border-l-4 border-below pl-4 font-semibold">{words.cleared}</p>
        ) : (
          mayDo(bench) && (
            <div className="flex flex-wrap items-center gap-3">
              {account?.state === 'whole' ? (
                <Button
                  look="main"
                  className="min-h-12 text-lg"
                  onClick={() =>
                    keep() && onTicket?.record('action-done', { action: PIECES_FOUND })
                  }
                >
                  {words.accounted}
                </Button>
              ) : (
                <>
                  <Button
                    look="main"
                    lacks={pieces.length === 0 && words.piecesFirst}
                    onClick={keep}
                  >
                    {words.keep}
                  </Button>
                  <Button onClick={() => setWaiving(!isWaiving)}>{words.waive}</Button>
                </>
              )}
              {isWaiving && account?.state !== 'whole' && (
                <ReasonForm
                  label={words.waiveWhy}
                  submit={words.waive}
                  onSubmit={(note) => {
                    if (pieces.length > 0) keep();
                    onTicket?.record('action-done', {
                      action: 'fragments-waived' satisfies ActionId,
                      note,
                    });
                  }}
                />
              )}
              <p className="basis-full text-sm text-quiet">{words.cannotClose}</p>
            </div>
          )
        )
      }
    >
      <Form row onSubmit={addPiece}>
        <NumberField
          label={words.piece}
          value={typed}
          className="w-40"
          error={typed !== '' && !isPossible ? words.impossible : undefined}
          onText={setTyped}
        />
        <Button type="submit" lacks={!isPossible && m.shell.lacks.number}>
          {words.add}
        </Button>
        <NumberField
          label={words.whole}
          value={wholeTyped}
          className="w-52"
          onText={setWholeTyped}
        />
        <ProvenanceMark standing="typical" />
      </Form>
      {pieces.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {pieces.map((length, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: pieces differ by their position alone
            <li key={index}>
              <Button
                aria-label={words.takeOff(index + 1, write.figure(length))}
                onClick={() => setPieces(pieces.filter((_, other) => other !== index))}
              >
                {index + 1}: {write.figure(length)} mm <X aria-hidden size={18} />
              </Button>
            </li>
          ))}
        </ul>
      )}
      <Choices
        legend={words.struck}
        value={struck ?? undefined}
        options={STRUCK_PLACES.map(({ id, title }) => [id, title] as const)}
        onChoose={setStruck}
      />
      <p className="text-quiet">{words.coated}</p>
    </Frame>
  );
}

function isOfPieces({ duty }: { readonly duty: string }): boolean {
  return duty === 'fragments';
}

function standWords({ state, missing }: PiecesAccount): string {
  const words = instruments.needle.broken;
  if (state === 'whole') return words.isWhole;
  return state === 'missing' ? words.missing(write.figure(missing)) : words.tooMuch;
}
