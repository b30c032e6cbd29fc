import { tensionAdvice } from '@nodo/core';
import type { CheckId } from '@nodo/knowledge';
import {
  asTries,
  lookedAt,
  mayTurnScrew,
  type SewnTry,
  screwNow,
  triesInForce,
  UNKNOWN_TENSION,
} from '@nodo/shop';
import { changesOf, type KeptTry, SEAM_KINDS, type SeamKind } from '@nodo/ticket';
import { useMemo, useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Choices } from '../../frame/bits.tsx';
import { Frame } from '../../frame/Frame.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepAction, keepLook, mayKeep } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { readDial } from '../../frame/typedDial.ts';
import { useOwnCard } from '../../frame/useOwnCard.ts';
import { AdviceAnswer } from './AdviceAnswer.tsx';
import { Atlas, SampleDrawn } from './Atlas.tsx';
import {
  knotAnswers,
  lookOf,
  nextPlace,
  type Place,
  type ReadPlaces,
  readingsOf,
  UNREAD,
} from './reading.ts';
import { SchoolForm } from './SchoolForm.tsx';
import { TryLog } from './TryLog.tsx';
import { useSchool } from './useSchool.ts';
import { Worked } from './Worked.tsx';

/** The two quick looks at the bobbin's side: under its spring, an even light drag. */
const BOBBIN_LOOKS: readonly CheckId[] = ['bobbin-path', 'case-pull'];
/** Where the knot is wanted: in the middle, or a little below for stitches that are to look well from above. */
const WANTED = { middle: 0, below: 0.3 } as const;

