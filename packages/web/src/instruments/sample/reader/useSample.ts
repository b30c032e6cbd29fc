import {
  type MadeUpSample,
  type PointedAt,
  SAMPLE_SIDES,
  type SampleBalance,
  type SampleSide,
} from '@nodo/core';
import { proxy } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import type {
  BothRead,
  FaceRead,
  SampleAnswer,
  SampleStage,
} from '../../../workers/sample.worker.ts';
import { stopReader, theReader } from './reader.ts';

/** Why there are no figures. */
export type WhyNot = keyof (typeof instruments.sample)['refused'];

/** How far the measuring of one side is. */
export type FaceState =
  | { readonly kind: 'empty' }
  | { readonly kind: 'reading'; readonly stage: SampleStage | 'made' }
  | {
      readonly kind: 'refused';
      readonly why: WhyNot;
      readonly picture: Blob | undefined;
      readonly pointed: PointedAt;
    }
  | {
      readonly kind: 'read';
      readonly picture: Blob;
      readonly pointed: PointedAt;
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
  /** What each side shows of the other's thread, once both are read. */
  readonly loose: BothRead['loose'] | undefined;
  /** Holes at which each side surely shows something else. */
  readonly atOdds: number;
  /** @param pointed what somebody pointed at in the picture, in its pixels */
  readonly take: (side: SampleSide, picture: Blob, pointed?: PointedAt) => void;
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
    { pointed = {}, isMadeUp = false }: { pointed?: PointedAt; isMadeUp?: boolean },
  ) => {
    const onStage = proxy((stage: SampleStage) => {
      if (isLast()) setFace(side, { kind: 'reading', stage });
    });
    const answer = await orFailed<SampleAnswer<FaceRead>>(
      theReader().read({ picture, side, pointed }, onStage),
      FAILED,
    );
    if (!isLast()) return;
    setFace(
      side,
      'answer' in answer
        ? { kind: 'read', picture, pointed, read: answer.answer, isMadeUp }
        : refusedAs(whyOf(answer.refused), picture, pointed),
    );
  };
  const take = (side: SampleSide, picture: Blob, pointed: PointedAt = {}) => {
    const face = faces[side];
    // The same picture once more is still made up, if it was.
    const isMadeUp = face.kind === 'read' && face.picture === picture && face.isMadeUp;
    setFace(side, { kind: 'reading', stage: 'picture' });
    void measure(side, picture, begin(side), { pointed, isMadeUp });
  };
  const takeStandIn = (made: MadeUpSample) => {
    for (const side of SAMPLE_SIDES) {
      const isLast = begin(side);
      setFace(side, { kind: 'reading', stage: 'made' });
      void theReader()
        .standIn(made, side)
        .then((picture) =>
          isLast() ? measure(side, picture, isLast, { isMadeUp: true }) : undefined,
        )
        .catch((fault: unknown) => {
          console.error('The stand-in failed', fault);
          if (isLast()) setFace(side, refusedAs('failed'));
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
      setFace(side, refusedAs('stopped'));
    }
    const pair = pairOf(faces);
    if (pair && balanced?.of.top !== pair.top)
      setBalanced({ of: pair, read: { balance: STOPPED }, threadWidth });
  };

  const { top, bottom } = faces;
  useEffect(() => {
    const pair = pairOf({ top, bottom });
    if (!pair) return undefined;
    let isGone = false;
    void orFailed<Both>(
      theReader().both({ top: pair.top.reading, bottom: pair.bottom.reading }, threadWidth),
      { balance: FAILED },
    ).then((read) => {
      if (!isGone) setBalanced({ of: pair, read, threadWidth });
    });
    return () => {
      isGone = true;
    };
  }, [top, bottom, threadWidth]);

  const pair = pairOf(faces);
  const both = pair && bothOf(pair, threadWidth, balanced);
  // One object as long as nothing else is seen: what was saved is known by it.
  const agreed = useMemo(
    () => ({ top: agreedOn('top', faces, both), bottom: agreedOn('bottom', faces, both) }),
    [faces, both],
  );
  return {
    faces: agreed,
    balance: pair ? balanceState(both) : { kind: 'none' },
    loose: both?.loose,
    atOdds: both?.atOdds ?? 0,
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
  readonly read: Both;
}
type Both = Pick<BothRead, 'balance'> & Partial<BothRead>;
const STOPPED = { refused: 'stopped' } as const;

function pairOf({ top, bottom }: Faces): Pair | undefined {
  if (top.kind !== 'read' || bottom.kind !== 'read') return undefined;
  return { top: top.read, bottom: bottom.read };
}

/** What was read of just these two; nothing while it is not. */
function bothOf(
  pair: Pair,
  threadWidth: number | undefined,
  balanced: Balanced | undefined,
): Both | undefined {
  const isOfThese =
    balanced?.of.top === pair.top &&
    balanced.of.bottom === pair.bottom &&
    balanced.threadWidth === threadWidth;
  return isOfThese ? balanced.read : undefined;
}

/** A side with what both agree on, once they were held against each other. */
function agreedOn(side: SampleSide, faces: Faces, both: Both | undefined): FaceState {
  const face = faces[side];
  const seen = both?.faces?.[side];
  return seen && face.kind === 'read' ? { ...face, read: { ...face.read, ...seen } } : face;
}

function balanceState(both: Both | undefined): BalanceState {
  if (!both) return { kind: 'reading' };
  const { balance } = both;
  return 'answer' in balance
    ? { kind: 'read', read: balance.answer }
    : { kind: 'refused', why: whyOf(balance.refused) };
}

async function orFailed<Answer>(asked: PromiseLike<Answer>, failed: Answer): Promise<Answer> {
  try {
    return await asked;
  } catch (fault) {
    console.error('The sample reader failed', fault);
    return failed;
  }
}

const FAILED = { refused: 'failed' } as const;

/** What is no picture cannot be shown. */
function refusedAs(why: WhyNot, picture?: Blob, pointed: PointedAt = {}): FaceState {
  return { kind: 'refused', why, picture: why === 'unreadable' ? undefined : picture, pointed };
}

function whyOf(code: string): WhyNot {
  return code in instruments.sample.refused ? (code as WhyNot) : 'failed';
}
