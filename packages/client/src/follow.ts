import type { LiveFrame } from '@nodo/contract';
import type { LiveStream } from './liveStream.ts';

interface Followed {
  /** Reads anew; settles when the answer has taken its place. */
  readonly readAgain: () => Promise<unknown>;
  /** Puts a frame into what was read. False when it does not join on: then it is read anew. */
  readonly apply: (frame: LiveFrame) => boolean;
}

/**
 * Keeps something that was read true to the stream, from the first reading until it is not
 * wanted any more. What the stream says during a reading is laid over the answer, which may
 * be older.
 */
export async function follow(
  stream: LiveStream,
  { readAgain, apply }: Followed,
  firstReading: Promise<unknown>,
  removed: Promise<void>,
): Promise<void> {
  let held: LiveFrame[] | undefined = [];
  let onceMore = false;

  const after = async (reading: Promise<unknown>): Promise<void> => {
    await reading.catch(() => undefined);
    const said = held ?? [];
    held = undefined;
    const fits = !onceMore && said.every(apply);
    onceMore = false;
    if (!fits) await anew();
  };
  const anew = (): Promise<void> => {
    held = [];
    return after(readAgain());
  };
  const stop = stream.listen((frame) => {
    if (held) {
      if (frame.kind === 'resync') onceMore = true;
      else held.push(frame);
    } else if (frame.kind === 'resync' || !apply(frame)) void anew();
  });
  void after(firstReading);
  await removed;
  stop();
}
