import { type StitchScene, whereValid } from '@nodo/core';
import {
  needleAngle,
  questionOf,
  rightSettings,
  SETTING_NAMES,
  type StitchMachine,
  type StitchQuestion,
  type StitchSettings,
  sameSettings,
  type TicketSettings,
  ticketSettings,
  withinSliders,
} from '@nodo/shop';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { StitchAsked } from '../../../workers/questions.ts';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { threadOn } from '../../frame/instrumentBench.ts';
import { theSolver } from '../solver/solver.ts';
import { useComputed } from '../solver/useComputed.ts';
import { addressOf, settingsIn } from './settingsAddress.ts';

/** A machine as it was found, and as it is set. */
export const STATES = ['found', 'set'] as const;
export type StitchState = (typeof STATES)[number];

const BEGINS: Readonly<Record<StitchState, string>> = { found: '', set: 'set-' };
/** A hand that slides on has not stopped: browsers refuse an address that changes all the time. */
const ADDRESS_AFTER_MS = 400;

/** One of the two states with what was computed of it. */
export interface StateScene {
  readonly settings: StitchSettings;
  /** Undefined where a setting is none. */
  readonly question: StitchQuestion | undefined;
  /** The last that the solver gave. */
  readonly scene: StitchScene | undefined;
  /** Why there is none for these settings. */
  readonly refused: string | undefined;
}

export interface Stitch {
  /** Everything as it should be. */
  readonly right: StitchSettings;
  /** What the ticket says of it. */
  readonly said: TicketSettings | undefined;
  readonly states: Readonly<Record<StitchState, StateScene>>;
  /** Whether anything was set since it was found. */
  readonly isSet: boolean;
  /** Which way the hook's point passes the needle. */
  readonly passes: 1 | -1;
  readonly ask: (settings: StitchSettings) => StitchAsked;
  readonly change: (state: StitchState, settings: StitchSettings) => void;
  readonly onPasses: (passes: 1 | -1) => void;
}

/** The stitch of the bench's machine: its settings from the address and the ticket, and what the solver makes of them. */
export function useStitch(machine: StitchMachine, size: number | undefined): Stitch {
  const bench = useInstrumentBench();
  const { model, card, onTicket } = bench;
  const [address, setAddress] = useSearchParams();
  const right = rightSettings(machine, { thread: threadOn(bench), size });
  const said =
    onTicket && ticketSettings(onTicket.ticket, machine, needleAngle(card?.service ?? {}));
  const base = withinSliders({ ...right, ...said?.found });
  const [passes, setPasses] = useState<1 | -1>(address.get('passes') === 'left' ? -1 : 1);
  // Only what somebody slid is kept here: what the ticket says may still come, or change.
  const [slid, setSlid] = useState(() => ({
    found: settingsIn(address, BEGINS.found),
    set: settingsIn(address, BEGINS.set),
  }));
  const found = { ...base, ...slid.found };
  const setBase = withinSliders({ ...found, ...said?.set });
  const set = { ...setBase, ...slid.set };

  const wanted = new URLSearchParams(
    Object.fromEntries([
      ...addressOf(found, base, BEGINS.found),
      ...addressOf(set, setBase, BEGINS.set),
      ...(passes === -1 ? [['passes', 'left'] as const] : []),
    ]),
  ).toString();
  useEffect(() => {
    const timer = setTimeout(() => {
      setAddress(
        (now) => {
          const next = new URLSearchParams(wanted);
          const machineId = now.get('machine');
          if (machineId !== null) next.set('machine', machineId);
          return next;
        },
        { replace: true },
      );
    }, ADDRESS_AFTER_MS);
    return () => clearTimeout(timer);
  }, [wanted, setAddress]);

  const ask = (of: StitchSettings): StitchAsked => ({
    family: model.family.id,
    service: card?.service ?? {},
    settings: of,
    passes,
  });
  const isSet = !sameSettings(found, set);
  const ofFound = useScene(ask(found));
  const ofSet = useScene(ask(set));
  const state = (of: StitchSettings, computed: ReturnType<typeof useScene>): StateScene => ({
    settings: of,
    question: whereValid(() => questionOf(machine, of, passes)),
    ...computed,
  });
  return {
    right,
    said,
    states: { found: state(found, ofFound), set: state(set, isSet ? ofSet : ofFound) },
    isSet,
    passes,
    ask,
    change: (which, to) =>
      setSlid({ ...slid, [which]: unlike(to, which === 'found' ? base : setBase) }),
    onPasses: setPasses,
  };
}

/** What of settings differs from others. */
function unlike(settings: StitchSettings, others: StitchSettings): Partial<StitchSettings> {
  const names = SETTING_NAMES.filter((name) => settings[name] !== others[name]);
  return Object.fromEntries(names.map((name) => [name, settings[name]]));
}

function useScene(asked: StitchAsked): Pick<StateScene, 'scene' | 'refused'> {
  const [last, setLast] = useState<StitchScene>();
  const answer = useComputed(JSON.stringify(asked), () => theSolver().scene(asked));
  const fresh = answer && 'answer' in answer ? answer.answer : undefined;
  if (fresh && fresh !== last) setLast(fresh);
  return {
    scene: answer && 'refused' in answer ? undefined : (fresh ?? last),
    refused: answer && 'refused' in answer ? answer.refused : undefined,
  };
}
