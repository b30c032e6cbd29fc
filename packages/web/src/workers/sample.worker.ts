import {
  CoreError,
  type MadeUpSample,
  madeUpSample,
  type PictureReading,
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
import { pictureAsked, standInAsked } from './questions.ts';

/** What is done with a picture, one after the other. */
export type SampleStage = 'picture' | 'card' | 'seam';

/** One side of a sample as it was read. */
export interface FaceRead {
  /** The size of the picture that stitches are placed in, in pixels. */
  readonly size: { readonly width: number; readonly height: number };
  readonly seam: SeamMeasures;
  readonly stitches: readonly SeenStitch[];
  /** What the balance is read from, with the other side's. */
  readonly reading: PictureReading;
}

/** An answer, or the core's code for why there is none. */
export type SampleAnswer<Answer> = { readonly answer: Answer } | { readonly refused: string };

/** More pixels than this along the longer side are not looked at. */
const MOST_PIXELS = 5000;
const JPEG = { type: 'image/jpeg', quality: 0.88 } as const;

const reader = {
  /** @param onStage told as each stage begins */
  async read(
    asked: { readonly picture: Blob; readonly side: SampleSide },
    onStage: (stage: SampleStage) => void,
  ): Promise<SampleAnswer<FaceRead>> {
    const { picture, side } = pictureAsked.parse(asked);
    onStage('picture');
    const pixels = await decoded(picture);
    if (!pixels) return { refused: 'unreadable' };
    return orRefused(() => {
      onStage('card');
      const field = sampleField(pixels);
      onStage('seam');
      const reading = readSampleField(field);
      const { width, height } = pixels;
      const seam = seamMeasures(reading);
      return {
        size: { width, height },
        seam,
        stitches: seenStitches(reading, seam, side),
        reading,
      };
    });
  },

  /** @param threadWidth of both threads, in millimetres, where it is known */
  balance: (
    faces: Readonly<Record<SampleSide, PictureReading>>,
    threadWidth: number | undefined,
  ): SampleAnswer<SampleBalance> => orRefused(() => sampleBalance(faces, threadWidth)),

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

/** The pixels of a file as its picture is held; nothing where this browser cannot read it. */
async function decoded(file: Blob): Promise<ImageData | undefined> {
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
    return pen?.getImageData(0, 0, width, height);
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
