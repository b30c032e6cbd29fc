import { type MadeUpSample, SAMPLE_SIDES, type SampleBalance, type SampleSide } from '@nodo/core';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import type { FaceRead, SampleAnswer, SampleStage } from '../../../workers/sample.worker.ts';
import { stopReader, theReader } from './reader.ts';

/** Why there are no figures. */
export type WhyNot = keyof (typeof instruments.sample)['refused'];

/** How far the measuring of one side is. */
export type FaceState =
  | { readonly kind: 'empty' }
  | { readonly kind: 'reading'; readonly stage: SampleStage | 'made' }
  | { readonly kind: 'refused'; readonly why: WhyNot; readonly picture: Blob | undefined }
  | {
      readonly kind: 'read';
      readonly picture: Blob;
      readonly read: FaceRead;
      /** By the stand-in: nobody sewed it. */
      readonly isMadeUp: boolean;
    };

type Faces = Readonly<Record<SampleSide, FaceState>>;

export type BalanceState =
  | { readonly kind: 'none' | 'reading' }
  | { readonly kind: 'refused'; readonly why: WhyNot }
  | { readonly kind: 'read'; readonly read: SampleBalance };

export interface Sample {
  readonly faces: Faces;
  readonly balance: BalanceState;
  readonly take: (side: SampleSide, picture: Blob) => void;
  readonly takeStandIn: (made: MadeUpSample) => void;
  readonly leaveOut: (side: SampleSide) => void;
  readonly stop: () => void;
}

const EMPTY: FaceState = { kind: 'empty' };
const NOTHING: Faces = { top: EMPTY, bottom: EMPTY };

/**
 * A sample as far as its pictures are measured. A later picture of a side takes the place of the one before.
 * @param threadWidth in millimetres, where it is known
 */
export function useSample(threadWidth: number | undefined): Sample {
  const [faces, setFaces] = useState(NOTHING);
  const [balanced, setBalanced] = useState<Balanced>();
  /** Counts what was asked of each side: only the last answer counts. */
  const asked = useRef<Record<SampleSide, number>>({ top: 0, bottom: 0 });
  useEffect(() => stopReader, []);

  const setFace = (side: SampleSide, face: FaceState) =>
    setFaces((before) => ({ ...before, [side]: face }));
  const begin = (side: SampleSide) => {
    asked.current[side] += 1;
    const turn = asked.current[side];
    return () => asked.current[side] === turn;
  };
  const measure = async (
    side: SampleSide,
    picture: Blob,
    isLast: () => boolean,
    isMadeUp: boolean,
  ) => {
    const onStage = proxy((stage: SampleStage) => {
      if (isLast()) setFace(side, { kind: 'reading', stage });
    });
    const answer = await orFailed(theReader().read({ picture, side }, onStage));
    if (!isLast()) return;
    setFace(
      side,
      'answer' in answer
        ? { kind: 'read', picture, read: answer.answer, isMadeUp }
        : refusedAs(whyOf(answer.refused), picture),
    );
  };
  const take = (side: SampleSide, picture: Blob) => {
    setFace(side, { kind: 'reading', stage: 'picture' });
    void measure(side, picture, begin(side), false);
  };
  const takeStandIn = (made: MadeUpSample) => {
    for (const side of SAMPLE_SIDES) {
      const isLast = begin(side);
      setFace(side, { kind: 'reading', stage: 'made' });
      void theReader()
        .standIn(made, side)
        .then((picture) => (isLast() ? measure(side, picture, isLast, true) : undefined))
        .catch((fault: unknown) => {
          console.error('The stand-in failed', fault);
          if (isLast()) setFace(side, { kind: 'refused', why: 'failed', picture: undefined });
        });
    }
  };
  const leaveOut = (side: SampleSide) => {
    begin(side);
    setFace(side, EMPTY);
  };
  const stop = () => {
    stopReader();
    for (const side of SAMPLE_SIDES) {
      if (faces[side].kind !== 'reading') continue;
      begin(side);
      setFace(side, { kind: 'refused', why: 'stopped', picture: undefined });
    }
    const pair = pairOf(faces);
    if (pair && balanced?.of.top !== pair.top)
      setBalanced({ of: pair, answer: STOPPED, threadWidth });
  };

  const { top, bottom } = faces;
  useEffect(() => {
    const pair = pairOf({ top, bottom });
    if (!pair) return undefined;
    let isGone = false;
    void orFailed(
      theReader().balance({ top: pair.top.reading, bottom: pair.bottom.reading }, threadWidth),
    ).then((answer) => {
      if (!isGone) setBalanced({ of: pair, answer, threadWidth });
    });
    return () => {
      isGone = true;
    };
  }, [top, bottom, threadWidth]);

  return {
    faces,
    balance: balanceState(pairOf(faces), threadWidth, balanced),
    take,
    takeStandIn,
    leaveOut,
    stop,
  };
}

type Pair = Readonly<Record<SampleSide, FaceRead>>;
interface Balanced {
  readonly of: Pair;
  readonly threadWidth: number | undefined;
  readonly answer: SampleAnswer<SampleBalance>;
}
const STOPPED = { refused: 'stopped' } as const;

function pairOf({ top, bottom }: Faces): Pair | undefined {
  if (top.kind !== 'read' || bottom.kind !== 'read') return undefined;
  return { top: top.read, bottom: bottom.read };
}

function balanceState(
  pair: Pair | undefined,
  threadWidth: number | undefined,
  balanced: Balanced | undefined,
): BalanceState {
  if (!pair) return { kind: 'none' };
  const isOfThese =
    balanced?.of.top === pair.top &&
    balanced.of.bottom === pair.bottom &&
    balanced.threadWidth === threadWidth;
  if (!isOfThese) return { kind: 'reading' };
  const { answer } = balanced;
  return 'answer' in answer
    ? { kind: 'read', read: answer.answer }
    : { kind: 'refused', why: whyOf(answer.refused) };
}

async function orFailed<Answer>(
  asked: Promise<SampleAnswer<Answer>>,
): Promise<SampleAnswer<Answer>> {
  try {
    return await asked;
  } catch (fault) {
    console.error('The sample reader failed', fault);
    return { refused: 'failed' };
  }
}

/** What is no picture cannot be shown. */
function refusedAs(why: WhyNot, picture: Blob): FaceState {
  return { kind: 'refused', why, picture: why === 'unreadable' ? undefined : picture };
}

function whyOf(code: string): WhyNot {
  return code in instruments.sample.refused ? (code as WhyNot) : 'failed';
}