/** The balance read off samples, each try kept, and what to do next until it balances or is no matter of tension. */
export function BalancePart() {
  const bench = useInstrumentBench();
  const { onTicket, model, card } = bench;
  const own = useOwnCard();
  const tension = own?.card?.tension ?? card?.tension ?? UNKNOWN_TENSION;
  const [school, onSchool] = useSchool();
  const [at, setAt] = useState(1);
  const [seam, setSeam] = useState<SeamKind>(
    model.family.traits.includes('zigzag') ? 'zigzag' : 'straight',
  );
  const [wanted, setWanted] = useState<number>(WANTED.middle);
  const [differ, setDiffer] = useState(false);
  const [screwMay, setScrewMay] = useState<boolean>();
  const [read, setRead] = useState<ReadPlaces>(UNREAD);
  const [place, setPlace] = useState<Place>(0);
  const [typedDial, setTypedDial] = useState<string>();
  const [alone, setAlone] = useState<readonly SewnTry[]>([]);
  const [said, setSaid] = useState({ rethreaded: false, bobbinSeen: false });
  const words = instruments.tension;

  const ticket = onTicket?.ticket;
  const looked = ticket ? lookedAt(ticket) : { rethreaded: false, bobbinSeen: false };
  const rethreaded = looked.rethreaded || said.rethreaded;
  const bobbinSeen = looked.bobbinSeen || said.bobbinSeen;
  const mayScrew = screwMay ?? mayTurnScrew(tension, model);
  // Only when an entry comes or the task changes: a slider that moves computes and draws no curve.
  const tries = useMemo(() => (ticket ? triesInForce(ticket, at) : alone), [ticket, at, alone]);
  const answer = useMemo(
    () =>
      tensionAdvice(asTries(tries), {
        wanted,
        school,
        rethreaded,
        bobbinSeen,
        mayTurnScrew: mayScrew,
        threadsDiffer: differ,
      }),
    [tries, wanted, school, rethreaded, bobbinSeen, mayScrew, differ],
  );
  const { advice } = answer;
  const proposed = 'setting' in advice ? advice.setting.dial : tries.at(-1)?.dial;
  const shownDial = typedDial ?? (proposed === undefined ? '' : String(proposed));
  const dial = readDial(shownDial);
  const readings = readingsOf(read);

  const readAs = (balance: number) => {
    const next = read.map((one, index) => (index === place ? balance : one));
    setRead(next);
    return next;
  };
  const keep = () => {
    if (dial === undefined || readings.length === 0) return;
    const tried: KeptTry = {
      dial,
      screw: onTicket ? screwNow(onTicket.ticket) : 0,
      read: [...readings],
      seam,
      wanted,
      ...(at === 1 ? {} : { at }),
    };
    if (onTicket) {
      if (!onTicket.record('tension-tried', tried)) return;
      const look = lookOf(tried, tries, onTicket.ticket, model);
      if (look) onTicket.record('findings-recorded', look);
    } else setAlone([...alone, { ...tried, seq: alone.length + 1 }]);
    setRead(UNREAD);
    setPlace(0);
    setTypedDial(undefined);
  };
  const last = tries.at(-1);
  const isSet = onTicket?.ticket.performedActions.some(
    ({ action, seq }) => action === 'dial-set' && seq > (last?.seq ?? 0),
  );
  const onSet =
    onTicket && last && !isSet
      ? () => {
          if (keepAction(bench, 'dial-set') && last.wanted === 0) {
            onTicket.record('findings-recorded', {
              check: 'found-sew',
              answers: knotAnswers(0, model),
            });
          }
        }
      : undefined;
  const changedSince =
    onTicket !== undefined &&
    onTicket.ticket.life.tries.length > tries.length &&
    at === 1 &&
    changesOf(onTicket.ticket).length > 0;
  return (
    <Frame
      title={words.heading}
      drawing={
        <SampleDrawn
          seam={seam}
          balance={read[place] ?? readings.at(-1) ?? wanted}
          onBalance={(balance) => readAs(balance)}
        />
      }
      verdict={
        <AdviceAnswer
          answer={answer}
          tries={tries}
          mayTurnScrew={mayScrew}
          onRethreaded={() => {
            // What was sewn before lies on another curve.
            setAlone([]);
            setSaid({ ...said, rethreaded: true });
          }}
          onBobbinSeen={() => {
            // On a ticket every screen has to know; loopers have no such looks.
            const isKept = BOBBIN_LOOKS.map((check) => keepLook(bench, check, []));
            if (!isKept.includes(true)) setSaid({ ...said, bobbinSeen: true });
          }}
          onSet={onSet}
        />
      }
      end={
        <>
          {changedSince && <p className="text-sm text-quiet">{words.since}</p>}
          <TryLog tries={tries} answer={answer} wanted={wanted} />
        </>
      }
    >
      <p className="max-w-prose leading-snug">{words.how}</p>
      <Choices
        legend={words.seam}
        value={seam}
        options={SEAM_KINDS.map((one) => [one, words.seams[one]] as const)}
        onChoose={setSeam}
      />
      {(card?.needles ?? 1) > 1 && (
        <Choices
          legend={words.needle}
          value={at}
          options={Array.from({ length: card?.needles ?? 1 }, (_, index) => [
            index + 1,
            String(index + 1),
          ])}
          onChoose={setAt}
        />
      )}
      <Atlas
        seam={seam}
        read={read}
        place={place}
        onPlace={setPlace}
        onRead={(balance) => setPlace(nextPlace(readAs(balance), place))}
      />
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          label={words.dial}
          value={shownDial}
          className="w-40"
          error={shownDial !== '' && dial === undefined ? words.notADial : undefined}
          onText={setTypedDial}
        />
        {onTicket ? (
          mayKeep(bench) && (
            <KeepButton
              label={words.keep}
              className="self-end"
              lacks={readings.length === 0 ? words.lacks : dial === undefined && words.lacksDial}
              onKeep={keep}
            />
          )
        ) : (
          <Button
            look="main"
            className="self-end"
            lacks={readings.length === 0 ? words.lacks : dial === undefined && words.lacksDial}
            onClick={keep}
          >
            {words.addAlone}
          </Button>
        )}
      </div>
      <Choices
        legend={words.wanted}
        value={wanted}
        options={[
          [WANTED.middle, words.wantedAt.middle],
          [WANTED.below, words.wantedAt.below],
        ]}
        onChoose={setWanted}
      >
        <p className="text-sm text-quiet">{words.wantedWhy}</p>
      </Choices>
      <SchoolForm
        school={school}
        onSchool={onSchool}
        differ={differ}
        onDiffer={setDiffer}
        mayTurnScrew={mayScrew}
        onMayTurnScrew={(may) => {
          setScrewMay(may);
          void own?.keep({ tension: { ...tension, screw: may ? 'may' : 'may-not' } });
        }}
      />
      <Worked
        own={own}
        tension={tension}
        setting={advice.kind === 'balanced' && last ? { ...last, wanted } : undefined}
        onTake={(from) => setTypedDial(String(from))}
      />
    </Frame>
  );
}
