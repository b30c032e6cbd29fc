import {
  agreedFaces,
  asSeenOn,
  CoreError,
  type LooseThread,
  looseThread,
  type MadeUpSample,
  madeUpSample,
  type PictureReading,
  type Point,
  type PointedAt,
  readSampleField,
  type SampleBalance,
  type SampleSide,
  type SeamMeasures,
  type SeenStitch,
  sampleBalance,
  sampleField,
  seamMeasures,
  seenStitches,
} from '@nodo/core';
import { expose } from 'comlink';
import { type PictureAsked, pictureAsked, standInAsked } from './questions.ts';

/** What is done with a picture, one after the other. */
export type SampleStage = 'picture' | 'card' | 'seam';

/** One side of a sample as it was read. */
export interface FaceRead extends FaceSeen {
  /** The size of the picture that stitches are placed in, in pixels. */
  readonly size: { readonly width: number; readonly height: number };
}

/** What is seen of a side. */
export interface FaceSeen {
  readonly seam: SeamMeasures;
  readonly stitches: readonly SeenStitch[];
  /** What the balance is read from, with the other side's. */
  readonly reading: PictureReading;
}

/** What both sides of a sample tell together. */
export interface BothRead {
  /** Each side once more, with the skips that both agree on. */
  readonly faces: Readonly<Record<SampleSide, FaceSeen>>;
  /** Holes at which each side surely shows something else. */
  readonly atOdds: number;
  readonly balance: SampleAnswer<SampleBalance>;
  readonly loose: Readonly<Record<SampleSide, LooseThread>>;
}

/** An answer, or the core's code for why there is none. */
export type SampleAnswer<Answer> = { readonly answer: Answer } | { readonly refused: string };

/** More pixels than this along the longer side are not looked at. */
const MOST_PIXELS = 5000;
const JPEG = { type: 'image/jpeg', quality: 0.88 } as const;

const reader = {
  /** @param onStage told as each stage begins */
  async read(
    asked: PictureAsked,
    onStage: (stage: SampleStage) => void,
  ): Promise<SampleAnswer<FaceRead>> {
    const { picture, side, pointed } = pictureAsked.parse(asked);
    onStage('picture');
    const opened = await decoded(picture);
    if (!opened) return { refused: 'unreadable' };
    const { pixels, part } = opened;
    const there = scaled(pointed, part);
    return orRefused(() => {
      onStage('card');
      const field = sampleField(pixels, there);
      onStage('seam');
      const reading = readSampleField(field, there);
      const { width, height } = pixels;
      return { size: { width, height }, ...faceSeen(reading, side) };
    });
  },

  /** @param threadWidth of both threads, in millimetres, where it is known */
  both: (
    alone: Readonly<Record<SampleSide, PictureReading>>,
    threadWidth: number | undefined,
  ): BothRead => {
    const { top, bottom, atOdds } = agreedFaces(alone);
    return {
      atOdds,
      faces: { top: faceSeen(top, 'top'), bottom: faceSeen(bottom, 'bottom') },
      balance: orRefused(() => sampleBalance({ top, bottom }, threadWidth)),
      loose: {
        top: looseThread(top, asSeenOn(top, bottom)),
        bottom: looseThread(bottom, asSeenOn(bottom, top)),
      },
    };
  },

  /** A picture of a sample that nobody sewed. */
  async standIn(asked: MadeUpSample, side: SampleSide): Promise<Blob> {
    const { width, height, data } = madeUpSample(standInAsked.parse(asked), side);
    const canvas = new OffscreenCanvas(width, height);
    canvas
      .getContext('2d')
      ?.putImageData(new ImageData(Uint8ClampedArray.from(data), width, height), 0, 0);
    return canvas.convertToBlob(JPEG);
  },
};

function faceSeen(reading: PictureReading, side: SampleSide): FaceSeen {
  const seam = seamMeasures(reading);
  return { seam, stitches: seenStitches(reading, seam, side), reading };
}

interface Opened {
  readonly pixels: ImageData;
  /** Pixels that are looked at, to one of the file's. */
  readonly part: number;
}

/** What was pointed at in a file's picture, where it lies in the pixels that are looked at. */
function scaled({ ruler, thread }: PointedAt, part: number): PointedAt {
  const at = ({ x, y }: Point): Point => ({ x: part * x, y: part * y });
  return {
    thread: thread && at(thread),
    ruler: ruler && {
      ...ruler,
      marks: [at(ruler.marks[0]), at(ruler.marks[1])],
      ends: [at(ruler.ends[0]), at(ruler.ends[1])],
    },
  };
}

/** The pixels of a file as its picture is held; nothing where this browser cannot read it. */
async function decoded(file: Blob): Promise<Opened | undefined> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const part = Math.min(1, MOST_PIXELS / Math.max(picture.width, picture.height));
    const [width, height] = [
      Math.max(1, Math.round(part * picture.width)),
      Math.max(1, Math.round(part * picture.height)),
    ];
    const pen = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
    pen?.drawImage(picture, 0, 0, width, height);
    picture.close();
    const pixels = pen?.getImageData(0, 0, width, height);
    return pixels && { pixels, part };
  } catch (error) {
    if (error instanceof DOMException) return undefined;
    throw error;
  }
}

function orRefused<Answer>(answer: () => Answer): SampleAnswer<Answer> {
  try {
    return { answer: answer() };
  } catch (error) {
    if (error instanceof CoreError) return { refused: error.code };
    throw error;
  }
}

export type SampleReader = typeof reader;

expose(reader);
